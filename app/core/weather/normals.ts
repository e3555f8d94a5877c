import { dayOfYear } from "../calendar";
import type { DailyWeather } from "./daily-weather";
import { dailyDegreeDays } from "./degree-days";

/** The usual low and high of each day of the year, index 1 to 366, and how they are known. */
export interface ClimateNormals {
  minC: Float64Array;
  maxC: Float64Array;
  /** How far a day's mean strays from the normal, one standard deviation, °C. */
  spreadC: Float64Array;
  /** The same of the low alone. */
  lowSpreadC: Float64Array;
  /** 0 when they are a rough guess from the latitude. */
  years: number;
}

const HALF_WINDOW_DAYS = 7;

/**
 * Normals from a daily series: mean over the years and ±7 days round the day of the year.
 *
 * @param series - daily weather in any order, at least 300 different days of the year
 * @returns normals, or undefined when the series does not cover the year
 */
export function normalsFromSeries(series: readonly DailyWeather[]): ClimateNormals | undefined {
  const sumMin = new Float64Array(367);
  const sumMax = new Float64Array(367);
  const count = new Float64Array(367);
  for (const d of series) {
    const doy = dayOfYear(d.day);
    sumMin[doy]! += d.minC;
    sumMax[doy]! += d.maxC;
    count[doy]! += 1;
  }
  if (count.reduce((covered, n) => covered + (n > 0 ? 1 : 0), 0) < 300) return undefined;
  const smooth = (sum: Float64Array) =>
    Float64Array.from({ length: 367 }, (_, doy) => {
      let total = 0;
      let days = 0;
      for (let k = -HALF_WINDOW_DAYS; k <= HALF_WINDOW_DAYS; k++) {
        const at = ((((doy - 1 + k) % 366) + 366) % 366) + 1;
        total += sum[at]!;
        days += count[at]!;
      }
      return days > 0 ? total / days : NaN;
    });
  const minC = smooth(sumMin);
  const maxC = smooth(sumMax);
  if (minC.subarray(1).some(Number.isNaN)) return undefined;
  const strayed = new Float64Array(367);
  const lowStrayed = new Float64Array(367);
  for (const d of series) {
    const doy = dayOfYear(d.day);
    strayed[doy]! += ((d.minC + d.maxC - minC[doy]! - maxC[doy]!) / 2) ** 2;
    lowStrayed[doy]! += (d.minC - minC[doy]!) ** 2;
  }
  return {
    minC,
    maxC,
    spreadC: smooth(strayed).map(Math.sqrt),
    lowSpreadC: smooth(lowStrayed).map(Math.sqrt),
    years: new Set(series.map((d) => d.day.slice(0, 4))).size,
  };
}

/** Places and weights of a three-point rule for a normal spread (Gauss–Hermite). */
const STRAY = [-Math.sqrt(3), 0, Math.sqrt(3)];
const STRAY_WEIGHT = [1 / 6, 2 / 3, 1 / 6];

/**
 * Degree-days to expect of a day of the year: the mean over days that stray from the normal. The normal's
 * own degree-days are fewer, since near the base a warm day gives more than a cold one takes.
 *
 * @param doy - day of the year, 1 to 366
 * @param extraC - warmth of the bed, added to the high, °C
 * @returns °C·d
 */
export function normalDegreeDays(
  normals: ClimateNormals,
  doy: number,
  baseC: number,
  upperC: number,
  extraC = 0,
): number {
  return expectedDegreeDays(normals.minC[doy]!, normals.maxC[doy]! + extraC, normals.spreadC[doy]!, baseC, upperC);
}

/** The same for any middle day and spread, °C. */
export function expectedDegreeDays(minC: number, maxC: number, spreadC: number, baseC: number, upperC: number): number {
  const high = Math.max(minC, maxC);
  return overUsualDays(minC, high, spreadC, (low, top) => dailyDegreeDays(low, top, baseC, upperC));
}

/** The mean of what a day gives over days that stray from the usual, low and high alike. */
export function overUsualDays(
  minC: number,
  maxC: number,
  spreadC: number,
  gives: (minC: number, maxC: number) => number,
): number {
  if (spreadC === 0) return gives(minC, maxC);
  let sum = 0;
  for (let n = 0; n < 3; n++) {
    const stray = STRAY[n]! * spreadC;
    sum += STRAY_WEIGHT[n]! * gives(minC + stray, maxC + stray);
  }
  return sum;
}

/**
 * A rough guess of the normals where no series was imported: a yearly wave by latitude at sea level,
 * coldest on 20 January (north). Our judgement: mean 27 °C − 0.42 °C per degree beyond 12°, yearly
 * half-range 0.5 °C + 0.14 °C per degree, daily range 9 °C, days straying by 2.8 °C,
 * lows by 4 °C. Always told to the gardener as a guess.
 *
 * @param latitude - degrees, north positive
 */
export function roughNormals(latitude: number): ClimateNormals {
  const away = Math.abs(latitude);
  const mean = 27 - 0.42 * Math.max(0, away - 12);
  const half = 0.14 * away + 0.5;
  const wave = (doy: number) => -Math.cos((2 * Math.PI * (doy - 20)) / 366) * (latitude >= 0 ? 1 : -1);
  const series = (shift: number) => Float64Array.from({ length: 367 }, (_, doy) => mean + half * wave(doy) + shift);
  return {
    minC: series(-4.5),
    maxC: series(4.5),
    spreadC: new Float64Array(367).fill(2.8),
    lowSpreadC: new Float64Array(367).fill(4),
    years: 0,
  };
}
