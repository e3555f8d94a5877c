import { and, eq, inArray, isNotNull, isNull, sql } from "drizzle-orm";
import { groupBy } from "es-toolkit";
import type { Db } from "../db.server";
import { openIds } from "../beds/seasons.server";
import { countSeen, look, type LookRow } from "../schema/index.server";

export type { LookRow };
export type CountRow = typeof countSeen.$inferSelect;

type StandingLook = LookRow & { readingId: string };

/** Looks of the seasons that are open, as they stand: one answer a cue and day, or several with their shares. */
export function openLooks(db: Db): StandingLook[] {
  const byDay = groupBy(db.select().from(look).where(inArray(look.seasonId, openIds(db))).orderBy(look.takenAt, sql`rowid`).all(), (l) => `${l.seasonId} ${l.cueId} ${l.takenOn}`); // prettier-ignore
  return Object.values(byDay).flatMap(standing);
}

/** Looks of one season as they stand, whether it is open or over. */
export function looksOfSeason(db: Db, seasonId: string): StandingLook[] {
  const rows = db
    .select()
    .from(look)
    .where(eq(look.seasonId, seasonId))
    .orderBy(look.takenAt, sql`rowid`)
    .all();
  return Object.values(groupBy(rows, (l) => `${l.cueId} ${l.takenOn}`)).flatMap(standing);
}

/**
 * The answers of a cue and day that stand: the plain one, or the shares told since.
 *
 * @param rows - in the order in which they were told
 */
function standing(rows: LookRow[]): StandingLook[] {
  const plainAt = rows.findIndex((l) => l.share === null);
  const since = rows.slice(plainAt + 1);
  const held = since.length > 0 ? since.filter((l) => l.share! > 0) : rows.slice(plainAt);
  return held.filter((l): l is StandingLook => l.readingId !== null);
}

/** Counts of the seasons that are open. */
export function openCounts(db: Db): CountRow[] {
  return db
    .select()
    .from(countSeen)
    .where(inArray(countSeen.seasonId, openIds(db)))
    .all();
}

/**
 * Writes a look down; of two plain answers to one cue on one day the later holds, whichever came first, and so it does
 * of two shares of one reading. Call it within a transaction.
 */
export function saveLook(
  db: Db,
  { share = null, ...row }: Omit<LookRow, "id" | "share"> & { share?: number | null },
): void {
  const same = and(
    eq(look.seasonId, row.seasonId),
    eq(look.cueId, row.cueId),
    eq(look.takenOn, row.takenOn),
    share === null ? isNull(look.share) : and(isNotNull(look.share), eq(look.readingId, row.readingId ?? "")),
  );
  const before = db.select().from(look).where(same).get();
  if (before && row.takenAt < before.takenAt) return;
  // Of the same moment the one that comes in later holds: it is written anew.
  if (before) db.delete(look).where(eq(look.id, before.id)).run();
  const id = crypto.randomUUID();
  db.insert(look).values({ id, ...row, share }).run(); // prettier-ignore
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
