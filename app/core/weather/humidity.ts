/** Magnus coefficients over water: `a` dimensionless, `bC` in °C, `hPa` at 0 °C. Source as below. */
const MAGNUS = { a: 17.625, bC: 243.04, hPa: 6.1094 } as const;

/**
 * Saturation vapour pressure over water.
 *
 * @param airC - °C, −40 to 50 (range of the fit)
 * @returns hPa
 * @throws {RangeError} outside the range, NaN included
 * @source Alduchov & Eskridge 1996, J. Appl. Meteorol. 35:601–609 (from memory; checked against psychrolib)
 */
export function saturationVapourHpa(airC: number): number {
  if (!(airC >= -40 && airC <= 50)) throw new RangeError(`airC: ${airC} °C is outside −40 to 50`);
  return MAGNUS.hPa * Math.exp((MAGNUS.a * airC) / (MAGNUS.bC + airC));
}

/**
 * Dew point of the air: a leaf at or below it gets wet.
 *
 * @param airC - air temperature, °C, −40 to 50
 * @param humidity - relative humidity over water, a fraction, 0 < humidity ≤ 1
 * @returns °C, at most `airC`; below 0 °C still over water, so frost may form warmer
 * @throws {RangeError} outside these ranges, NaN included: a caller's mistake, not weather
 * @source Alduchov & Eskridge 1996 (from memory; checked against psychrolib)
 */
export function dewPoint(airC: number, humidity: number): number {
  if (!(humidity > 0 && humidity <= 1)) throw new RangeError(`humidity: ${humidity} is not in (0, 1]`);
  const vapour = Math.log((humidity * saturationVapourHpa(airC)) / MAGNUS.hPa);
  return Math.min(airC, (MAGNUS.bC * vapour) / (MAGNUS.a - vapour));
}

/**
 * Relative humidity of air whose dew point is known.
 *
 * @returns a fraction, 0 to 1; 1 when the dew point is at or above the air
 * @throws {RangeError} outside −40 to 50 °C
 */
export function relativeHumidity(airC: number, dewPointC: number): number {
  return Math.min(1, saturationVapourHpa(dewPointC) / saturationVapourHpa(airC));
}
