import { z } from "zod";
import { FIRST_DAY } from "~/core/calendar";
import { type FieldErrors } from "~/core/issues";
import { START_EVENTS } from "~/core/crops";
import { MATTERS } from "~/core/garden";
import { plantsInRow, type Stand } from "~/core/life";
import { readRowLength } from "~/core/units";
import type { Db } from "~/db/client.server";
import { bedById } from "~/db/beds/beds.server";
import { deletePlanting, plantingById, updatePlanting } from "~/db/beds/plantings.server";
import { seasonsOf, updateSeason } from "~/db/beds/seasons.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { picksOfPlanting } from "~/db/ledger/picks.server";
import { todayOf } from "../garden/clock.server";
import { cropsOf } from "../garden/household-crops.server";
import { dataNumber } from "~/views/words";
import { settlePlanting } from "../garden/settle-seasons.server";

const NO_DAY = "That is not a day in the calendar. Write it like 2026-05-03.";
const day = z.iso.date(NO_DAY).refine((d) => d >= FIRST_DAY, "That year cannot be right.");
const dayOrNone = z.union([z.literal("").transform(() => null), day], NO_DAY);
const packetDays = z.union(
  [
    z.literal("").transform(() => null),
    z.coerce.number().int().min(5).max(400),
  ],
  "Whole days, 5 to 400, or left empty.",
); // prettier-ignore

export const PlantingForm = z
  .object({
    plantingId: z.string(),
    cropId: z.string().min(1, "Choose a crop of the list."),
    variety: z.string().trim().max(60, "Keep the variety under 60 letters."),
    plants: z.coerce
      .number("Say how many plants.")
      .int("Use a whole number of plants.")
      .min(1, "At least one plant.")
      .max(5000, "At most 5000 plants."),
    /** Metres or feet of row, as typed; left empty: the plants were counted. */
    rowLength: z.string().trim().max(20, "Write it like 2.5 m or 8 ft.").default(""),
    bedId: z.string(),
    startEvent: z.enum(START_EVENTS, "Say how it started."),
    startedOn: day,
    /** Set when the start is vague: it lies between the two. */
    startedTo: dayOrNone.default(null),
    packetLow: packetDays,
    packetHigh: packetDays,
    schoolOption: z.string().transform((v) => v || null),
    forSeed: z.enum(["yes", "no"]).default("no").transform((v) => v === "yes"), // prettier-ignore
    bedNeededOn: dayOrNone.default(null),
    matters: z.enum(MATTERS, "Say how much it matters.").default("usual"),
    /** Grams or ounces a week, as typed; left empty: all that comes. */
    eats: z.string().trim().max(20, "Write a number like 500.").default(""),
  })
  .refine((p) => (p.packetLow === null) === (p.packetHigh === null), {
    error: "Give both ends of the packet’s days, or neither.",
    path: ["packetHigh"],
  })
  .refine((p) => p.packetLow === null || p.packetHigh === null || p.packetLow <= p.packetHigh, {
    error: "The packet’s later day is before its earlier one.",
    path: ["packetHigh"],
  })
  .refine((p) => p.startedTo === null || p.startedTo >= p.startedOn, {
    error: "The later day of the start is before the earlier one.",
    path: ["startedTo"],
  });
export type PlantingForm = z.infer<typeof PlantingForm>;

export type EditOutcome = { status: "saved" } | { status: "refused"; errors: FieldErrors };

/** Changes a planting's facts, its crop among them, and the start of its newest season. */
export function editPlanting(db: Db, row: GardenRow, form: PlantingForm): EditOutcome {
  const refused = (errors: FieldErrors): EditOutcome => ({ status: "refused", errors });
  const before = plantingById(db, form.plantingId);
  const seasons = seasonsOf(db, form.plantingId);
  const latest = seasons.at(-1);
  if (!before || !latest) return refused({ form: "This planting is no longer there." });
  const wrong = whatIsWrong(db, row, form);
  if (wrong) return refused(wrong);
  const { plantingId, startEvent, startedOn, startedTo, rowLength, eats, ...facts } = form;
  const eatsGrams = readEats(eats, row);
  if (typeof eatsGrams === "string") return refused({ eats: eatsGrams });
  const stand = standOf(db, row, form);
  if (typeof stand === "string") return refused({ rowLength: stand });
  db.transaction(() => {
    updatePlanting(db, plantingId, {
      ...facts,
      ...stand,
      eatsGrams,
      ...(seasons.length === 1 ? cameFrom(form, before) : {}),
    });
    const told = startEvent !== latest.startEvent || startedOn !== latest.startedOn || startedTo !== latest.startedTo;
    if (told)
      updateSeason(db, latest.id, {
        startEvent,
        startedOn,
        startedTo,
        startStanding: "told",
        // A start that was typed too late leaves what was seen before it in its season.
        ...(seasons.length === 1 && startedOn < latest.opensOn ? { opensOn: startedOn } : {}),
      });
    settlePlanting(db, row, plantingById(db, plantingId)!);
  });
  return { status: "saved" };
}

/** What the household eats in a week, g; null when it is left open, a sentence when it cannot be read. */
function readEats(typed: string, { unitSystem }: GardenRow): number | null | string {
  if (!typed) return null;
  const grams = Number(dataNumber(typed.replace(",", "."), "g", unitSystem));
  if (!Number.isFinite(grams) || grams <= 0) return "Write it as a number above zero, or leave it empty.";
  return grams > 100_000 ? "More than a hundred kilograms a week: check the number." : grams;
}

/** Told in metres, the plants are those that stand in them; else what was counted. */
function standOf(db: Db, { unitSystem }: GardenRow, { rowLength, cropId, plants }: PlantingForm): Stand | string {
  const crop = cropsOf(db).find((c) => c.id === cropId);
  if (!rowLength || !crop) return { plants, lengthM: null };
  const lengthM = readRowLength(rowLength, unitSystem);
  return typeof lengthM === "string" ? lengthM : { plants: plantsInRow(crop, lengthM), lengthM };
}

/** In its first season the start is also how the planting came; blossom and growth say nothing of that. */
function cameFrom({ startEvent, startedOn }: PlantingForm, before: { cameBy: string }) {
  const planted = startEvent === "sown" || startEvent === "planted";
  const cameSo = before.cameBy === "sown" || before.cameBy === "planted";
  return planted || !cameSo ? { cameBy: startEvent, cameOn: startedOn } : {};
}

function whatIsWrong(db: Db, row: GardenRow, form: PlantingForm): FieldErrors | undefined {
  const today = todayOf(row);
  if (!cropsOf(db).some((c) => c.id === form.cropId)) return { cropId: "Choose a crop of the list." };
  if (!bedById(db, form.bedId)) return { bedId: "That bed is no longer there." };
  if (form.startedOn > today) return { startedOn: "That day is still to come." };
  if (form.startedTo && form.startedTo > today) return { startedTo: "That day is still to come." };
  if (form.bedNeededOn && form.bedNeededOn < form.startedOn)
    return { bedNeededOn: "The bed cannot be needed before this was in it." };
  return undefined;
}

/** Deletes a planting typed by mistake, also one that was on a round; one with picks stays in the record. */
export function removePlanting(
  db: Db,
  plantingId: string,
): { status: "removed" } | { status: "refused"; sentence: string } {
  if (!plantingById(db, plantingId)) return { status: "refused", sentence: "This planting is no longer there." };
  if (picksOfPlanting(db, plantingId).length > 0)
    return {
      status: "refused",
      sentence: "Something was picked from it, so it stays in the record. Mark it finished instead.",
    };
  deletePlanting(db, plantingId);
  return { status: "removed" };
}
