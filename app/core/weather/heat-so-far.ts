import { addDays, dayOfYear, daysBetween, type IsoDay } from "../calendar";
import type { DailyWeather } from "./daily-weather";
import { dailyDegreeDays } from "./degree-days";
import { normalDegreeDays, type ClimateNormals } from "./normals";

/** Upper limit for the garden's own sums, °C: above it growth gains nothing more (common practice). */
const UPPER_C = 30;

/** The year's heat against the usual. */
export interface HeatSoFar {
  baseC: number;
  from: IsoDay;
  /** °C·d up to yesterday, days without an observation at their normal. */
  sum: number;
  /** °C·d of normal days over the same span. */
  usual: number;
  /** How far the season runs ahead (+) or behind, in days of the usual warmth at this time of year. */
  daysAhead: number;
  /** Observed days behind `sum`. */
  observedDays: number;
}

/**
 * Degree-days of this growing year so far, against the garden's normal.
 *
 * @param from - 1 January, or 1 July in the south
 */
export function heatSoFar(
  observed: readonly DailyWeather[],
  normals: ClimateNormals,
  from: IsoDay,
  today: IsoDay,
  baseC: number,
): HeatSoFar {
  const seen = new Map(observed.map((d) => [d.day, d]));
  let [sum, usual, observedDays] = [0, 0, 0];
  for (let n = 0; n < daysBetween(from, today); n++) {
    const day = addDays(from, n);
    const normal = normalDegreeDays(normals, dayOfYear(day), baseC, UPPER_C);
    const d = seen.get(day);
    usual += normal;
    sum += d ? dailyDegreeDays(d.minC, d.maxC, baseC, UPPER_C) : normal;
    if (d) observedDays++;
  }
  let rate = 0;
  for (let k = -7; k <= 7; k++) rate += normalDegreeDays(normals, dayOfYear(addDays(today, k)), baseC, UPPER_C) / 15;
  return { baseC, from, sum, usual, daysAhead: rate > 0.3 ? (sum - usual) / rate : 0, observedDays };
}

/** Usual degree-days of each month, January first, °C·d. */
export function monthlyDegreeDays(normals: ClimateNormals, baseC: number): number[] {
  const months = new Array<number>(12).fill(0);
  for (let n = 0; n < 365; n++) {
    const day = addDays("2025-01-01", n);
    months[Number(day.slice(5, 7)) - 1]! += normalDegreeDays(normals, dayOfYear(day), baseC, UPPER_C);
  }
  return months;
}
