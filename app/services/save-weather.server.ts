import { and, eq, gte, sql } from "drizzle-orm";
import type { DailyWeather } from "~/core/weather";
import type { Db } from "~/db/client.server";
import { weatherDay } from "~/db/schema.server";

export interface WeatherToSave {
  observed: readonly DailyWeather[];
  forecast: readonly DailyWeather[];
  source: string;
  /** A new forecast takes the place of the earlier one from its first day on; days gone by are kept. */
  replaceForecast: boolean;
}

const CHUNK = 500;

/** Writes weather days in one transaction; a day already there is replaced. */
export function saveWeather(db: Db, { observed, forecast, source, replaceForecast }: WeatherToSave): void {
  const importedAt = new Date().toISOString();
  const rows = [
    ...observed.map((d) => ({ ...d, kind: "observed" as const, source, importedAt })),
    ...forecast.map((d) => ({ ...d, kind: "forecast" as const, source, importedAt })),
  ];
  db.transaction((tx) => {
    const first = forecast.reduce((day, d) => (d.day < day ? d.day : day), "9999-12-31");
    if (replaceForecast)
      tx.delete(weatherDay)
        .where(and(eq(weatherDay.kind, "forecast"), gte(weatherDay.day, first)))
        .run();
    for (let i = 0; i < rows.length; i += CHUNK)
      tx.insert(weatherDay)
        .values(rows.slice(i, i + CHUNK))
        .onConflictDoUpdate({
          target: [weatherDay.day, weatherDay.kind],
          set: {
            minC: sql`excluded.min_c`,
            maxC: sql`excluded.max_c`,
            rainMm: sql`excluded.rain_mm`,
            windKmh: sql`excluded.wind_kmh`,
            source: sql`excluded.source`,
            importedAt: sql`excluded.imported_at`,
          },
        })
        .run();
  });
}
