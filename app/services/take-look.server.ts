import { and, eq } from "drizzle-orm";
import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import { catalogue } from "~/catalogue/catalogue.server";
import type { Db } from "~/db/client.server";
import { look, planting } from "~/db/schema.server";
import { theGarden, todayOf } from "./clock.server";

export const LookForm = z.object({
  plantingId: z.string().min(1),
  cueId: z.string().min(1),
  /** Empty takes the look back. */
  readingId: z.string(),
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
export function takeLook(db: Db, { plantingId, cueId, readingId, takenOn: given }: LookForm): LookOutcome {
  const row = theGarden(db);
  const target = db.select().from(planting).where(eq(planting.id, plantingId)).get();
  if (!row || !target) return { status: "no such planting" };
  const today = todayOf(row);
  const takenOn = given ?? today;
  if (takenOn > today) return { status: "still to come" };
  const cue = catalogue().find((c) => c.id === target.cropId)?.cues.find((c) => c.id === cueId); // prettier-ignore
  if (!cue) return { status: "unknown cue" };
  if (readingId === "") {
    db.delete(look)
      .where(and(eq(look.plantingId, plantingId), eq(look.cueId, cueId), eq(look.takenOn, takenOn)))
      .run();
    return { status: "taken back" };
  }
  if (!cue.readings.some((r) => r.id === readingId)) return { status: "unknown cue" };
  const takenAt = new Date().toISOString();
  db.insert(look)
    .values({ id: crypto.randomUUID(), plantingId, cueId, readingId, takenOn, takenAt })
    .onConflictDoUpdate({ target: [look.plantingId, look.cueId, look.takenOn], set: { readingId, takenAt } })
    .run();
  return { status: "taken" };
}
