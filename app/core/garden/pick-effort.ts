import type { Crop } from "../crops";
import type { DayTerms } from "./day-terms";
import { BED_MINUTES, ERRAND_MINUTES, ROUND_MINUTES } from "./plan-problem";

/** Minutes that picking so many pieces takes, the way to them included. */
export const minutesFor = (crop: Crop, pieces: number) => ERRAND_MINUTES + pieces / crop.piecesPerMinute.value;

/** Pieces that the longest round of each day could take if it came for nothing else. */
export const roomFor = (crop: Crop, terms: readonly DayTerms[]) =>
  terms.map((t) =>
    Math.max(0, (t.longest - ROUND_MINUTES - BED_MINUTES - ERRAND_MINUTES) * crop.piecesPerMinute.value),
  );
