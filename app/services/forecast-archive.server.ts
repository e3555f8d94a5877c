import { count, desc, eq, gte, max } from "drizzle-orm";
import { z } from "zod";
import { addDays, type IsoDay } from "~/core/calendar";
import {
  HourTold,
  measuredError,
  normalsFromSeries,
  roughNormals,
  type DailyWeather,
  type ForecastDay,
  type ForecastError,
} from "~/core/weather";
import type { Db } from "~/db/client.server";
import { forecastDay, forecastIssue } from "~/db/schema.server";

/** A forecast of this age is worse than the usual weather, days: our judgement. */
const MOST_AGE_DAYS = 10;
/** Errors are measured over this much of the archive, days. */
const MEASURED_DAYS = 400;

/** Whatever was told of the days from today on, each by the newest issue that speaks of it. */
export function newestForecast(
  db: Db,
  today: IsoDay,
): { days: ForecastDay[]; hours: HourTold[]; newest: typeof forecastIssue.$inferSelect | undefined } {
  const issues = db
    .select()
    .from(forecastIssue)
    .where(gte(forecastIssue.issuedOn, addDays(today, -MOST_AGE_DAYS)))
    .orderBy(desc(forecastIssue.issuedAt), desc(forecastIssue.fetchedAt))
    .all()
    // A demo stepped back, or a clock set right, leaves issues of days to come.
    .filter((i) => i.issuedOn <= today);
  const days = new Map<IsoDay, ForecastDay>();
  for (const issue of issues)
    for (const { issueId, ...d } of db.select().from(forecastDay).where(eq(forecastDay.issueId, issue.id)).all())
      if (issueId && !days.has(d.day)) days.set(d.day, { ...d, issuedOn: issue.issuedOn });
  const newest = issues[0];
  return { days: [...days.values()], hours: newest?.hours ? hoursOf(newest.hours) : [], newest };
}

function hoursOf(json: string): HourTold[] {
  const parsed = z.array(HourTold).safeParse(JSON.parse(json));
  return parsed.success ? parsed.data : [];
}

const measured = new WeakMap<Db, { key: string; error: ForecastError }>();

/** What forecasts have been found to miss by; worked out anew when the archive or the record has grown. */
export function measuredErrorOf(db: Db, observed: readonly DailyWeather[], latitude: number): ForecastError {
  const last = observed.reduce((day, d) => (d.day > day ? d.day : day), "");
  const archived = db
    .select({ issues: count(), last: max(forecastIssue.fetchedAt) })
    .from(forecastIssue)
    .get();
  const key = `${archived?.issues}|${archived?.last}|${observed.length}|${last}`;
  const known = measured.get(db);
  if (known?.key === key) return known.error;
  const from = last ? addDays(last, -MEASURED_DAYS) : "";
  const archive = db
    .select()
    .from(forecastDay)
    .innerJoin(forecastIssue, eq(forecastDay.issueId, forecastIssue.id))
    .where(gte(forecastIssue.issuedOn, from))
    .all()
    .map((row) => ({ ...row.forecast_day, issuedOn: row.forecast_issue.issuedOn }));
  const error = measuredError(archive, observed, normalsFromSeries(observed) ?? roughNormals(latitude));
  measured.set(db, { key, error });
  return error;
}
