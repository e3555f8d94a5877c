import { and, asc, eq, gte } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { actMark } from "../schema/index.server";

export type ActMarkRow = typeof actMark.$inferSelect;

/** What was done or left out beside picking since a day, in the order it was said. */
export function actMarks(db: Db, since: IsoDay): ActMarkRow[] {
  return db.select().from(actMark).where(gte(actMark.day, since)).orderBy(asc(actMark.madeAt)).all();
}

/** Marks an act of a day, in place of what was said of it before. */
export function putActMark(db: Db, row: ActMarkRow): void {
  const { isSkipped, madeAt } = row;
  db.insert(actMark).values(row).onConflictDoUpdate({ target: [actMark.key, actMark.day], set: { isSkipped, madeAt } }).run(); // prettier-ignore
}

/** Takes a mark back. */
export function deleteActMark(db: Db, key: string, day: IsoDay): boolean {
  return db.delete(actMark).where(and(eq(actMark.key, key), eq(actMark.day, day))).run().changes > 0; // prettier-ignore
}
