import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/crop-notes";
import { fromLength } from "~/core/units";
import {
  chooseSchool,
  dropCropValue,
  dropVariety,
  keepVariety,
  removeOwnCrop,
  setCropValue,
} from "~/services/notes/field-notes.server";
import { cropPage, cropYearOf } from "~/services/notes/notes-page.server";
import type { NotesAnswer } from "~/views/notes/notes-answer";
import { fieldsOf } from "./form";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { CropNotesPage } from "~/ui/notes/CropNotesPage";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

export const meta: Route.MetaFunction = ({ data: loaded }) => [
  { title: `${(loaded as { notes?: { name: string } } | undefined)?.notes?.name ?? "Field notes"} · Akmedon` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const notes = cropPage(db, params.cropId, garden.unitSystem);
  if (!notes) throw data("There is no such crop in the field notes.", { status: 404 });
  const year = await whenPlanned(request, db, garden, () => cropYearOf(db, garden, params.cropId)!);
  return { notes, units: garden.unitSystem, year };
}

const Intent = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("set value"), path: z.string(), value: z.string() }),
  z.object({ intent: z.literal("drop value"), path: z.string() }),
  z.object({ intent: z.literal("choose school"), schoolId: z.string(), optionId: z.string() }),
  z.object({
    intent: z.literal("keep variety"),
    name: z.string(),
    ripeColour: z.string(),
    sizeLow: z.string(),
    sizeHigh: z.string(),
    packetLow: z.string(),
    packetHigh: z.string(),
  }),
  z.object({ intent: z.literal("drop variety"), id: z.string() }),
  z.object({ intent: z.literal("remove crop") }),
]);

export const action = wholeOrTold(async ({ request, params }: Route.ActionArgs) => {
  const { db, garden } = knownGarden();
  const parsed = Intent.safeParse(await fieldsOf(request));
  if (!parsed.success) throw data("That is not something the field notes can do.", { status: 400 });
  const form = parsed.data;
  const { cropId } = params;
  const say = (at: string, outcome: { status: "saved" | "refused"; sentence: string }) =>
    data<NotesAnswer>(
      { at, sentence: outcome.sentence, done: outcome.status === "saved" },
      { status: outcome.status === "saved" ? 200 : 400 },
    );
  switch (form.intent) {
    case "set value":
      return say(form.path, setCropValue(db, cropId, form.path, form.value, garden.unitSystem));
    case "drop value":
      return say(form.path, dropCropValue(db, cropId, form.path));
    case "choose school":
      return say(form.schoolId, chooseSchool(db, cropId, form.schoolId, form.optionId));
    case "drop variety":
      return say("variety", dropVariety(db, form.id));
    case "remove crop": {
      const outcome = removeOwnCrop(db, cropId);
      return outcome.status === "saved" ? redirect("/notes") : say("remove", outcome);
    }
    case "keep variety": {
      const pair = (low: string, high: string, read: (text: string) => number) =>
        low.trim() === "" && high.trim() === "" ? null : { low: read(low || "x"), high: read(high || "x") };
      const size = pair(form.sizeLow, form.sizeHigh, (text) => fromLength(Number(text.replace(",", ".")), garden.unitSystem)); // prettier-ignore
      const outcome = keepVariety(db, {
        cropId,
        name: form.name,
        ripeColour: form.ripeColour.trim() || null,
        size: size && { lowMm: size.low, highMm: size.high },
        packet: pair(form.packetLow, form.packetHigh, Number),
      });
      if (outcome.status === "refused")
        return data<NotesAnswer>({ at: "variety", errors: outcome.errors }, { status: 400 });
      return data<NotesAnswer>({ at: "variety", sentence: `${form.name.trim()} is written down.`, done: true });
    }
  }
});

export default function CropNotesRoute({ loaderData }: Route.ComponentProps) {
  return <CropNotesPage key={loaderData.notes.id} {...loaderData} />;
}
