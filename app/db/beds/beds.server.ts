import { asc, eq, max } from "drizzle-orm";
import type { Db } from "../db.server";
import { bed, planting, type BedRow } from "../schema/index.server";

export type { BedRow };

/** Beds along the footpath. */
export function allBeds(db: Db): BedRow[] {
  return db.select().from(bed).orderBy(asc(bed.position)).all();
}

export function bedById(db: Db, id: string): BedRow | undefined {
  return db.select().from(bed).where(eq(bed.id, id)).get();
}

/** Adds a bed at the end of the footpath. */
export function appendBed(db: Db, row: Omit<BedRow, "position">): void {
  const last = db.select({ position: max(bed.position) }).from(bed).get()?.position ?? -1; // prettier-ignore
  db.insert(bed).values({ ...row, position: last + 1 }).run(); // prettier-ignore
}

export function updateBed(db: Db, id: string, row: Partial<Pick<BedRow, "name" | "kind">>): boolean {
  return db.update(bed).set(row).where(eq(bed.id, id)).run().changes > 0;
}

export function swapBeds(db: Db, one: BedRow, other: BedRow): void {
  db.transaction((tx) => {
    tx.update(bed).set({ position: other.position }).where(eq(bed.id, one.id)).run();
    tx.update(bed).set({ position: one.position }).where(eq(bed.id, other.id)).run();
  });
}

export function bedHasPlantings(db: Db, id: string): boolean {
  return db.select({ id: planting.id }).from(planting).where(eq(planting.bedId, id)).get() !== undefined;
}

export function deleteBed(db: Db, id: string): boolean {
  return db.delete(bed).where(eq(bed.id, id)).run().changes > 0;
}
