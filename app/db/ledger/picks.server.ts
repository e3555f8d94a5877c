import { and, desc, eq, inArray, isNull, sql } from "drizzle-orm";
import { HARVEST_KINDS } from "~/core/ledger";
import type { Db } from "../db.server";
import {
  bed,
  lot,
  movement,
  pick,
  pickCorrection,
  planting,
  season,
  seasonEnd,
  type PickRow,
} from "../schema/index.server";

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
      grams: sql<number | null>`sum(${movement.grams})`,
      pieces: sql<number | null>`sum(${movement.pieces})`,
    })
    .from(pick)
    .leftJoin(lot, eq(lot.pickId, pick.id))
    .leftJoin(movement, and(eq(movement.lotId, lot.id), inArray(movement.kind, [...HARVEST_KINDS])))
    .where(
      and(
        isNull(pick.withdrawnAt),
        sql`${pick.seasonId} not in (select ${seasonEnd.seasonId} from ${seasonEnd} where ${seasonEnd.withdrawnAt} is null)`,
      ),
    )
    .groupBy(pick.id)
    .all();
}

/** Lines of the ledger, the newest first, with where each came from. */
export function ledgerPicks(db: Db, pickId?: string) {
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
    .where(pickId === undefined ? undefined : eq(pick.id, pickId))
    .orderBy(desc(pick.pickedOn), desc(pick.loggedAt))
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
      firstOn: sql<string>`min(${pick.pickedOn})`,
      lastOn: sql<string>`max(${pick.pickedOn})`,
      picks: sql<number>`count(distinct ${pick.id})`,
      pieces: sql<number>`total(${movement.pieces})`,
      gramsOnly: sql<number>`total(case when ${movement.pieces} is null then ${movement.grams} end)`,
    })
    .from(pick)
    .innerJoin(season, eq(pick.seasonId, season.id))
    .leftJoin(lot, eq(lot.pickId, pick.id))
    .leftJoin(movement, and(eq(movement.lotId, lot.id), inArray(movement.kind, [...HARVEST_KINDS])))
    .where(
      and(
        plantingId === undefined ? undefined : eq(season.plantingId, plantingId),
        isNull(pick.withdrawnAt),
        eq(pick.outcome, "picked"),
      ),
    )
    .groupBy(season.id)
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
