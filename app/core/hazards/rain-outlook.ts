import { trackIndex, type SkyTrack } from "../weather";
import { SOAK_MM } from "./storm";

/** Under this a day counts as dry, mm: our judgement. */
const DRY_MM = 1;
/** A soaking longer ago than this no longer shows in the fruit: our judgement. */
const LOOK_BACK_DAYS = 3;

/** Rain as it matters to the hands: what has just fallen, and how long it stays dry. */
export interface RainOutlook {
  /** Days since the last soaking (15 mm), 0 = today; null when none lately or unknown. */
  soakedDaysAgo: number | null;
  /** From each day of the horizon: how many dry days run from it, itself included; null where rain is not known. */
  dryRun: (number | null)[];
}

/**
 * @param days - horizon counted from today
 */
export function rainOutlook(track: SkyTrack, days: number): RainOutlook {
  const today = trackIndex(track, track.today);
  let soakedDaysAgo: number | null = null;
  for (let ago = LOOK_BACK_DAYS; ago >= 0; ago--) if ((track.rainMm[today - ago] ?? 0) >= SOAK_MM) soakedDaysAgo = ago;
  const dryRun = Array.from({ length: days }, (_, n) => {
    if (track.rainMm[today + n] === null) return null;
    let run = 0;
    while (run < 7 && (track.rainMm[today + n + run] ?? Infinity) < DRY_MM) run++;
    return run;
  });
  return { soakedDaysAgo, dryRun };
}
