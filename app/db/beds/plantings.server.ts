import { count, eq, or, sql } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { planting, season, seasonEnd, type PlantingRow } from "../schema/index.server";

export type { PlantingRow };

export function plantingById(db: Db, id: string): PlantingRow | undefined {
  return db.select().from(planting).where(eq(planting.id, id)).get();
}

export function allPlantings(db: Db): PlantingRow[] {
  return db.select().from(planting).all();
}

/** Plantings that grow, or stood until some day or later; of one bed all, if it is named. */
export function plantingsSince(db: Db, day: IsoDay, bedId = ""): PlantingRow[] {
  const stood = sql`not exists (select 1 from ${season} where ${season.plantingId} = ${planting.id})
    or exists (select 1 from ${season} left join ${seasonEnd} on ${seasonEnd.seasonId} = ${season.id} and ${seasonEnd.withdrawnAt} is null
      where ${season.plantingId} = ${planting.id} and (${seasonEnd.endedOn} is null or ${seasonEnd.endedOn} >= ${day}))`;
  return db
    .select()
    .from(planting)
    .where(or(eq(planting.bedId, bedId), stood))
    .all();
}

/** How many plantings each bed has had. */
export function plantingCounts(db: Db): Map<string, number> {
  const rows = db.select({ bedId: planting.bedId, n: count() }).from(planting).groupBy(planting.bedId).all();
  return new Map(rows.map((row) => [row.bedId, row.n]));
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
