import { eq } from "drizzle-orm";
import type { Db } from "../db.server";
import { weatherFeed } from "../schema/index.server";

export type FeedRow = typeof weatherFeed.$inferSelect;
export type FeedKind = FeedRow["kind"];

export function allFeeds(db: Db): FeedRow[] {
  return db.select().from(weatherFeed).all();
}

export function feedOf(db: Db, kind: FeedKind): FeedRow | undefined {
  return db.select().from(weatherFeed).where(eq(weatherFeed.kind, kind)).get();
}

/** Sets a feed anew, or takes it away. */
export function replaceFeed(db: Db, kind: FeedKind, row: Pick<FeedRow, "mode" | "url"> | null): void {
  db.transaction((tx) => {
    tx.delete(weatherFeed).where(eq(weatherFeed.kind, kind)).run();
    if (row)
      tx.insert(weatherFeed)
        .values({ kind, ...row })
        .run();
  });
}

export function updateFeed(db: Db, kind: FeedKind, change: Partial<FeedRow>): void {
  db.update(weatherFeed).set(change).where(eq(weatherFeed.kind, kind)).run();
}
