import { dayOfYear } from "../calendar";
import type { ClimateNormals } from "./normals";

/** The middle of each month in a leap year. */
const MIDDLES = Array.from({ length: 12 }, (_, m) => dayOfYear(`2024-${String(m + 1).padStart(2, "0")}-15`));

/**
 * Normals of a place known by its monthly means only, straight from the middle of one month to that of the next.
 *
 * @param months - mean daily low and high of January to December, °C
 * @param lowSpreadC - how far a night strays from its usual low, one standard deviation, °C
 * @throws {RangeError} when there are not twelve
 */
export function monthlyNormals(months: readonly (readonly [number, number])[], lowSpreadC = 4): ClimateNormals {
  if (months.length !== 12) throw new RangeError(`months: ${months.length} are not twelve`);
  const series = (which: 0 | 1) =>
    Float64Array.from({ length: 367 }, (_, doy) => {
      const next = MIDDLES.findIndex((middle) => middle > doy);
      const to = next === -1 ? 0 : next;
      const from = (to + 11) % 12;
      const span = (MIDDLES[to]! - MIDDLES[from]! + 366) % 366;
      const share = ((doy - MIDDLES[from]! + 366) % 366) / span;
      return months[from]![which] * (1 - share) + months[to]![which] * share;
    });
  return {
    minC: series(0),
    maxC: series(1),
    spreadC: new Float64Array(367).fill(3),
    lowSpreadC: new Float64Array(367).fill(lowSpreadC),
    years: 0,
  };
}
