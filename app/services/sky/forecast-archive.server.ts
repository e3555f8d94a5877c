import { z } from "zod";
import { addDays, type IsoDay } from "~/core/calendar";
import { HourTold, measuredError, type ForecastDay, type ForecastError } from "~/core/weather";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { revisionOfSource } from "~/db/revision.server";
import { archivedSince, daysOfIssue, issuesSince, type ForecastIssueRow } from "~/db/sky/forecasts.server";
import { observedDays } from "~/db/sky/weather.server";
import { normalsOf } from "../garden/normals.server";

/** A forecast of this age is worse than the usual weather, days: our judgement. */
const MOST_AGE_DAYS = 10;
/** Errors are measured over this much of the archive, days. */
const MEASURED_DAYS = 400;

/** Forecasts that may still be believed, the newest first. */
function issuesOf(db: Db, today: IsoDay): ForecastIssueRow[] {
  // A demo stepped back, or a clock set right, leaves issues of days to come.
  return issuesSince(db, addDays(today, -MOST_AGE_DAYS))
    .filter((i) => i.issuedOn <= today)
    // As instants: texts of different zones do not sort.
    .sort((a, b) => Date.parse(b.issuedAt) - Date.parse(a.issuedAt) || b.fetchedAt.localeCompare(a.fetchedAt)); // prettier-ignore
}

/** The newest forecast. */
export function newestIssue(db: Db, today: IsoDay): ForecastIssueRow | undefined {
  return issuesOf(db, today)[0];
}

/** Whatever was told of the days from today on, each by the newest issue that speaks of it. */
export function newestForecast(db: Db, today: IsoDay): { days: ForecastDay[]; hours: HourTold[] } {
  const issues = issuesOf(db, today);
  const days = new Map<IsoDay, ForecastDay>();
  for (const issue of issues)
    for (const d of daysOfIssue(db, issue.id))
      if (!days.has(d.day)) days.set(d.day, { ...d, issuedOn: issue.issuedOn });
  // A day typed by hand tells no hours, and takes none away.
  const withHours = issues.find((i) => i.hours !== null);
  return { days: [...days.values()], hours: withHours ? hoursOf(withHours.hours!) : [] };
}

function hoursOf(json: string): HourTold[] {
  const parsed = z.array(HourTold).safeParse(JSON.parse(json));
  return parsed.success ? parsed.data : [];
}

const measured = new WeakMap<Db, { key: string; error: ForecastError }>();

/** What forecasts have been found to miss by here; worked out anew when the archive, the record or the place changes. */
export function measuredErrorOf(db: Db, row: GardenRow): ForecastError {
  const { latitude, longitude, heightM } = row;
  const key = `${revisionOfSource(db, "forecasts")} ${revisionOfSource(db, "weather")} ${latitude} ${longitude} ${heightM}`; // prettier-ignore
  const known = measured.get(db);
  if (known?.key === key) return known.error;
  const observed = observedDays(db);
  const last = observed.at(-1)?.day;
  const archive = archivedSince(db, last ? addDays(last, -MEASURED_DAYS) : "");
  const error = measuredError(archive, observed, normalsOf(db, row));
  measured.set(db, { key, error });
  return error;
}
