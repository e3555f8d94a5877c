import { and, eq, gte } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { CoverNight } from "~/core/hazards";
import type { Db } from "../db.server";
import { coverNight } from "../schema/index.server";

/** Beds covered on nights from a day on. */
export function coversFrom(db: Db, day: IsoDay): CoverNight[] {
  return db.select().from(coverNight).where(gte(coverNight.evening, day)).all();
}

/** Notes a bed's cover of a night; null for none after all. */
export function replaceCover(db: Db, bedId: string, evening: IsoDay, cover: CoverNight["cover"] | null): void {
  db.transaction((tx) => {
    tx.delete(coverNight)
      .where(and(eq(coverNight.bedId, bedId), eq(coverNight.evening, evening)))
      .run();
    if (cover) tx.insert(coverNight).values({ bedId, evening, cover }).run();
  });
}
