import { and, asc, eq, gte, inArray, isNull, not, sql } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import {
  countSeen,
  look,
  pick,
  planting,
  season,
  seasonEnd,
  treatment,
  type SeasonEndRow,
  type SeasonRow,
} from "../schema/index.server";

export type { SeasonEndRow, SeasonRow };

/** A season with no standing end. */
const isOpen = sql`not exists (select 1 from ${seasonEnd} where ${seasonEnd.seasonId} = ${season.id} and ${seasonEnd.withdrawnAt} is null)`;

/** Seasons that are open, to find their rows by: not all rows for whether theirs is. */
export const openIds = (db: Db) => db.select({ id: season.id }).from(season).where(isOpen);

/** Open seasons with their plantings: what grows. */
export function openSeasons(db: Db) {
  return db.select().from(season).innerJoin(planting, eq(season.plantingId, planting.id)).where(isOpen).all();
}

export function openSeasonOf(db: Db, plantingId: string): SeasonRow | undefined {
  return db.select().from(season).where(and(eq(season.plantingId, plantingId), isOpen)).get(); // prettier-ignore
}

/** Seasons of a planting, the first one first. */
export function seasonsOf(db: Db, plantingId: string): SeasonRow[] {
  return db.select().from(season).where(eq(season.plantingId, plantingId)).orderBy(asc(season.opensOn)).all();
}

export function seasonById(db: Db, id: string): SeasonRow | undefined {
  return db.select().from(season).where(eq(season.id, id)).get();
}

/** All seasons of some plantings with their standing ends: the newest of each planting is the last. */
export function seasonsWithEnds(db: Db, plantings: readonly { id: string }[]) {
  return db
    .select()
    .from(season)
    .leftJoin(seasonEnd, and(eq(seasonEnd.seasonId, season.id), isNull(seasonEnd.withdrawnAt)))
    .where(
      inArray(
        season.plantingId,
        plantings.map((p) => p.id),
      ),
    )
    .orderBy(asc(season.opensOn))
    .all()
    .map((row) => ({ ...row.season, end: row.season_end }));
}

export function insertSeason(db: Db, row: typeof season.$inferInsert): void {
  db.insert(season).values(row).run();
}

export function updateSeason(db: Db, id: string, row: Partial<SeasonRow>): void {
  db.update(season).set(row).where(eq(season.id, id)).run();
}

export function deleteSeason(db: Db, id: string): void {
  db.delete(season).where(eq(season.id, id)).run();
}

/** The end that stands, if any. */
export function endOf(db: Db, seasonId: string): SeasonEndRow | undefined {
  return db
    .select()
    .from(seasonEnd)
    .where(and(eq(seasonEnd.seasonId, seasonId), isNull(seasonEnd.withdrawnAt)))
    .get();
}

/** Writes an end down, once however often it comes. */
export function insertEnd(db: Db, row: Omit<typeof seasonEnd.$inferInsert, "loggedAt"> & { loggedAt?: string }): void {
  db.insert(seasonEnd).values({ loggedAt: new Date().toISOString(), ...row }).onConflictDoNothing().run(); // prettier-ignore
}

export function updateEnd(db: Db, id: string, row: Partial<SeasonEndRow>): void {
  db.update(seasonEnd).set(row).where(eq(seasonEnd.id, id)).run();
}

type EndsOf = { seasonId: string } | { pickId: string } | { id: string };

function endsThat(of: EndsOf) {
  if ("seasonId" in of) return eq(seasonEnd.seasonId, of.seasonId);
  return "pickId" in of ? eq(seasonEnd.pickId, of.pickId) : eq(seasonEnd.id, of.id);
}

/** Takes the ends that match back. */
export function withdrawEnds(db: Db, of: EndsOf): void {
  db.update(seasonEnd).set({ withdrawnAt: new Date().toISOString() }).where(endsThat(of)).run();
}

/** Puts the ends that match back, where the season has not ended otherwise since. */
export function restoreEnds(db: Db, of: EndsOf): void {
  const ended = sql`${seasonEnd.seasonId} in (select e.season_id from ${seasonEnd} e where e.withdrawn_at is null)`;
  db.update(seasonEnd).set({ withdrawnAt: null }).where(and(endsThat(of), not(ended))).run(); // prettier-ignore
}

/** Moves what was done from a day on to another season: a perennial's years are told apart. */
export function moveRowsFrom(db: Db, from: string, to: string, day: IsoDay): void {
  db.transaction((tx) => {
    tx.update(look).set({ seasonId: to }).where(and(eq(look.seasonId, from), gte(look.takenOn, day))).run(); // prettier-ignore
    tx.update(countSeen).set({ seasonId: to }).where(and(eq(countSeen.seasonId, from), gte(countSeen.countedOn, day))).run(); // prettier-ignore
    tx.update(pick).set({ seasonId: to }).where(and(eq(pick.seasonId, from), gte(pick.pickedOn, day))).run(); // prettier-ignore
    tx.update(treatment).set({ seasonId: to }).where(and(eq(treatment.seasonId, from), gte(treatment.treatedOn, day))).run(); // prettier-ignore
  });
}

/** Days on which anything was done in a season, for telling a perennial's years apart. */
export function daysTouched(db: Db, seasonId: string): IsoDay[] {
  const rows = [
    ...db.select({ day: look.takenOn }).from(look).where(eq(look.seasonId, seasonId)).all(),
    ...db.select({ day: pick.pickedOn }).from(pick).where(eq(pick.seasonId, seasonId)).all(),
    ...db.select({ day: countSeen.countedOn }).from(countSeen).where(eq(countSeen.seasonId, seasonId)).all(),
    ...db.select({ day: treatment.treatedOn }).from(treatment).where(eq(treatment.seasonId, seasonId)).all(),
  ];
  return rows.map((r) => r.day);
}

/**
 * Ends of an earlier schema could not say whether a pick told them: of a crop that is not over when all of it is
 * taken, the gardener did.
 *
 * @param keepsGiving - ids of such crops
 */
export function settleOldEnds(db: Db, keepsGiving: readonly string[]): void {
  const ids = db
    .select({ id: seasonEnd.id })
    .from(seasonEnd)
    .innerJoin(season, eq(seasonEnd.seasonId, season.id))
    .innerJoin(planting, eq(season.plantingId, planting.id))
    .where(and(eq(seasonEnd.reason, "all taken"), inArray(planting.cropId, [...keepsGiving])))
    .all()
    .map((row) => row.id);
  if (ids.length === 0) return;
  db.update(seasonEnd).set({ reason: "bed free", pickId: null }).where(inArray(seasonEnd.id, ids)).run();
}
