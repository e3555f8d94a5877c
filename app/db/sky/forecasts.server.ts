import { and, between, desc, eq, gte, lt, sql } from "drizzle-orm";
import { FIRST_DAY, LAST_DAY, type IsoDay } from "~/core/calendar";
import type { DailyWeather, HourTold } from "~/core/weather";
import type { Db } from "../db.server";
import { forecastDay, forecastIssue } from "../schema/index.server";

export type ForecastIssueRow = typeof forecastIssue.$inferSelect;

/** Forecasts issued from a day on, the newest first. */
export function issuesSince(db: Db, day: IsoDay): ForecastIssueRow[] {
  return db
    .select()
    .from(forecastIssue)
    .where(gte(forecastIssue.issuedOn, day))
    .orderBy(desc(forecastIssue.issuedAt), desc(forecastIssue.fetchedAt))
    .all();
}

/** Days that one forecast speaks of. */
export function daysOfIssue(db: Db, issueId: string) {
  const rows = db.select().from(forecastDay).where(and(eq(forecastDay.issueId, issueId), between(forecastDay.day, FIRST_DAY, LAST_DAY))).all(); // prettier-ignore
  return rows.map(({ issueId, ...day }) => day);
}

/** Every archived forecast day issued from a day on, with its day of issue. */
export function archivedSince(db: Db, day: IsoDay) {
  return db
    .select()
    .from(forecastDay)
    .innerJoin(forecastIssue, eq(forecastDay.issueId, forecastIssue.id))
    .where(and(gte(forecastIssue.issuedOn, day), between(forecastDay.day, FIRST_DAY, LAST_DAY)))
    .all()
    .map((row) => ({ ...row.forecast_day, issuedOn: row.forecast_issue.issuedOn }));
}

/** Days on which a forecast was issued. */
export function issueDays(db: Db): number {
  return db.get<{ n: number }>(sql`select count(distinct issued_on) as n from forecast_issue`).n;
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
