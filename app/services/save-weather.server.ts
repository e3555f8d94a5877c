import { and, eq, lt, ne, sql } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { DailyWeather, HourTold } from "~/core/weather";
import type { Db } from "~/db/client.server";
import { forecastDay, forecastIssue, weatherDay } from "~/db/schema.server";

/** What the household read off its own thermometer: no service writes over it. */
export const BY_HAND = "by hand";

const CHUNK = 500;

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

export interface IssueToSave {
  source: string;
  issuedAt: string;
  issuedOn: IsoDay;
  days: readonly DailyWeather[];
  hours: readonly HourTold[];
}

/**
 * Puts a forecast into the archive. The same issue again adds or replaces its days: a service that corrects itself, or
 * a second day typed by hand.
 */
export function saveForecast(db: Db, { source, issuedAt, issuedOn, days, hours }: IssueToSave): void {
  db.transaction((tx) => {
    const same = and(eq(forecastIssue.source, source), eq(forecastIssue.issuedAt, issuedAt));
    const known = tx.select().from(forecastIssue).where(same).get();
    const id = known?.id ?? crypto.randomUUID();
    const told = { fetchedAt: new Date().toISOString(), hours: hours.length > 0 ? JSON.stringify(hours) : null };
    if (known) tx.update(forecastIssue).set(told).where(same).run();
    else
      tx.insert(forecastIssue)
        .values({ id, source, issuedAt, issuedOn, ...told })
        .run();
    for (const d of days) {
      tx.delete(forecastDay).where(and(eq(forecastDay.issueId, id), eq(forecastDay.day, d.day))).run(); // prettier-ignore
      tx.insert(forecastDay)
        .values({ ...d, issueId: id })
        .run();
    }
    tx.update(forecastIssue).set({ hours: null }).where(lt(forecastIssue.issuedOn, issuedOn)).run();
    // Of days gone by the first issue is kept: a later one of the same day had less to foresee.
    tx.run(sql`delete from forecast_issue where issued_on < ${issuedOn} and exists (
      select 1 from forecast_issue as first where first.source = forecast_issue.source
        and first.issued_on = forecast_issue.issued_on and first.issued_at < forecast_issue.issued_at)`);
  });
}
