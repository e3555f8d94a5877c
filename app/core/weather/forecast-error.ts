import { z } from "zod";
import { IsoDay, daysBetween } from "../calendar";
import { DailyWeather } from "./daily-weather";

/** What a forecast says of a day, with the day it was issued on. */
export const ForecastDay = DailyWeather.safeExtend({ issuedOn: IsoDay });
export type ForecastDay = z.infer<typeof ForecastDay>;

/** How far forecasts of one figure miss: observed minus told, and its spread about that (one standard deviation). */
const Miss = z.object({ bias: z.number(), spread: z.number().positive() });
type Miss = z.infer<typeof Miss>;

/** Errors at one lead. Rain in √mm, so that a drizzle and a downpour are on one scale. */
const LeadError = z.object({
  leadDays: z.number().int().min(0),
  minC: Miss,
  maxC: Miss,
  windKmh: Miss,
  rainRoot: Miss,
  /** Forecasts compared with what came. */
  pairs: z.number().int().min(0),
});
export type LeadError = z.infer<typeof LeadError>;

/** Leads told apart, 0 the day of issue; further ones count as the last. */
const MOST_LEAD = 15;

export const ForecastError = z.object({
  byLead: z.array(LeadError).length(MOST_LEAD + 1),
  pairs: z.number().int().min(0),
});
export type ForecastError = z.infer<typeof ForecastError>;

const FIGURES = ["minC", "maxC", "windKmh", "rainRoot"] as const;
type Figure = (typeof FIGURES)[number];

/** What is believed before anything is measured, by lead: our judgement. */
const PRIOR: Record<Figure, (leadDays: number) => number> = {
  minC: (lead) => 1.1 + 0.2 * lead,
  maxC: (lead) => 1.1 + 0.2 * lead,
  windKmh: (lead) => 8 + 1.5 * lead,
  rainRoot: (lead) => 0.6 + 0.1 * lead,
};
/** The prior weighs as much as this many forecasts: our judgement. */
const PRIOR_PAIRS = 10;
/** Errors before anything is measured. */
export const UNMEASURED: ForecastError = measuredError([], []);

/** Error at a lead; a stale forecast is as poor as its age says. */
export function errorAt(error: ForecastError, leadDays: number): LeadError {
  return error.byLead[Math.min(MOST_LEAD, Math.max(0, leadDays))]!;
}

const valueOf = (figure: Figure, d: DailyWeather): number | null =>
  figure === "rainRoot" ? (d.rainMm === null ? null : Math.sqrt(d.rainMm)) : d[figure];

/**
 * How far the forecasts of an archive missed, by days of lead, drawn towards the prior where little is known.
 *
 * @param archive - all issues, in any order
 * @param observed - the station's days
 */
export function measuredError(archive: readonly ForecastDay[], observed: readonly DailyWeather[]): ForecastError {
  const came = new Map(observed.map((d) => [d.day, d]));
  const errors = Array.from({ length: MOST_LEAD + 1 }, () => ({ minC: [], maxC: [], windKmh: [], rainRoot: [] }) as Record<Figure, number[]>); // prettier-ignore
  for (const told of archive) {
    const seen = came.get(told.day);
    const lead = daysBetween(told.issuedOn, told.day);
    if (!seen || lead < 0 || lead > MOST_LEAD) continue;
    for (const figure of FIGURES) {
      const [truth, said] = [valueOf(figure, seen), valueOf(figure, told)];
      if (truth !== null && said !== null) errors[lead]![figure].push(truth - said);
    }
  }
  return {
    byLead: errors.map((of, leadDays) => ({
      leadDays,
      ...(Object.fromEntries(FIGURES.map((f) => [f, missOf(of[f], PRIOR[f](leadDays))])) as Record<Figure, Miss>),
      pairs: of.minC.length,
    })),
    pairs: errors.reduce((sum, of) => sum + of.minC.length, 0),
  };
}

/** Mean and spread of errors, each drawn to the prior (no bias, the spread believed) by its weight. */
function missOf(errors: readonly number[], priorSpread: number): Miss {
  const bias = errors.reduce((sum, e) => sum + e, 0) / (errors.length + PRIOR_PAIRS);
  const squares = errors.reduce((sum, e) => sum + (e - bias) ** 2, 0);
  return { bias, spread: Math.sqrt((PRIOR_PAIRS * priorSpread ** 2 + squares) / (PRIOR_PAIRS + errors.length)) };
}
