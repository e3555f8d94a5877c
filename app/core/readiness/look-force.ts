import type { Development } from "./development";
import type { KnownLook } from "./look";

/**
 * A look says less as the plants grow on from it: its weight halves with this share of the requirement
 * gathered since. Our judgement, tuned on the truth garden.
 */
const HALF_LIFE = 0.5;
/** Plants of one bed are alike: a sample of n tells as much as n/(1 + (n − 1)·ALIKE). Our judgement. */
const ALIKE = 0.5;

/** How much a look counts: less as it ages, more as more were looked at. */
export function lookForce(look: KnownLook, heatSince: number, dev: Development): number {
  const n = look.sampleOf ?? 1;
  return (n / (1 + (n - 1) * ALIKE)) * ageForce(heatSince, dev);
}

/** Weight of a look after so much heat, 0 to 1. */
export const ageForce = (heatSince: number, dev: Development) =>
  0.5 ** (Math.max(0, heatSince) / (HALF_LIFE * dev.requirement.median));
