import { and, asc, eq, gte } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { wantedDay } from "../schema/index.server";

export type WantedDayRow = typeof wantedDay.$inferSelect;

/** Days from today on which plantings are wanted, or not to be picked. */
export function wantedFrom(db: Db, today: IsoDay): WantedDayRow[] {
  return db.select().from(wantedDay).where(gte(wantedDay.day, today)).orderBy(asc(wantedDay.day)).all();
}

/** What is asked of one day of a planting. */
export function wantedOn(db: Db, plantingId: string, day: IsoDay): WantedDayRow | undefined {
  return db.select().from(wantedDay).where(and(eq(wantedDay.plantingId, plantingId), eq(wantedDay.day, day))).get(); // prettier-ignore
}

export function wantedById(db: Db, id: string): WantedDayRow | undefined {
  return db.select().from(wantedDay).where(eq(wantedDay.id, id)).get();
}

/** Asks one thing of a day of a planting, in place of what was asked before. */
export function putWantedDay(db: Db, row: WantedDayRow): void {
  const { slot, isRuledOut } = row;
  db.insert(wantedDay).values(row).onConflictDoUpdate({ target: [wantedDay.plantingId, wantedDay.day], set: { slot, isRuledOut } }).run(); // prettier-ignore
}

export function deleteWantedDay(db: Db, plantingId: string, day: IsoDay): void {
  db.delete(wantedDay)
    .where(and(eq(wantedDay.plantingId, plantingId), eq(wantedDay.day, day)))
    .run();
}
