import { and, asc, eq, gt, isNotNull, isNull, or, sql } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { errand, round, type ErrandRow, type RoundRow } from "../schema/index.server";

export type { ErrandRow, RoundRow };

/** The round that is out, if any: one that has its list and has not ended. */
export function openRound(db: Db): RoundRow | undefined {
  return db
    .select()
    .from(round)
    .where(and(isNull(round.finishedAt), isNotNull(round.listedAt)))
    .get();
}

export function roundById(db: Db, id: string): RoundRow | undefined {
  return db.select().from(round).where(eq(round.id, id)).get();
}

/** A round that something speaks of before its start has arrived: known by its number and day. */
export function touchRound(db: Db, id: string, day: IsoDay, at: string): void {
  db.insert(round).values({ id, day, startedAt: at }).onConflictDoNothing().run();
}

/** Starts a round with its list, or gives the list to one that was only heard of. */
export function saveRound(
  db: Db,
  row: { id: string; day: IsoDay; startedAt: string },
  errands: readonly Omit<ErrandRow, "roundId" | "position" | "doneAt" | "markedAt">[],
): void {
  const listedAt = new Date().toISOString();
  const { day, startedAt } = row;
  db.transaction((tx) => {
    tx.insert(round)
      .values({ ...row, listedAt })
      .onConflictDoUpdate({ target: round.id, set: { day, startedAt, listedAt } })
      .run();
    errands.forEach((e, position) =>
      tx
        .insert(errand)
        .values({ ...e, roundId: row.id, position })
        // Passed by before the list arrived: the mark stays.
        .onConflictDoUpdate({ target: [errand.roundId, errand.plantingId], set: { ...e, position } })
        .run(),
    );
  });
}

/** Ends a round; of two words the earlier holds. */
export function endRound(db: Db, id: string, finishedAt: string): void {
  db.update(round)
    .set({ finishedAt })
    .where(and(eq(round.id, id), or(isNull(round.finishedAt), gt(round.finishedAt, finishedAt))))
    .run();
}

/** Errands of a round in walking order; one that the list never had is left out. */
export function errandsOf(db: Db, roundId: string): ErrandRow[] {
  return db
    .select()
    .from(errand)
    .where(and(eq(errand.roundId, roundId), sql`${errand.position} >= 0`))
    .orderBy(asc(errand.position))
    .all();
}

/** Marks an errand as passed by, or takes that back; the latest word holds, also before the list has arrived. */
export function markErrand(db: Db, roundId: string, plantingId: string, done: boolean, at: string): void {
  const set = { doneAt: done ? at : null, markedAt: at };
  db.insert(errand)
    .values({
      roundId,
      plantingId,
      position: -1,
      part: "first",
      doing: "look",
      expectedPieces: 0,
      expectedGrams: 0,
      minutes: 0,
      ...set,
    }) // prettier-ignore
    .onConflictDoUpdate({
      target: [errand.roundId, errand.plantingId],
      set,
      setWhere: sql`${errand.markedAt} is null or ${errand.markedAt} <= ${at}`,
    })
    .run();
}

/** Rounds of a day that have ended. */
export function finishedRoundsOn(db: Db, day: IsoDay): RoundRow[] {
  return db
    .select()
    .from(round)
    .where(and(eq(round.day, day), isNotNull(round.finishedAt)))
    .all();
}
