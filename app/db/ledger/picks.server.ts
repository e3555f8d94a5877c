import { and, asc, desc, eq, gte, inArray, isNull, sql } from "drizzle-orm";
import type { AnySQLiteColumn } from "drizzle-orm/sqlite-core";
import type { Db } from "../db.server";
import {
  bed,
  entry,
  pick,
  pickCorrection,
  pickSum,
  planting,
  season,
  seasonEnd,
  seasonSum,
  type PickRow,
} from "../schema/index.server";
import { openIds } from "../beds/seasons.server";

export type { PickRow };

export function pickById(db: Db, id: string): PickRow | undefined {
  return db.select().from(pick).where(eq(pick.id, id)).get();
}

export function insertPick(db: Db, row: typeof pick.$inferInsert): void {
  db.insert(pick).values(row).run();
}

export function updatePick(db: Db, id: string, row: Partial<PickRow>): void {
  db.update(pick).set(row).where(eq(pick.id, id)).run();
}

/** Picks of the open seasons that stand, with what came off: grams and pieces over all their lots. */
export function openPicks(db: Db) {
  return db
    .select({
      id: pick.id,
      seasonId: pick.seasonId,
      pickedOn: pick.pickedOn,
      outcome: pick.outcome,
      tookAll: pick.tookAll,
      loggedAt: pick.loggedAt,
      grams: pickSum.grams,
      pieces: pickSum.pieces,
    })
    .from(pick)
    .leftJoin(pickSum, eq(pickSum.pickId, pick.id))
    .where(and(isNull(pick.withdrawnAt), inArray(pick.seasonId, openIds(db))))
    .orderBy(asc(pick.pickedOn), asc(pick.id))
    .all();
}

/** Picks of something that stand, from a day on, with the device that logged each. */
export function picksByDevice(db: Db, from: string) {
  return db
    .select({ id: pick.id, seasonId: pick.seasonId, roundId: pick.roundId, device: entry.device, at: pick.loggedAt })
    .from(pick)
    .innerJoin(entry, eq(entry.id, pick.id))
    .where(and(gte(pick.pickedOn, from), eq(pick.outcome, "picked"), isNull(pick.withdrawnAt)))
    .all();
}

/** Picks as lines of the ledger, with where each came from; in no order. */
export function ledgerPicks(db: Db, pickIds: readonly string[]) {
  return db
    .select({
      pick,
      plantingId: season.plantingId,
      seasonCrop: season.crop,
      cropId: planting.cropId,
      variety: planting.variety,
      bed: bed.name,
    })
    .from(pick)
    .innerJoin(season, eq(pick.seasonId, season.id))
    .innerJoin(planting, eq(season.plantingId, planting.id))
    .innerJoin(bed, eq(planting.bedId, bed.id))
    .where(inArray(pick.id, [...pickIds]))
    .all();
}

export type LedgerPick = ReturnType<typeof ledgerPicks>[number];

export function picksOfPlanting(db: Db, plantingId: string): PickRow[] {
  return db
    .select({ pick })
    .from(pick)
    .innerJoin(season, eq(pick.seasonId, season.id))
    .where(eq(season.plantingId, plantingId))
    .all()
    .map((row) => row.pick);
}

/**
 * What each season gave that anything was picked in: its first and last pick, the pieces that were counted and the
 * grams that were only weighed, over all lots.
 *
 * @param plantingId - only those of one planting
 */
export function pickedBySeason(db: Db, plantingId?: string) {
  return db
    .select({
      season,
      closed: sql<number>`exists (select 1 from ${seasonEnd} where ${seasonEnd.seasonId} = ${season.id} and ${seasonEnd.withdrawnAt} is null)`,
      firstOn: sql<string>`min(${seasonSum.firstOn})`,
      lastOn: sql<string>`max(${seasonSum.lastOn})`,
      picks: sql<number>`sum(${seasonSum.picks})`,
      pieces: sql<number>`sum(${seasonSum.pieces})`,
      gramsOnly: sql<number>`sum(${seasonSum.gramsOnly})`,
    })
    .from(seasonSum)
    .innerJoin(season, eq(seasonSum.seasonId, season.id))
    .where(plantingId === undefined ? undefined : eq(season.plantingId, plantingId))
    .groupBy(season.id)
    .all();
}

/** What the garden gave by one of these; of what is not told apart any one stands beside it. */
export function harvestSums(db: Db, by: "crop" | "variety" | "bed" | "year") {
  const sum = (of: AnySQLiteColumn) => sql<number>`sum(${of})`;
  const keys = { crop: [planting.cropId], variety: [planting.cropId, planting.variety], bed: [bed.id], year: [seasonSum.year] }; // prettier-ignore
  return db
    .select({
      cropId: planting.cropId,
      variety: planting.variety,
      bed: bed.name,
      year: seasonSum.year,
      picks: sql<number>`sum(${seasonSum.picks})`,
      grams: sum(seasonSum.grams),
      pieces: sum(seasonSum.pieces),
      estimatedGrams: sum(seasonSum.estimatedGrams),
      spoiltGrams: sum(seasonSum.spoiltGrams),
      spoiltEstimatedGrams: sum(seasonSum.spoiltEstimatedGrams),
      spoiltPieces: sum(seasonSum.spoiltPieces),
    })
    .from(seasonSum)
    .innerJoin(season, eq(seasonSum.seasonId, season.id))
    .innerJoin(planting, eq(season.plantingId, planting.id))
    .innerJoin(bed, eq(planting.bedId, bed.id))
    .groupBy(...keys[by])
    .orderBy(sql`min(${seasonSum.firstOn})`)
    .all();
}

/** Picks of a round that stand, with the planting each is of. */
export function picksOfRound(db: Db, roundId: string): (PickRow & { plantingId: string })[] {
  return db
    .select({ pick, plantingId: season.plantingId })
    .from(pick)
    .innerJoin(season, eq(pick.seasonId, season.id))
    .where(and(eq(pick.roundId, roundId), isNull(pick.withdrawnAt)))
    .all()
    .map((row) => ({ ...row.pick, plantingId: row.plantingId }));
}

/** Keeps what a line said before it was corrected. */
export function keepEarlier(db: Db, pickId: string, earlier: object): void {
  db.insert(pickCorrection).values({ pickId, correctedAt: new Date().toISOString(), earlier: JSON.stringify(earlier) }).run(); // prettier-ignore
}

export function correctionsOf(db: Db, pickId: string) {
  return db
    .select()
    .from(pickCorrection)
    .where(eq(pickCorrection.pickId, pickId))
    .orderBy(desc(pickCorrection.id))
    .all();
}
