import { lt } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { feedEvent } from "../schema/index.server";

export type FeedEventRow = typeof feedEvent.$inferSelect;

export const publishedEvents = (db: Db): FeedEventRow[] => db.select().from(feedEvent).all();

/** Writes events as they are published now, over what was published before under the same id. */
export function publishEvents(db: Db, rows: readonly FeedEventRow[]): void {
  for (const { uid, ...row } of rows) db.insert(feedEvent).values({ uid, ...row }).onConflictDoUpdate({ target: feedEvent.uid, set: row }).run(); // prettier-ignore
}

/** Forgets events that are over. */
export function forgetEventsBefore(db: Db, day: IsoDay): void {
  db.delete(feedEvent).where(lt(feedEvent.day, day)).run();
}
