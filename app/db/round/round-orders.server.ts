import { and, eq, lt } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { roundOrder } from "../schema/index.server";

export type RoundOrderRow = typeof roundOrder.$inferSelect;

/** How the household put the stops of a day's rounds. */
export function roundOrdersOn(db: Db, day: IsoDay): RoundOrderRow[] {
  return db.select().from(roundOrder).where(eq(roundOrder.day, day)).all();
}

/** Keeps an order, and forgets those of days before. */
export function putRoundOrder(db: Db, row: RoundOrderRow): void {
  const { stops } = row;
  db.transaction((tx) => {
    tx.delete(roundOrder).where(lt(roundOrder.day, row.day)).run();
    tx.insert(roundOrder).values(row).onConflictDoUpdate({ target: [roundOrder.day, roundOrder.slot], set: { stops } }).run(); // prettier-ignore
  });
}

/** Forgets an order. */
export function deleteRoundOrder(db: Db, day: IsoDay, slot: string): void {
  db.delete(roundOrder).where(and(eq(roundOrder.day, day), eq(roundOrder.slot, slot))).run(); // prettier-ignore
}
