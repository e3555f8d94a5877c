import { and, eq, gte } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { wantedDay } from "../schema/index.server";

export type WantedDayRow = typeof wantedDay.$inferSelect;

/** Days from today on which plantings are wanted. */
export function wantedFrom(db: Db, today: IsoDay): WantedDayRow[] {
  return db.select().from(wantedDay).where(gte(wantedDay.day, today)).orderBy(wantedDay.day).all();
}

/** Asking twice for a day asks once. */
export function insertWantedDay(db: Db, row: WantedDayRow): void {
  db.insert(wantedDay).values(row).onConflictDoNothing().run();
}

/** Takes a wish back; only one of this planting. */
export function deleteWantedDay(db: Db, plantingId: string, id: string): boolean {
  return db.delete(wantedDay).where(and(eq(wantedDay.id, id), eq(wantedDay.plantingId, plantingId))).run().changes > 0; // prettier-ignore
}
