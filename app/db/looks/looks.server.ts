import { and, isNotNull, sql } from "drizzle-orm";
import type { Db } from "../db.server";
import { countSeen, look, seasonEnd, type LookRow } from "../schema/index.server";

export type { LookRow };
export type CountRow = typeof countSeen.$inferSelect;

const ofOpen = (seasonId: typeof look.seasonId | typeof countSeen.seasonId) =>
  sql`${seasonId} not in (select ${seasonEnd.seasonId} from ${seasonEnd} where ${seasonEnd.withdrawnAt} is null)`;

/** Looks of the seasons that are open. */
export function openLooks(db: Db): (LookRow & { readingId: string })[] {
  return db.select().from(look).where(and(isNotNull(look.readingId), ofOpen(look.seasonId))).all() as (LookRow & { readingId: string })[]; // prettier-ignore
}

/** Counts of the seasons that are open. */
export function openCounts(db: Db): CountRow[] {
  return db.select().from(countSeen).where(ofOpen(countSeen.seasonId)).all();
}

/** Writes a look down; of two answers to one cue on one day the later holds, whichever came first. */
export function saveLook(db: Db, row: Omit<LookRow, "id">): void {
  const { readingId, takenAt, sampleOf, measuredMm } = row;
  db.insert(look)
    .values({ id: crypto.randomUUID(), ...row })
    .onConflictDoUpdate({
      target: [look.seasonId, look.cueId, look.takenOn],
      set: { readingId, takenAt, sampleOf, measuredMm },
      setWhere: sql`excluded.taken_at >= ${look.takenAt}`,
    })
    .run();
}

/** Writes a count down; the later of a day holds. */
export function saveCount(db: Db, row: Omit<CountRow, "id">): void {
  const { number, countedAt } = row;
  db.insert(countSeen)
    .values({ id: crypto.randomUUID(), ...row })
    .onConflictDoUpdate({
      target: [countSeen.seasonId, countSeen.what, countSeen.countedOn],
      set: { number, countedAt },
      setWhere: sql`excluded.counted_at >= ${countSeen.countedAt}`,
    })
    .run();
}
