import { and, asc, desc, eq, gt, isNotNull, isNull, or, sql } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { errand, pick, round, type ErrandRow, type RoundRow } from "../schema/index.server";

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

/** The latest round that had not ended at that time: one that is out, or one of that day. */
export function roundAlongside(db: Db, { day, at }: { day: IsoDay; at: string }): RoundRow | undefined {
  return db
    .select()
    .from(round)
    .where(
      and(isNotNull(round.listedAt), or(isNull(round.finishedAt), and(eq(round.day, day), gt(round.finishedAt, at)))),
    ) // prettier-ignore
    .orderBy(desc(sql`${round.finishedAt} is null`), desc(round.finishedAt))
    .get();
}

/** A round that two phones began apart becomes one: what was said of the one counts for the other. */
export function joinRound(db: Db, row: { id: string; day: IsoDay; startedAt: string }, joinedTo: string): void {
  db.insert(round).values({ ...row, joinedTo }).onConflictDoUpdate({ target: round.id, set: { joinedTo, finishedAt: null } }).run(); // prettier-ignore
  db.update(pick).set({ roundId: joinedTo }).where(eq(pick.roundId, row.id)).run();
  const marks = db.select().from(errand).where(eq(errand.roundId, row.id)).all();
  for (const { plantingId, doneAt, markedAt } of marks)
    if (markedAt) markErrand(db, joinedTo, plantingId, doneAt !== null, markedAt);
  db.delete(errand).where(eq(errand.roundId, row.id)).run();
}

/** The number under which a round is walked: its own, or that of the one it joined. */
export const roundInFact = (db: Db, id: string): string => roundById(db, id)?.joinedTo ?? id;

/** Numbers of the rounds that joined one. */
export function joinedTo(db: Db, roundId: string): string[] {
  return db.select({ id: round.id }).from(round).where(eq(round.joinedTo, roundId)).all().map(({ id }) => id); // prettier-ignore
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
