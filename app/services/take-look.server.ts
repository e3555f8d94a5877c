import { and, eq } from "drizzle-orm";
import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import { look, planting } from "~/db/schema.server";
import { readingOfSize } from "~/core/readiness";
import { theGarden, todayOf } from "./clock.server";
import { cropOfPlanting } from "./household-crops.server";

export const LookForm = z.object({
  plantingId: z.string().min(1),
  cueId: z.string().min(1),
  /** Empty takes the look back; with a measurement it is worked out from that. */
  readingId: z.string(),
  /** A size read with a rule or against an object, mm. */
  measuredMm: z.coerce.number("Give the size as a number.").min(1, "A size under 1 mm cannot be read.").max(3000, "Nothing here grows longer than 3 m: check the unit.").optional(), // prettier-ignore
  /** How many were looked at. */
  sampleOf: z.coerce.number("Say how many, as a number.").int("Say how many, as a whole number.").min(1, "At least one was looked at.").max(1000, "At most 1000.").optional(), // prettier-ignore
  /** Day of the look, when it is sent later; today when left out. */
  takenOn: IsoDay.optional(),
});
export type LookForm = z.infer<typeof LookForm>;

export type LookOutcome =
  | { status: "taken" | "taken back" }
  | { status: "no such planting" }
  | { status: "unknown cue" }
  | { status: "still to come" };

/** Writes what was seen today; a second answer to the same cue replaces the first. */
export function takeLook(db: Db, given: LookForm): LookOutcome {
  const { plantingId, cueId, measuredMm, sampleOf } = given;
  const row = theGarden(db);
  const target = db.select().from(planting).where(eq(planting.id, plantingId)).get();
  if (!row || !target) return { status: "no such planting" };
  const today = todayOf(row);
  const takenOn = given.takenOn ?? today;
  if (takenOn > today) return { status: "still to come" };
  const cue = cropOfPlanting(db, target)?.cues.find((c) => c.id === cueId);
  if (!cue || cue.auto) return { status: "unknown cue" };
  if (given.readingId === "" && measuredMm === undefined) {
    db.delete(look)
      .where(and(eq(look.plantingId, plantingId), eq(look.cueId, cueId), eq(look.takenOn, takenOn)))
      .run();
    return { status: "taken back" };
  }
  const reading =
    measuredMm === undefined ? cue.readings.find((r) => r.id === given.readingId) : readingOfSize(cue, measuredMm);
  if (!reading) return { status: "unknown cue" };
  const seen = {
    readingId: reading.id,
    takenAt: new Date().toISOString(),
    measuredMm: measuredMm ?? null,
    sampleOf: sampleOf ?? null,
  };
  db.insert(look)
    .values({ id: crypto.randomUUID(), plantingId, cueId, takenOn, ...seen })
    .onConflictDoUpdate({ target: [look.plantingId, look.cueId, look.takenOn], set: seen })
    .run();
  return { status: "taken" };
}
