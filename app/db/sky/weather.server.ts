import { asc, between, count, desc, getTableColumns, ne, not, sql } from "drizzle-orm";
import { FIRST_DAY, LAST_DAY } from "~/core/calendar";
import type { DailyWeather } from "~/core/weather";
import type { Db } from "../db.server";
import { keptWhile } from "../revision.server";
import { weatherDay } from "../schema/index.server";

/** What the household read off its own thermometer: no service writes over it. */
export const BY_HAND = "by hand";

const CHUNK = 500;
/** What the judgement needs of a day on record: not where it came from. */
const { day, minC, maxC, rainMm, windKmh, dewPointC, cloudShare } = getTableColumns(weatherDay);
const FIGURES = { day, minC, maxC, rainMm, windKmh, dewPointC, cloudShare };

/** A day whose year can be right; what an earlier version let in otherwise is left aside. */
const usable = between(weatherDay.day, FIRST_DAY, LAST_DAY);

/** Days on record whose year cannot be right. */
export function oddDays(db: Db): number {
  return db.select({ n: count() }).from(weatherDay).where(not(usable)).get()?.n ?? 0;
}

/** The record, the oldest day first; the same list while nothing was written to it. */
export const observedDays = keptWhile("weather", (db): readonly DailyWeather[] =>
  db.select(FIGURES).from(weatherDay).where(usable).orderBy(asc(weatherDay.day)).all(),
);

/** Writes observed days in one transaction; a day already there is replaced, unless it was written by hand. */
export function saveObserved(db: Db, days: readonly DailyWeather[], source: string): void {
  const importedAt = new Date().toISOString();
  const rows = days.map((d) => ({ ...d, source, importedAt }));
  db.transaction((tx) => {
    for (let i = 0; i < rows.length; i += CHUNK)
      tx.insert(weatherDay)
        .values(rows.slice(i, i + CHUNK))
        .onConflictDoUpdate({
          target: weatherDay.day,
          set: {
            minC: sql`excluded.min_c`,
            maxC: sql`excluded.max_c`,
            rainMm: sql`excluded.rain_mm`,
            windKmh: sql`excluded.wind_kmh`,
            dewPointC: sql`excluded.dew_point_c`,
            cloudShare: sql`excluded.cloud_share`,
            source: sql`excluded.source`,
            importedAt: sql`excluded.imported_at`,
          },
          ...(source === BY_HAND ? {} : { setWhere: ne(weatherDay.source, BY_HAND) }),
        })
        .run();
  });
}

/** The newest day on record, and where it came from. */
export function newestObserved(db: Db) {
  return db
    .select({ day: weatherDay.day, source: weatherDay.source })
    .from(weatherDay)
    .orderBy(desc(weatherDay.day))
    .get();
}
