import { data } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/sky";
import { CsvUnits } from "~/adapters/weather-csv.server";
import { knownGarden } from "~/services/known-garden.server";
import { fieldErrors, type FieldErrors } from "~/services/pick-form";
import {
  MinutesForm,
  TripForm,
  addTrip,
  importWeather,
  removeTrip,
  setMinutes,
  type ImportOutcome,
} from "~/services/sky.server";
import { skyView } from "~/services/sky-view.server";
import { SkyPage } from "~/ui/sky/SkyPage";

export const meta: Route.MetaFunction = () => [{ title: "Sky & away · Akmedon" }];

export function loader() {
  const { db, garden } = knownGarden();
  return skyView(db, garden);
}

export type SkyAnswer = {
  at: "trip" | "minutes" | "weather";
  errors?: FieldErrors;
  done?: string;
  weather?: ImportOutcome;
};

const MOST_BYTES = 8_000_000;
const text = (value: FormDataEntryValue | null) => (typeof value === "string" ? value : "");

export async function action({ request }: Route.ActionArgs) {
  const { db, garden } = knownGarden();
  const form = await request.formData();
  const answer = (body: SkyAnswer, status = 200) => data<SkyAnswer>(body, { status });
  switch (text(form.get("intent"))) {
    case "add trip": {
      const trip = TripForm.safeParse(Object.fromEntries(form));
      if (!trip.success) return answer({ at: "trip", errors: fieldErrors(trip.error) }, 400);
      addTrip(db, trip.data);
      return answer({ at: "trip", done: `${trip.data.name} noted; the plan works round it.` });
    }
    case "remove trip":
      removeTrip(db, text(form.get("id")));
      return answer({ at: "trip", done: "Trip removed." });
    case "minutes": {
      const minutes = MinutesForm.safeParse({ minutes: form.getAll("minutes") });
      if (!minutes.success)
        return answer(
          { at: "minutes", errors: { minutes: minutes.error.issues[0]?.message ?? "Minutes as numbers." } },
          400,
        );
      setMinutes(db, minutes.data);
      return answer({ at: "minutes", done: "Saved; the plan is made anew." });
    }
    case "weather": {
      const file = form.get("file");
      const kept = text(form.get("kept"));
      const given = file instanceof File && file.size > 0 ? file : undefined;
      if (!given && !kept) return answer({ at: "weather", errors: { file: "Choose a file first." } }, 400);
      if (given && given.size > MOST_BYTES)
        return answer(
          {
            at: "weather",
            errors: { file: "The file is larger than 8 MB. A daily series of a lifetime is smaller: check the file." },
          },
          400,
        );
      const units = CsvUnits.partial().safeParse(
        Object.fromEntries(
          ["temperature", "rain", "wind"].flatMap((u) => (text(form.get(u)) ? [[u, text(form.get(u))]] : [])),
        ),
      );
      if (!units.success) return answer({ at: "weather", errors: { file: "Choose the units from the lists." } }, 400);
      const answers = Object.fromEntries(Object.entries(units.data).filter(([, v]) => v !== undefined)) as Partial<
        z.infer<typeof CsvUnits>
      >;
      const name = given?.name ?? (text(form.get("name")) || "weather file");
      const outcome = importWeather(db, garden, given ? await given.text() : kept, name, answers);
      return answer({ at: "weather", weather: outcome }, outcome.status === "refused" ? 400 : 200);
    }
    default:
      throw data("That is not something the sky page can do.", { status: 400 });
  }
}

export default function Sky({ loaderData }: Route.ComponentProps) {
  return <SkyPage view={loaderData} />;
}
