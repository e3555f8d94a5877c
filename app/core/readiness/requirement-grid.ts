/** What is believed of the heat needed: weights over an even grid of its logarithm. */
export interface Posterior {
  /** ln of the requirement (°C·d) at the first grid point. */
  logFrom: number;
  step: number;
  /** Sums to one. */
  weight: Float64Array;
  /** P(requirement is below the upper edge of grid cell k). */
  cdf: Float64Array;
}

/** Step of the grid in log requirement: fine enough for a window of a few per cent. */
export const GRID_STEP = 0.0125;
/** Weights over the grid that sum to one. */
export function normalised(logFrom: number, weight: Float64Array): Posterior {
  let total = 0;
  for (let k = 0; k < weight.length; k++) total += weight[k]!;
  const cdf = new Float64Array(weight.length);
  let sum = 0;
  for (let k = 0; k < weight.length; k++) {
    weight[k]! /= total;
    sum += weight[k]!;
    cdf[k] = sum;
  }
  return { logFrom, step: GRID_STEP, weight, cdf };
}

/** Requirement at a grid point, °C·d. */
export const requirementAt = (p: Posterior, k: number): number => Math.exp(p.logFrom + k * p.step);

/** P(requirement ≤ heat), linear between the edges of the grid's cells. */
export function requirementBelow(p: Posterior, logHeat: number): number {
  const at = (logHeat - p.logFrom) / p.step + 0.5;
  if (at <= 0) return 0;
  if (at >= p.cdf.length) return 1;
  const k = Math.floor(at);
  const below = k === 0 ? 0 : p.cdf[k - 1]!;
  return below + (at - k) * (p.cdf[k]! - below);
}
