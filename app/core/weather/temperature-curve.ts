/**
 * Lag of the high after noon (h) and fall at night as published for air at 1.5 m; lag of the low after sunrise (h)
 * fitted to the odd days of Seattle's hourly normals (published, for dry Colorado: −0.17). On the even days that
 * halves the error, from 0.91 to 0.45 °C RMS.
 */
const SHAPE = { a: 1.86, b: 2.2, c: 1 } as const;
const HOUR_MS = 3_600_000;

/** One day as the curve needs it. */
export interface CurveDay {
  minC: number;
  maxC: number;
  /** Sunrise and sunset, milliseconds. */
  riseMs: number;
  setMs: number;
}

const lowMs = (d: CurveDay) => d.riseMs + SHAPE.c * HOUR_MS;

function byDay(d: CurveDay, ms: number): number {
  const hours = (ms - lowMs(d)) / HOUR_MS;
  const length = (d.setMs - d.riseMs) / HOUR_MS;
  return d.minC + (d.maxC - d.minC) * Math.sin((Math.PI * hours) / (length + 2 * SHAPE.a));
}

function byNight(d: CurveDay, next: CurveDay, ms: number): number {
  const start = byDay(d, d.setMs);
  const share = (ms - d.setMs) / (lowMs(next) - d.setMs);
  const left = (Math.exp(-SHAPE.b * share) - Math.exp(-SHAPE.b)) / (1 - Math.exp(-SHAPE.b));
  return next.minC + (start - next.minC) * left;
}

/**
 * Air temperature at an instant from the lows and highs of the days round it: a sine by day, a falling exponential
 * by night that reaches the next low.
 *
 * @param days - in order, without gaps; the low of a day falls near its sunrise
 * @param ms - instant, milliseconds
 * @returns °C, or undefined before the first low and after the last sunset
 * @source Parton & Logan 1981, Agric. Meteorol. 23:205–216; the night brought to the next low as in Kimball &
 *   Bellamy 1986 (both from memory; checked against hourly normals in tests/reference)
 */
export function temperatureAt(days: readonly CurveDay[], ms: number): number | undefined {
  for (let i = 0; i < days.length; i++) {
    const day = days[i]!;
    const next = days[i + 1];
    if (ms < lowMs(day)) return undefined;
    if (ms <= day.setMs) return byDay(day, ms);
    if (next && ms < lowMs(next)) return byNight(day, next, ms);
  }
  return undefined;
}
