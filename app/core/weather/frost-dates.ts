import { addDays, dayNumber, isoDay, type IsoDay } from "../calendar";
import { quantile } from "../statistics";
import type { DailyWeather } from "./daily-weather";

/** Dates by which it has happened in 1, 5 and 9 years of 10, as "MM-DD"; null where so few years see it. */
export interface DateOdds {
  p10: string | null;
  p50: string | null;
  p90: string | null;
  /** Winters with enough days to count. */
  seasons: number;
  /** Of these, without any frost. */
  without: number;
}

export interface FrostDates {
  thresholdC: number;
  /** Last frost before summer: 9 years in 10 have had it by p90. */
  last: DateOdds;
  /** First frost after summer: 1 year in 10 has had it by p10. */
  first: DateOdds;
}

/** A winter counts on a side when this share of the half-year next to summer is known. */
const COVERED = 0.9;
const HALF_YEAR_DAYS = 180;
/** A winter is searched from one midsummer to the next: in mild places its first frost comes after New Year. */
const WINTER_DAYS = 364;

/**
 * Last and first frost of the year from a daily series.
 *
 * @param series - in any order; gaps allowed
 * @param thresholdC - frost is a low at or below it
 * @param latitude - degrees, north positive: tells where summer is
 * @returns percentiles over winters whose half-year on that side is 90 % known; one without frost counts as never
 */
export function frostDates(series: readonly DailyWeather[], thresholdC: number, latitude: number): FrostDates {
  const lows = new Map(series.map((d) => [d.day, d.minC]));
  const midsummer = latitude >= 0 ? "07-15" : "01-15";
  const years = [...new Set(series.map((d) => Number(d.day.slice(0, 4))))].flatMap((y) => [y, y + 1]);
  const summers = [...new Set(years)].sort((a, b) => a - b).map((y) => `${y}-${midsummer}`);
  return {
    thresholdC,
    last: dateOdds(lows, summers, thresholdC, -1, midsummer),
    first: dateOdds(lows, summers, thresholdC, 1, midsummer),
  };
}

/** Days from midsummer to the nearest frost on one side of it, over all summers. */
function dateOdds(
  lows: ReadonlyMap<IsoDay, number>,
  summers: readonly IsoDay[],
  thresholdC: number,
  side: 1 | -1,
  midsummer: string,
): DateOdds {
  const offsets: number[] = [];
  for (const summer of summers) {
    let known = 0;
    let found = side * Infinity;
    for (let k = side > 0 ? 0 : 1; k <= WINTER_DAYS; k++) {
      const low = lows.get(addDays(summer, side * k));
      if (low === undefined) continue;
      if (k < HALF_YEAR_DAYS) known++;
      if (low <= thresholdC && !Number.isFinite(found)) found = side * k;
    }
    if (known >= COVERED * HALF_YEAR_DAYS) offsets.push(found);
  }
  const at = (p: number): string | null => {
    if (offsets.length === 0) return null;
    const offset = quantile(offsets, p);
    // A year that is no leap year, so that a date is a date.
    return Number.isFinite(offset) ? isoDay(dayNumber(`2025-${midsummer}`) + Math.round(offset)).slice(5) : null;
  };
  return {
    p10: at(0.1),
    p50: at(0.5),
    p90: at(0.9),
    seasons: offsets.length,
    without: offsets.filter((o) => !Number.isFinite(o)).length,
  };
}
