import { addDays, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { actKey, lastMark, type ActMark } from "./act-mark";
import type { PlantingState } from "./garden-state";

/** Days until a look that was made without news, or left out, is asked for again, where the crop has no rhythm: our judgement. */
const RESTS_DAYS = 3;

/** The same as long as it is of the same season: what is said of one look holds until the next. */
export const lookKey = (planting: Pick<PlantingState, "id" | "seasonId">): string => actKey({ id: "look" }, planting);

/**
 * From when on a look is asked for again where the household said of the last one that there was no news, or left it out.
 *
 * @returns null where nothing was said, or something was seen since
 */
export function lookRestsUntil(
  crop: Pick<Crop, "again">,
  planting: Pick<PlantingState, "id" | "seasonId" | "looks">,
  marks: readonly ActMark[],
): IsoDay | null {
  const mark = lastMark(marks, lookKey(planting));
  if (!mark || planting.looks.some((look) => look.takenOn > mark.day)) return null;
  return addDays(mark.day, Math.max(1, Math.round(crop.again?.low ?? RESTS_DAYS)));
}
