import type { Crop } from "../crops";
import { dailyDegreeDays, type SkyTrack } from "../weather";

/** A warm day of 14 to 26 °C is what the rates of the catalogue stand for: our judgement. */
const WARM_DAY = { minC: 14, maxC: 26 };

/** Growth of a day as a share of a warm day's, by its degree-days. */
export function paceOn(crop: Crop, track: SkyTrack, i: number, extraC: number): number {
  const { baseC, upperC } = crop.degreeDays;
  const minC = track.minC[i]!;
  const warm = dailyDegreeDays(WARM_DAY.minC, WARM_DAY.maxC, baseC, upperC);
  return dailyDegreeDays(minC, Math.max(minC, track.maxC[i]! + extraC), baseC, upperC) / warm;
}
