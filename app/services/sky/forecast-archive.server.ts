import { z } from "zod";
import { addDays, type IsoDay } from "~/core/calendar";
import {
  HourTold,
  measuredError,
  type ClimateNormals,
  type DailyWeather,
  type ForecastDay,
  type ForecastError,
} from "~/core/weather";
import type { Db } from "~/db/client.server";
import {
  archiveState,
  archivedSince,
  daysOfIssue,
  issuesSince,
  type ForecastIssueRow,
} from "~/db/sky/forecasts.server";

/** A forecast of this age is worse than the usual weather, days: our judgement. */
const MOST_AGE_DAYS = 10;
/** Errors are measured over this much of the archive, days. */
const MEASURED_DAYS = 400;

/** Whatever was told of the days from today on, each by the newest issue that speaks of it. */
export function newestForecast(
  db: Db,
  today: IsoDay,
): { days: ForecastDay[]; hours: HourTold[]; newest: ForecastIssueRow | undefined } {
  // A demo stepped back, or a clock set right, leaves issues of days to come.
  const issues = issuesSince(db, addDays(today, -MOST_AGE_DAYS))
    .filter((i) => i.issuedOn <= today)
    // As instants: texts of different zones do not sort.
    .sort((a, b) => Date.parse(b.issuedAt) - Date.parse(a.issuedAt) || b.fetchedAt.localeCompare(a.fetchedAt));
  const days = new Map<IsoDay, ForecastDay>();
  for (const issue of issues)
    for (const d of daysOfIssue(db, issue.id))
      if (!days.has(d.day)) days.set(d.day, { ...d, issuedOn: issue.issuedOn });
  // A day typed by hand tells no hours, and takes none away.
  const withHours = issues.find((i) => i.hours !== null);
  return { days: [...days.values()], hours: withHours ? hoursOf(withHours.hours!) : [], newest: issues[0] };
}

function hoursOf(json: string): HourTold[] {
  const parsed = z.array(HourTold).safeParse(JSON.parse(json));
  return parsed.success ? parsed.data : [];
}

/** Another record has another sum: clocks that stand or run back do not hide a correction. */
const checksum = (days: readonly DailyWeather[]) =>
  days.reduce(
    (sum, d, n) => sum + (n + 1) * (3 * d.minC + 5 * d.maxC + 7 * (d.rainMm ?? -1) + 11 * (d.windKmh ?? -1)),
    0,
  );

const measured = new WeakMap<Db, { key: string; error: ForecastError }>();

/** What forecasts have been found to miss by; worked out anew when the archive or the record has grown. */
export function measuredErrorOf(db: Db, observed: readonly DailyWeather[], normals: ClimateNormals): ForecastError {
  const last = observed.reduce((day, d) => (d.day > day ? d.day : day), "");
  const archived = archiveState(db);
  const key = `${archived?.issues}|${archived?.last}|${observed.length}|${last}|${checksum(observed)}`;
  const known = measured.get(db);
  if (known?.key === key) return known.error;
  const archive = archivedSince(db, last ? addDays(last, -MEASURED_DAYS) : "");
  const error = measuredError(archive, observed, normals);
  measured.set(db, { key, error });
  return error;
}
