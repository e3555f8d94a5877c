import { and, desc, eq, gte, isNull } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { helperLink } from "../schema/access.server";
import { trip } from "../schema/index.server";

export type HelperLinkRow = typeof helperLink.$inferSelect;

/** Links with the days of their trips, which decide how long they open. */
const withTrips = (db: Db) =>
  db
    .select({ id: helperLink.id, name: helperLink.name, fromDay: trip.fromDay, untilDay: trip.toDay })
    .from(helperLink)
    .innerJoin(trip, eq(trip.id, helperLink.tripId));
export type HelperLink = ReturnType<ReturnType<typeof withTrips>["all"]>[number];

const open = (today: IsoDay) => and(isNull(helperLink.endedAt), gte(trip.toDay, today));

export const addHelperLink = (db: Db, row: HelperLinkRow) => void db.insert(helperLink).values(row).run();

/** Links that open today, the newest first. */
export const helperLinksOpen = (db: Db, today: IsoDay): HelperLink[] => withTrips(db).where(open(today)).orderBy(desc(helperLink.madeAt)).all(); // prettier-ignore

export const helperLinkByToken = (db: Db, tokenHash: string, today: IsoDay): HelperLink | undefined =>
  withTrips(db).where(and(eq(helperLink.tokenHash, tokenHash), open(today))).get(); // prettier-ignore

/** @returns whether there was one to end */
export function endHelperLink(db: Db, id: string, at: string): boolean {
  return db.update(helperLink).set({ endedAt: at }).where(and(eq(helperLink.id, id), isNull(helperLink.endedAt))).run().changes > 0; // prettier-ignore
}
