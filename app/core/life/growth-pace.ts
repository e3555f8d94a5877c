import type { Crop } from "../crops";
import { dailyDegreeDays, expectedDegreeDays } from "../weather";

/** A warm day of 14 to 26 °C is what the rates of the catalogue stand for: our judgement. */
const WARM_DAY = { minC: 14, maxC: 26 } as const;
/** Above this high flowers set less, down to a share of it so many degrees on: from memory of EXT, numbers our judgement. */
const HOT = { fromC: 32, overC: 8, least: 0.3 } as const;

/** What is picked follows the warmth less than in proportion: leaves and roots work on in the cool. Our judgement. */
const FOLLOWS = 0.8;

/**
 * Growth of what is picked on a day, as a share of a warm day's, by its degree-days; great heat takes from it again.
 *
 * @param spreadC - how far the day may stray where only its normal is known, °C
 */
export function growthPace({ degreeDays }: Crop, minC: number, maxC: number, spreadC = 0): number {
  const { baseC, upperC } = degreeDays;
  const heat = expectedDegreeDays(minC, Math.max(minC, maxC), spreadC, baseC, upperC);
  const hot = Math.min(1, Math.max(0, (maxC - HOT.fromC) / HOT.overC));
  const share = heat / dailyDegreeDays(WARM_DAY.minC, WARM_DAY.maxC, baseC, upperC);
  return share ** FOLLOWS * (1 - (1 - HOT.least) * hot);
}
