import { z } from "zod";
import { IsoDay, dayOfYear, daysBetween } from "../calendar";
import { DailyWeather } from "./daily-weather";
import type { ClimateNormals } from "./normals";

/** What a forecast says of a day, with the day it was issued on. */
export const ForecastDay = DailyWeather.safeExtend({ issuedOn: IsoDay });
export type ForecastDay = z.infer<typeof ForecastDay>;

/**
 * How forecasts of one figure are to be read: what comes is the usual + bias + slope × (what was told − the usual),
 * give or take the spread (one standard deviation). A slope below 1 says that they call too much: of the colds told,
 * a part comes. Of wind and rain the usual is taken as 0 and the slope as 1.
 */
const Miss = z.object({ bias: z.number(), slope: z.number(), spread: z.number().positive() });
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
/** Told days stray from the usual by about this much, °C: weighs the prior slope of 1. */
const USUAL_STRAY_C = 3;

/** Errors before anything is measured. */
export const UNMEASURED: ForecastError = {
  byLead: Array.from({ length: MOST_LEAD + 1 }, (_, leadDays) => leadError(leadDays, () => [])),
  pairs: 0,
};

/** Error at a lead; a stale forecast is as poor as its age says. */
export function errorAt(error: ForecastError, leadDays: number): LeadError {
  return error.byLead[Math.min(MOST_LEAD, Math.max(0, leadDays))]!;
}

/** One forecast and what came, both as they stray from the usual of the date. */
interface Pair {
  told: number;
  came: number;
}

/**
 * How far the forecasts of an archive missed, by days of lead, drawn towards the prior where little is known. Lows and
 * highs are regressed on what was told, both against the normal of the date: without that, calls of rare things such
 * as frost would come out too often.
 *
 * @param archive - all issues, in any order
 * @param observed - the station's days
 * @param normals - of the garden
 */
export function measuredError(
  archive: readonly ForecastDay[],
  observed: readonly DailyWeather[],
  normals: ClimateNormals,
): ForecastError {
  const came = new Map(observed.map((d) => [d.day, d]));
  const pairs = Array.from({ length: MOST_LEAD + 1 }, () => ({ minC: [], maxC: [], windKmh: [], rainRoot: [] }) as Record<Figure, Pair[]>); // prettier-ignore
  for (const told of archive) {
    const seen = came.get(told.day);
    const lead = daysBetween(told.issuedOn, told.day);
    if (!seen || lead < 0 || lead > MOST_LEAD) continue;
    const doy = dayOfYear(told.day);
    const usual = { minC: normals.minC[doy]!, maxC: normals.maxC[doy]!, windKmh: 0, rainRoot: 0 };
    for (const figure of FIGURES) {
      const [truth, said] = [valueOf(figure, seen), valueOf(figure, told)];
      if (truth !== null && said !== null)
        pairs[lead]![figure].push({ told: said - usual[figure], came: truth - usual[figure] });
    }
  }
  return {
    byLead: pairs.map((of, leadDays) => leadError(leadDays, (figure) => of[figure])),
    pairs: pairs.reduce((sum, of) => sum + of.minC.length, 0),
  };
}

const valueOf = (figure: Figure, d: DailyWeather): number | null =>
  figure === "rainRoot" ? (d.rainMm === null ? null : Math.sqrt(d.rainMm)) : d[figure];

function leadError(leadDays: number, pairsOf: (figure: Figure) => readonly Pair[]): LeadError {
  const miss = (figure: Figure, sloped: boolean) => missOf(pairsOf(figure), PRIOR[figure](leadDays), sloped);
  return {
    leadDays,
    minC: miss("minC", true),
    maxC: miss("maxC", true),
    windKmh: miss("windKmh", false),
    rainRoot: miss("rainRoot", false),
    pairs: pairsOf("minC").length,
  };
}

/** Bias, slope and spread, each drawn to the prior (none, 1, the spread believed) by its weight. */
function missOf(pairs: readonly Pair[], priorSpread: number, sloped: boolean): Miss {
  const mean = (of: (p: Pair) => number) =>
    pairs.length ? pairs.reduce((sum, p) => sum + of(p), 0) / pairs.length : 0;
  const [toldMean, cameMean] = [mean((p) => p.told), mean((p) => p.came)];
  const weight = PRIOR_PAIRS * USUAL_STRAY_C ** 2;
  const slope = sloped
    ? (pairs.reduce((sum, p) => sum + (p.told - toldMean) * (p.came - cameMean), 0) + weight) /
      (pairs.reduce((sum, p) => sum + (p.told - toldMean) ** 2, 0) + weight)
    : 1;
  const bias = ((cameMean - slope * toldMean) * pairs.length) / (pairs.length + PRIOR_PAIRS);
  const squares = pairs.reduce((sum, p) => sum + (p.came - bias - slope * p.told) ** 2, 0);
  return { bias, slope, spread: Math.sqrt((PRIOR_PAIRS * priorSpread ** 2 + squares) / (PRIOR_PAIRS + pairs.length)) };
}
