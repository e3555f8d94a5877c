/**
 * Standard normal distribution function Φ(z).
 *
 * @param z - standard score, any real number; ±Infinity gives 1 and 0
 * @returns probability 0 to 1, absolute error below 1.5e-7
 * @source Abramowitz & Stegun 1964, Handbook of Mathematical Functions, 7.1.26 (from memory; checked in tests)
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = x === Infinity ? 1 : 1 - poly * Math.exp(-x * x);
  return z >= 0 ? 0.5 * (1 + erf) : 0.5 * (1 - erf);
}

/**
 * The z below which a share of a standard normal lies: the inverse of Φ, by halving.
 *
 * @param p - above 0 and below 1
 * @throws {RangeError} for another share
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`share: ${p} does not lie between 0 and 1`);
  let low = -8;
  let high = 8;
  for (let i = 0; i < 50; i++) {
    const z = (low + high) / 2;
    if (normalCdf(z) < p) low = z;
    else high = z;
  }
  return (low + high) / 2;
}
