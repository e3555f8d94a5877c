/**
 * Degree-days above one threshold by the single-sine method: the day's temperature is taken as one
 * sine wave between its low and its high.
 *
 * @param minC - low of the day, °C
 * @param maxC - high of the day, °C, not below `minC`
 * @param thresholdC - °C
 * @returns degree-days (°C·d), at least 0
 * @throws {RangeError} when a figure is not finite or the high is below the low
 * @source Baskerville & Emin 1969, Ecology 50:514–517 (from memory; checked by numerical integration)
 */
export function degreeDaysAbove(minC: number, maxC: number, thresholdC: number): number {
  if (!(Number.isFinite(minC) && Number.isFinite(maxC) && Number.isFinite(thresholdC)))
    throw new RangeError(`temperatures: ${minC}, ${maxC}, ${thresholdC} are not all finite`);
  if (maxC < minC) throw new RangeError(`maxC: ${maxC} °C is below minC ${minC} °C`);
  const mean = (minC + maxC) / 2;
  if (minC >= thresholdC) return mean - thresholdC;
  if (maxC <= thresholdC) return 0;
  const half = (maxC - minC) / 2;
  const theta = Math.asin((thresholdC - mean) / half);
  return ((mean - thresholdC) * (Math.PI / 2 - theta) + half * Math.cos(theta)) / Math.PI;
}

/**
 * Degree-days of one day between a base and a horizontal upper cutoff, single sine.
 *
 * @param minC - low, °C
 * @param maxC - high, °C
 * @param baseC - development starts above it
 * @param upperC - development goes no faster above it
 * @returns degree-days (°C·d), 0 to `upperC − baseC`
 * @throws {RangeError} as `degreeDaysAbove`, and when `upperC` is not above `baseC`
 */
export function dailyDegreeDays(minC: number, maxC: number, baseC: number, upperC: number): number {
  if (!(upperC > baseC)) throw new RangeError(`upperC: ${upperC} °C is not above baseC ${baseC} °C`);
  return degreeDaysAbove(minC, maxC, baseC) - degreeDaysAbove(minC, maxC, upperC);
}

/**
 * The simple average method, both temperatures clamped to the range: the cross-check of the sine.
 *
 * @returns degree-days (°C·d)
 * @source general growing-degree-day literature (from memory)
 */
export function averageDegreeDays(minC: number, maxC: number, baseC: number, upperC: number): number {
  const clamp = (t: number) => Math.min(upperC, Math.max(baseC, t));
  return (clamp(minC) + clamp(maxC)) / 2 - baseC;
}
