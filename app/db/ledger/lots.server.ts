import { groupBy } from "es-toolkit";
import { and, asc, desc, eq, gte, inArray, isNull, sql, type SQL } from "drizzle-orm";
import { HARVEST_KINDS, type Movement } from "~/core/ledger";
import type { Db } from "../db.server";
import {
  lot,
  movement,
  pick,
  planting,
  season,
  weighing,
  weighingContainer,
  type LotRow,
  type MovementRow,
} from "../schema/index.server";

export type { LotRow, MovementRow };

export function lotById(db: Db, id: string): LotRow | undefined {
  return db.select().from(lot).where(eq(lot.id, id)).get();
}

export function insertLot(db: Db, row: typeof lot.$inferInsert): void {
  db.insert(lot).values(row).run();
}

export function updateLot(db: Db, id: string, row: Partial<LotRow>): void {
  db.update(lot).set(row).where(eq(lot.id, id)).run();
}

export function lotsOfPick(db: Db, pickId: string): LotRow[] {
  return db.select().from(lot).where(eq(lot.pickId, pickId)).all();
}

/** All lots of some picks. */
export function lotsOfPicks(db: Db, pickIds: readonly string[]): LotRow[] {
  return db.select().from(lot).where(inArray(lot.pickId, [...pickIds])).all(); // prettier-ignore
}

const lotIdsOf = (db: Db, pickIds: readonly string[]) => db.select({ id: lot.id }).from(lot).where(inArray(lot.pickId, [...pickIds])); // prettier-ignore

/** Lots that are out to cure, with what is in them now. */
export const curingLots = (db: Db) => lotsWhere(db, eq(lot.fate, "cure"));

/** Fates that give the kitchen work in the days after the pick. */
const FOR_KITCHEN = ["eat now", "store", "preserve"] as const;

/** What was picked for the kitchen since a day: as it came in, whatever became of it. */
export const kitchenLots = (db: Db, since: string) =>
  lotsWhere(db, and(inArray(lot.fate, FOR_KITCHEN), inArray(movement.kind, HARVEST_KINDS), gte(pick.pickedOn, since)));

/** Lots with their crop, the day of their pick and what their movements come to. */
function lotsWhere(db: Db, which: SQL | undefined) {
  return db
    .select({
      cropId: planting.cropId,
      pickedOn: pick.pickedOn,
      grams: sql<number>`coalesce(sum(${movement.grams}), 0)`,
      pieces: sql<number>`coalesce(sum(${movement.pieces}), 0)`,
    })
    .from(lot)
    .innerJoin(pick, eq(lot.pickId, pick.id))
    .innerJoin(season, eq(pick.seasonId, season.id))
    .innerJoin(planting, eq(season.plantingId, planting.id))
    .innerJoin(movement, eq(movement.lotId, lot.id))
    .where(and(which, isNull(pick.withdrawnAt)))
    .groupBy(lot.id)
    .all();
}

/** Writes movements in their order, as of when they were done. */
export function insertMovements(db: Db, rows: readonly Movement[], loggedAt = new Date().toISOString()): void {
  for (const row of rows) db.insert(movement).values({ ...row, loggedAt }).run(); // prettier-ignore
}

export function movementsOf(db: Db, lotId: string): MovementRow[] {
  return db.select().from(movement).where(eq(movement.lotId, lotId)).orderBy(asc(movement.id)).all();
}

/** All movements of the lots of some picks, in their order. */
export function movementsOfPicks(db: Db, pickIds: readonly string[]): MovementRow[] {
  return db.select().from(movement).where(inArray(movement.lotId, lotIdsOf(db, pickIds))).orderBy(asc(movement.id)).all(); // prettier-ignore
}

export interface WeighingToSave {
  id: string;
  lotId: string;
  weighedAt: string;
  grossGrams: number;
  netGrams: number;
  containers: readonly { containerId: string; count: number; tareGrams: number }[];
}

/** Writes a weighing with what stood on the scale. */
export function insertWeighing(db: Db, { containers, ...row }: WeighingToSave): void {
  db.insert(weighing).values(row).run();
  for (const c of containers) db.insert(weighingContainer).values({ ...c, weighingId: row.id }).run(); // prettier-ignore
}

/** Whether the amount of a lot was said anew after a moment. */
export function restatedAfter(db: Db, lotId: string, at: string): boolean {
  return movementsOf(db, lotId).some((m) => m.loggedAt > at && HARVEST_KINDS.some((kind) => kind === m.kind));
}

export function weighingById(db: Db, id: string) {
  return db.select().from(weighing).where(eq(weighing.id, id)).get();
}

/** Weighings of the lots of some picks, the newest of each lot first, with their containers. */
export function weighingsOfPicks(db: Db, pickIds: readonly string[]) {
  const of = inArray(weighing.lotId, lotIdsOf(db, pickIds));
  const stood = db
    .select({ on: weighingContainer })
    .from(weighing)
    .innerJoin(weighingContainer, eq(weighingContainer.weighingId, weighing.id))
    .where(of)
    .all();
  const containers = groupBy(stood.map((row) => row.on), (c) => c.weighingId); // prettier-ignore
  return db
    .select()
    .from(weighing)
    .where(of)
    .orderBy(desc(weighing.weighedAt))
    .all()
    .map((w) => ({ ...w, containers: containers[w.id] ?? [] }));
}
