import { groupBy } from "es-toolkit";
import { asc, desc, eq, inArray } from "drizzle-orm";
import { HARVEST_KINDS, type Movement } from "~/core/ledger";
import type { Db } from "../db.server";
import { lot, movement, weighing, weighingContainer, type LotRow, type MovementRow } from "../schema/index.server";

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

/** All lots, of all picks or of one. */
export function allLots(db: Db, pickId?: string): LotRow[] {
  return db
    .select()
    .from(lot)
    .where(pickId === undefined ? undefined : eq(lot.pickId, pickId))
    .all();
}

/** Writes movements in their order, as of when they were done. */
export function insertMovements(db: Db, rows: readonly Movement[], loggedAt = new Date().toISOString()): void {
  for (const row of rows) db.insert(movement).values({ ...row, loggedAt }).run(); // prettier-ignore
}

export function movementsOf(db: Db, lotId: string): MovementRow[] {
  return db.select().from(movement).where(eq(movement.lotId, lotId)).orderBy(asc(movement.id)).all();
}

/** All movements, of all lots or of those of one pick, in their order. */
export function allMovements(db: Db, pickId?: string): MovementRow[] {
  const of = pickId === undefined ? undefined : inArray(movement.lotId, db.select({ id: lot.id }).from(lot).where(eq(lot.pickId, pickId))); // prettier-ignore
  return db.select().from(movement).where(of).orderBy(asc(movement.id)).all();
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

/** Weighings, the newest of each lot first, with their containers. */
export function allWeighings(db: Db, pickId?: string) {
  const of = pickId === undefined ? undefined : inArray(weighing.lotId, db.select({ id: lot.id }).from(lot).where(eq(lot.pickId, pickId))); // prettier-ignore
  const containers = groupBy(db.select().from(weighingContainer).all(), (c) => c.weighingId);
  return db
    .select()
    .from(weighing)
    .where(of)
    .orderBy(desc(weighing.weighedAt))
    .all()
    .map((w) => ({ ...w, containers: containers[w.id] ?? [] }));
}

export type WeighingRow = ReturnType<typeof allWeighings>[number];
