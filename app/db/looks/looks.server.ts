import { and, eq, isNotNull, isNull, sql } from "drizzle-orm";
import { groupBy } from "es-toolkit";
import type { Db } from "../db.server";
import { countSeen, look, seasonEnd, type LookRow } from "../schema/index.server";

export type { LookRow };
export type CountRow = typeof countSeen.$inferSelect;

const ofOpen = (seasonId: typeof look.seasonId | typeof countSeen.seasonId) =>
  sql`${seasonId} not in (select ${seasonEnd.seasonId} from ${seasonEnd} where ${seasonEnd.withdrawnAt} is null)`;

type StandingLook = LookRow & { readingId: string };

/** Looks of the seasons that are open, as they stand: one answer a cue and day, or several with their shares. */
export function openLooks(db: Db): StandingLook[] {
  const byDay = groupBy(db.select().from(look).where(ofOpen(look.seasonId)).all(), (l) => `${l.seasonId} ${l.cueId} ${l.takenOn}`); // prettier-ignore
  return Object.values(byDay).flatMap(standing);
}

/** The answers of a cue and day that stand: the plain one, or the shares told since. */
function standing(rows: LookRow[]): StandingLook[] {
  const plain = rows.find((l) => l.share === null);
  const shared = rows.filter((l) => l.share !== null && (!plain || l.takenAt > plain.takenAt));
  const held = shared.length > 0 ? shared.filter((l) => l.share! > 0) : plain ? [plain] : [];
  return held.filter((l): l is StandingLook => l.readingId !== null);
}

/** Counts of the seasons that are open. */
export function openCounts(db: Db): CountRow[] {
  return db.select().from(countSeen).where(ofOpen(countSeen.seasonId)).all();
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
  if (!before)
    db.insert(look)
      .values({ id: crypto.randomUUID(), ...row, share })
      .run();
  else if (row.takenAt >= before.takenAt)
    db.update(look)
      .set({ ...row, share })
      .where(eq(look.id, before.id))
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
