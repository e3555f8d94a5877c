import type { Crop } from "../crops";
import { yieldSpread } from "../life";
import { shrinkTo } from "../statistics";

/** How freely a planting is expected to bear before anything of its own season tells. */
export interface YieldPrior {
  /** 1 = as the catalogue says. */
  factor: number;
  /** Standard deviation of its logarithm. */
  logSpread: number;
  /** Seasons of this garden that it was learnt from. */
  seasons: number;
}

/** What a closed season brought: ln(pieces picked ÷ pieces the catalogue has come ready in the same time). */
export interface SeasonYield {
  variety: string;
  logRatio: number;
}

/** Shares of the variance (log) of a crop's yields: what stays with the garden, with the variety, and what is new each season. Our judgement. */
const SHARE = { garden: 0.35, variety: 0.15, season: 0.5 } as const;

/** What a crop bears by the catalogue alone. */
export const asTheCatalogueSays = (crop: Crop): YieldPrior => ({
  factor: 1,
  logSpread: yieldSpread(crop),
  seasons: 0,
});

/**
 * Updates how freely a variety bears in this garden from its closed seasons: shrunk to the crop, that shrunk to the
 * catalogue, on the log scale.
 *
 * @param yields - closed seasons of all varieties of the crop
 * @param variety - the variety to forecast
 */
export function yieldLearnt(crop: Crop, yields: readonly SeasonYield[], variety: string): YieldPrior {
  if (yields.length === 0) return asTheCatalogueSays(crop);
  const whole = yieldSpread(crop) ** 2;
  const { mean, variance } = shrinkTo(
    yields.map((y) => ({ group: y.variety, value: y.logRatio })),
    variety,
    { shared: SHARE.garden * whole, group: SHARE.variety * whole, noise: SHARE.season * whole },
  );
  return { factor: Math.exp(mean), logSpread: Math.sqrt(variance + SHARE.season * whole), seasons: yields.length };
}
