import { z } from "zod";
import { catalogueData, checkedCrop } from "~/catalogue/catalogue.server";
import {
  changeValue,
  cropValues,
  forgetValue,
  HOUSEHOLD_STANDING,
  patchCrop,
  START_EVENTS,
  Variety,
  type CropData,
} from "~/core/crops";
import type { Db } from "~/db/client.server";
import { anyPlantingOf } from "~/db/beds/plantings.server";
import {
  deleteOwnCrop,
  deletePatch,
  deleteSchoolChoice,
  deleteVariety,
  keepPatch,
  patchOf as storedPatch,
  saveSchoolChoice,
  saveVariety,
} from "~/db/notes/household.server";
import type { UnitSystem } from "~/core/units";
import { issueSentence } from "~/core/issues";
import { dataNumber } from "~/views/words";
import { cropsOf } from "~/services/garden/household-crops.server";

export type NotesOutcome = { status: "saved"; sentence: string } | { status: "refused"; sentence: string };
const saved = (sentence: string): NotesOutcome => ({ status: "saved", sentence });
const refused = (sentence: string): NotesOutcome => ({ status: "refused", sentence });

const patchOf = (db: Db, cropId: string): CropData => {
  const row = storedPatch(db, cropId);
  return row ? (JSON.parse(row.patch) as CropData) : {};
};

function savePatch(db: Db, cropId: string, patch: CropData): void {
  if (Object.keys(patch).length === 0) deletePatch(db, cropId);
  else keepPatch(db, cropId, JSON.stringify(patch));
}

/** The shipped crop that a household's values lie over. */
function baseOf(cropId: string, patch: CropData): CropData | undefined {
  const shipped = catalogueData();
  return shipped.find((c) => c.id === cropId) ?? shipped.find((c) => c.id === patch.like);
}

/** Sets one value of a crop for this household. */
export function setCropValue(
  db: Db,
  cropId: string,
  path: string,
  text: string,
  units: UnitSystem = "metric",
): NotesOutcome {
  // prettier-ignore
  const patch = patchOf(db, cropId);
  const base = baseOf(cropId, patch);
  if (!base) return refused("This crop is no longer there.");
  const crop = cropsOf(db).find((c) => c.id === cropId);
  const unit = crop && cropValues(crop).find((v) => v.path.join(".") === path)?.unit;
  const change = changeValue(base, patch, path.split("."), unit ? dataNumber(text, unit, units) : text);
  if (change.status === "refused") return change;
  savePatch(db, cropId, change.patch);
  return saved("Saved. The judgement goes by it from now on.");
}

/** Takes one value back to the handbook's. */
export function dropCropValue(db: Db, cropId: string, path: string): NotesOutcome {
  const patch = patchOf(db, cropId);
  const base = baseOf(cropId, patch);
  const next = forgetValue(patch, path.split("."));
  if (!base) return refused("This crop is no longer there.");
  try {
    checkedCrop(patchCrop(base, next));
  } catch {
    return refused("Another of your values needs this one: take that back first.");
  }
  savePatch(db, cropId, next);
  return saved("The handbook’s value holds again.");
}

export const OwnCropForm = z
  .object({
    name: z.string().trim().min(2, "Give the crop a name.").max(40, "Keep the name under 40 letters."),
    like: z.string().min(1, "Say which crop it is most like."),
    from: z.enum(START_EVENTS, "Say what its days count from."),
    low: z.coerce.number("Days as a number.").int("Whole days.").min(1, "At least one day.").max(900, "That is over two years."), // prettier-ignore
    high: z.coerce.number("Days as a number.").int("Whole days.").min(1, "At least one day.").max(900, "That is over two years."), // prettier-ignore
  })
  .refine((c) => c.low <= c.high, { error: "The later day is before the earlier one.", path: ["high"] });

/** Adds a crop of the household's own, like a known one save for its name and days. */
export function addOwnCrop(
  db: Db,
  form: z.infer<typeof OwnCropForm>,
): { status: "added"; cropId: string } | { status: "refused"; errors: Record<string, string> } {
  const crops = cropsOf(db);
  const names = crops.flatMap((c) => [c.name, ...c.alsoCalled]).map((n) => n.toLowerCase());
  if (names.includes(form.name.toLowerCase()))
    return { status: "refused", errors: { name: `There is already a crop called ${form.name}.` } };
  const base = catalogueData().find((c) => c.id === form.like);
  if (!base) return { status: "refused", errors: { like: "Choose a crop of the list." } };
  const stem = form.name.toLowerCase().normalize("NFD").replace(/[\u0300-\u036f]/g, "").replace(/[^a-z]+/g, "_").replace(/^_+|_+$/g, ""); // prettier-ignore
  if (!stem) return { status: "refused", errors: { name: "Use some letters of the Latin alphabet in the name." } };
  let cropId = `own_${stem}`;
  while (crops.some((c) => c.id === cropId)) cropId += "_b";
  const { low, high, from } = form;
  savePatch(db, cropId, {
    id: cropId,
    like: form.like,
    name: form.name,
    alsoCalled: [],
    packet: { low, high, from, standing: HOUSEHOLD_STANDING },
  });
  return { status: "added", cropId };
}

/** Takes away a crop of the household's own that nothing was ever planted of. */
export function removeOwnCrop(db: Db, cropId: string): NotesOutcome {
  if (!cropId.startsWith("own_")) return refused("A crop of the handbook stays; take your own values back instead.");
  if (anyPlantingOf(db, cropId)) return refused("There are plantings of it in the record, so it stays.");
  deleteOwnCrop(db, cropId);
  return saved("Taken away.");
}

/** Writes down a variety; the same name again replaces it. */
export function keepVariety(
  db: Db,
  form: z.input<typeof Variety>,
): { status: "kept" } | { status: "refused"; errors: Record<string, string> } {
  const parsed = Variety.safeParse(form);
  if (!parsed.success) {
    const errors: Record<string, string> = {};
    for (const issue of parsed.error.issues) errors[String(issue.path[0] ?? "name")] ??= issueSentence(issue);
    return { status: "refused", errors };
  }
  const v = parsed.data;
  const crop = cropsOf(db).find((c) => c.id === v.cropId);
  if (!crop) return { status: "refused", errors: { name: "This crop is no longer there." } };
  if (v.size && !crop.target) return { status: "refused", errors: { size: "This crop is not picked by its size." } };
  saveVariety(db, {
    cropId: v.cropId,
    name: v.name,
    ripeColour: v.ripeColour,
    sizeLowMm: v.size?.lowMm ?? null,
    sizeHighMm: v.size?.highMm ?? null,
    packetLow: v.packet?.low ?? null,
    packetHigh: v.packet?.high ?? null,
  });
  return { status: "kept" };
}

export function dropVariety(db: Db, id: string): NotesOutcome {
  if (!deleteVariety(db, id)) return refused("This variety is no longer there.");
  return saved("Variety taken away; its plantings keep the name.");
}

/** The household's way of a crop; the usual one takes the choice back. */
export function chooseSchool(db: Db, cropId: string, schoolId: string, optionId: string): NotesOutcome {
  const school = cropsOf(db).find((c) => c.id === cropId)?.schools.find((s) => s.id === schoolId); // prettier-ignore
  const option = school?.options.find((o) => o.id === optionId);
  if (!school || !option) return refused("That is not one of the ways of this crop.");
  if (optionId === school.usual) deleteSchoolChoice(db, cropId, schoolId);
  else saveSchoolChoice(db, { cropId, schoolId, optionId });
  return saved(`From now on: ${option.label}.`);
}
