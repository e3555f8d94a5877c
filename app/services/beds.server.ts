import { eq, max } from "drizzle-orm";
import { z } from "zod";
import { readPlantingLine, type PlantingLine } from "~/core/crops";
import { BedKind } from "~/core/hazards";
import type { Db } from "~/db/client.server";
import { bed, pick, planting, type GardenRow } from "~/db/schema.server";
import { todayOf } from "./clock.server";
import { cropsOf } from "./household-crops.server";

export const BedForm = z.object({
  name: z.string().trim().min(1, "Give the bed a name you would say aloud.").max(60, "Keep the name under 60 letters."),
  kind: BedKind,
});

export type BedOutcome = { status: "added"; bedId: string } | { status: "refused"; sentence: string };

/** Adds a bed at the end of the footpath. */
export function addBed(db: Db, form: z.infer<typeof BedForm>): BedOutcome {
  const taken = db.select().from(bed).all().some((b) => b.name.toLowerCase() === form.name.toLowerCase()); // prettier-ignore
  if (taken) return { status: "refused", sentence: `There is already a bed called ${form.name}.` };
  const last =
    db
      .select({ position: max(bed.position) })
      .from(bed)
      .get()?.position ?? -1;
  const bedId = crypto.randomUUID();
  db.insert(bed).values({ id: bedId, ...form, position: last + 1 }).run(); // prettier-ignore
  return { status: "added", bedId };
}

/** Renames a bed or says what it is. */
export function editBed(db: Db, bedId: string, form: z.infer<typeof BedForm>): BedOutcome {
  const taken = db.select().from(bed).all().some((b) => b.id !== bedId && b.name.toLowerCase() === form.name.toLowerCase()); // prettier-ignore
  if (taken) return { status: "refused", sentence: `There is already a bed called ${form.name}.` };
  db.update(bed).set(form).where(eq(bed.id, bedId)).run();
  return { status: "added", bedId };
}

/** Moves a bed one place along the footpath. */
export function moveBed(db: Db, bedId: string, step: -1 | 1): void {
  const beds = db.select().from(bed).all().sort((a, b) => a.position - b.position); // prettier-ignore
  const at = beds.findIndex((b) => b.id === bedId);
  const other = beds[at + step];
  const here = beds[at];
  if (!here || !other) return;
  db.transaction((tx) => {
    tx.update(bed).set({ position: other.position }).where(eq(bed.id, here.id)).run();
    tx.update(bed).set({ position: here.position }).where(eq(bed.id, other.id)).run();
  });
}

/** Takes an empty bed away; one with plantings or a history stays. */
export function removeBed(db: Db, bedId: string): { status: "removed" } | { status: "refused"; sentence: string } {
  if (db.select().from(planting).where(eq(planting.bedId, bedId)).get())
    return {
      status: "refused",
      sentence: "This bed has plantings in its record. Finish or move them; the bed stays for the ledger’s sake.",
    };
  db.delete(bed).where(eq(bed.id, bedId)).run();
  return { status: "removed" };
}

export type UnderstoodLine = Extract<PlantingLine, { status: "understood" }> & { bedId: string; bedName: string };
export type LineOutcome =
  { status: "understood"; line: UnderstoodLine } | { status: "not understood"; sentence: string };

/** Understands a planting line of this garden; the bed may be named in it or be the one it was typed at. */
export function understandLine(db: Db, row: GardenRow, text: string, typedAtBed: string | undefined): LineOutcome {
  const line = readPlantingLine(cropsOf(db), text, todayOf(row));
  if (line.status === "not understood") return line;
  const beds = db.select().from(bed).all().sort((a, b) => a.position - b.position); // prettier-ignore
  const wanted = line.bedName?.toLowerCase();
  const numbered = /^bed\s*(\d+)$/.exec(wanted ?? "");
  const found = wanted
    ? (beds.find((b) => b.name.toLowerCase() === wanted) ?? (numbered ? beds[Number(numbered[1]) - 1] : undefined))
    : beds.find((b) => b.id === typedAtBed);
  if (!found) {
    const names = beds.map((b) => b.name).join(", ");
    return {
      status: "not understood",
      sentence: wanted
        ? `No bed called “${line.bedName}”. There are: ${names || "none yet; add one first"}.`
        : "Say which bed, for example “, Long bed”.",
    };
  }
  return { status: "understood", line: { ...line, bedId: found.id, bedName: found.name } };
}

/** Adds a planting that was understood. */
export function addPlanting(db: Db, line: UnderstoodLine): string {
  const id = crypto.randomUUID();
  const { bedId, variety, plants, startEvent, startedOn } = line;
  db.insert(planting).values({ id, bedId, cropId: line.crop.id, variety, plants, startEvent, startedOn }).run(); // prettier-ignore
  return id;
}

export const PlantingForm = z
  .object({
    plantingId: z.string(),
    variety: z.string().trim().max(60, "Keep the variety under 60 letters."),
    plants: z.coerce
      .number("Say how many plants.")
      .int("Use a whole number of plants.")
      .min(1, "At least one plant.")
      .max(5000, "At most 5000 plants."),
    bedId: z.string(),
    startedOn: z.iso.date("That is not a day in the calendar. Write it like 2026-05-03."),
    packetLow: z.union([
      z.literal("").transform(() => null),
      z.coerce.number("Days as a number.").int().min(5, "Fewer than 5 days is too short.").max(400),
    ]),
    packetHigh: z.union([
      z.literal("").transform(() => null),
      z.coerce.number("Days as a number.").int().min(5, "Fewer than 5 days is too short.").max(400),
    ]),
    schoolOption: z.string().transform((v) => v || null),
    forSeed: z.enum(["yes", "no"]).default("no").transform((v) => v === "yes"), // prettier-ignore
    bedNeededOn: z.union([
      z.literal("").transform(() => null),
      z.iso.date("That is not a day in the calendar. Write it like 2026-05-03."),
    ]).default(null), // prettier-ignore
  })
  .refine((p) => (p.packetLow === null) === (p.packetHigh === null), {
    error: "Give both ends of the packet’s days, or neither.",
    path: ["packetHigh"],
  })
  .refine((p) => p.packetLow === null || p.packetHigh === null || p.packetLow <= p.packetHigh, {
    error: "The packet’s later day is before its earlier one.",
    path: ["packetHigh"],
  });

/** Changes a planting's facts. */
export function editPlanting(
  db: Db,
  row: GardenRow,
  form: z.infer<typeof PlantingForm>,
): { status: "saved" } | { status: "refused"; errors: Record<string, string> } {
  if (form.bedNeededOn && form.bedNeededOn < form.startedOn)
    return { status: "refused", errors: { bedNeededOn: "The bed cannot be needed before this was in it." } };
  if (form.startedOn > todayOf(row)) return { status: "refused", errors: { startedOn: "That day is still to come." } };
  if (!db.select().from(bed).where(eq(bed.id, form.bedId)).get())
    return { status: "refused", errors: { bedId: "That bed is no longer there." } };
  const { plantingId, ...facts } = form;
  db.update(planting).set(facts).where(eq(planting.id, plantingId)).run();
  return { status: "saved" };
}

/** Ends a planting, or takes that back. */
export function finishPlanting(db: Db, row: GardenRow, plantingId: string, finished: boolean): void {
  db.update(planting).set({ finishedOn: finished ? todayOf(row) : null }).where(eq(planting.id, plantingId)).run(); // prettier-ignore
}

/** Deletes a planting typed by mistake; one with picks stays in the record. */
export function removePlanting(
  db: Db,
  plantingId: string,
): { status: "removed" } | { status: "refused"; sentence: string } {
  if (db.select().from(pick).where(eq(pick.plantingId, plantingId)).get())
    return {
      status: "refused",
      sentence: "Something was picked from it, so it stays in the record. Mark it finished instead.",
    };
  db.delete(planting).where(eq(planting.id, plantingId)).run();
  return { status: "removed" };
}
