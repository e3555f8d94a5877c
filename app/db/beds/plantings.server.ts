import { eq } from "drizzle-orm";
import type { Db } from "../db.server";
import { planting, type PlantingRow } from "../schema/index.server";

export type { PlantingRow };

export function plantingById(db: Db, id: string): PlantingRow | undefined {
  return db.select().from(planting).where(eq(planting.id, id)).get();
}

export function allPlantings(db: Db): PlantingRow[] {
  return db.select().from(planting).all();
}

export function insertPlanting(db: Db, row: typeof planting.$inferInsert): void {
  db.insert(planting).values(row).run();
}

export function updatePlanting(db: Db, id: string, row: Partial<PlantingRow>): boolean {
  return db.update(planting).set(row).where(eq(planting.id, id)).run().changes > 0;
}

/** Takes a planting away with its seasons, looks, counts and errands; the caller has seen that nothing was picked. */
export function deletePlanting(db: Db, id: string): void {
  db.delete(planting).where(eq(planting.id, id)).run();
}

export function anyPlantingOf(db: Db, cropId: string): boolean {
  return db.select({ id: planting.id }).from(planting).where(eq(planting.cropId, cropId)).get() !== undefined;
}
