import { data } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/beds";
import { BED_CLIMATES } from "~/core/hazards";
import { dayAndMonth } from "~/core/calendar";
import {
  BedForm,
  addBed,
  addPlanting,
  editBed,
  finishPlanting,
  moveBed,
  removeBed,
  understandLine,
} from "~/services/beds.server";
import { bedsView } from "~/services/beds-view.server";
import { todayOf } from "~/services/clock.server";
import { knownGarden } from "~/services/known-garden.server";
import { fieldErrors } from "~/services/pick-form";
import { BedsPage } from "~/ui/beds/BedsPage";

export const meta: Route.MetaFunction = () => [{ title: "Beds · Akmedon" }];

export function loader() {
  const { db, garden } = knownGarden();
  return {
    beds: bedsView(db, garden),
    kinds: Object.entries(BED_CLIMATES).map(([kind, { label }]) => ({ kind, label })),
  };
}

const Intent = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("add bed"), name: z.string(), kind: z.string() }),
  z.object({ intent: z.literal("edit bed"), bedId: z.string(), name: z.string(), kind: z.string() }),
  z.object({ intent: z.literal("move bed"), bedId: z.string(), step: z.enum(["up", "down"]) }),
  z.object({ intent: z.literal("remove bed"), bedId: z.string() }),
  z.object({ intent: z.literal("read line"), bedId: z.string(), line: z.string() }),
  z.object({ intent: z.literal("add planting"), bedId: z.string(), line: z.string() }),
  z.object({ intent: z.literal("reopen"), plantingId: z.string() }),
]);

export type BedsAnswer = {
  at: string;
  sentence?: string;
  errors?: Partial<Record<string, string>>;
  /** A line read back for confirmation. */
  understood?: { line: string; words: string };
  done?: string;
};

export async function action({ request }: Route.ActionArgs) {
  const { db, garden } = knownGarden();
  const parsed = Intent.safeParse(Object.fromEntries(await request.formData()));
  if (!parsed.success) throw data("That is not something the beds can do.", { status: 400 });
  const form = parsed.data;
  const refuse = (answer: BedsAnswer) => data<BedsAnswer>(answer, { status: 400 });
  const fine = (answer: BedsAnswer) => data<BedsAnswer>(answer);
  switch (form.intent) {
    case "add bed":
    case "edit bed": {
      const at = form.intent === "add bed" ? "new bed" : form.bedId;
      const fields = BedForm.safeParse(form);
      if (!fields.success) return refuse({ at, errors: fieldErrors(fields.error) });
      const outcome = form.intent === "add bed" ? addBed(db, fields.data) : editBed(db, form.bedId, fields.data);
      return outcome.status === "refused"
        ? refuse({ at, errors: { name: outcome.sentence } })
        : fine({ at, done: `${fields.data.name} saved.` });
    }
    case "move bed":
      moveBed(db, form.bedId, form.step === "up" ? -1 : 1);
      return fine({ at: form.bedId });
    case "remove bed": {
      const outcome = removeBed(db, form.bedId);
      return outcome.status === "refused"
        ? refuse({ at: form.bedId, sentence: outcome.sentence })
        : fine({ at: "", done: "Bed removed." });
    }
    case "reopen":
      finishPlanting(db, garden, form.plantingId, false);
      return fine({ at: "", done: "Growing again." });
    case "read line":
    case "add planting": {
      const outcome = understandLine(db, garden, form.line, form.bedId || undefined);
      if (outcome.status === "not understood") return refuse({ at: `line ${form.bedId}`, sentence: outcome.sentence });
      const { line } = outcome;
      const when = dayAndMonth(line.startedOn, todayOf(garden).slice(0, 4));
      const words = `${line.plants} × ${line.crop.name}${line.variety ? `, ${line.variety}` : ""}, ${line.startEvent} ${when}, in ${line.bedName}`;
      if (form.intent === "read line")
        return fine({ at: `line ${form.bedId}`, understood: { line: form.line, words } });
      addPlanting(db, line);
      return fine({ at: `line ${form.bedId}`, done: `Added: ${words}.` });
    }
  }
}

export default function Beds({ loaderData }: Route.ComponentProps) {
  return <BedsPage beds={loaderData.beds} kinds={loaderData.kinds} />;
}
