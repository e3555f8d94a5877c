import type { Crop } from "../crops";
import { bearingOf } from "./bearing";

/** What a planting is expected to give in a season: pieces, log-normal. */
export interface YieldExpected {
  pieces: number;
  /** Standard deviation of its logarithm. */
  logSpread: number;
}

const Z90 = 1.2816;
/** Growth of a usual summer day as a share of a warm day's: our judgement. */
const USUAL_PACE = 0.8;

/**
 * What plants give in a season by their number and age: of what keeps giving its pieces a warm day over its bearing,
 * of others the pieces of a plant. The doubt is that of the crop's yield.
 *
 * @param plants - how many
 * @param growingYear - that of planting = 1; null where it is not known or the crop is of one year
 */
export function yieldExpected(crop: Crop, plants: number, growingYear: number | null): YieldExpected {
  const days = crop.mode === "repeat" ? USUAL_PACE * (bearingOf(crop)?.fullDays ?? 1) : 1;
  return {
    pieces: plants * yearShare(crop, growingYear) * crop.piecesPerPlant.value * days,
    logSpread: yieldSpread(crop),
  };
}

/** Standard deviation of the logarithm of what a planting gives, from the crop's range of yields. */
export function yieldSpread({ life }: Crop): number {
  return Math.max(0.12, Math.log(life.yield.high / life.yield.low) / (2 * Z90));
}

/** Share of a grown plant's yield in a growing year. */
export function yearShare(crop: Crop, growingYear: number | null): number {
  const shares = crop.life.yieldByYear?.shares;
  if (!shares || growingYear === null) return 1;
  return shares[Math.min(growingYear, shares.length) - 1]!;
}

/** Range of 10 to 90 % of a log-normal amount. */
export function doubtRange(middle: number, logSpread: number): { low: number; high: number } {
  return { low: middle * Math.exp(-Z90 * logSpread), high: middle * Math.exp(Z90 * logSpread) };
}
