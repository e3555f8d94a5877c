import { addDays, type IsoDay } from "../calendar";
import { stageWorth } from "../cropping";
import { STAGES, oddsOn } from "../readiness";
import type { PlantingOutlook } from "./planting-outlook";

/** Of a bell curve half lies within so many standard deviations of its middle (handbook table of the normal distribution). */
const HALF_WITHIN = 0.6745;

/**
 * How far off a ridge may be on each day for not knowing how far the plants are: half its width, as shares of its top, so
 * that about half of what may come lies within. What the weather may take is not in it: that is the ridge against its skirt.
 */
export function ridgeDoubt(p: Pick<PlantingOutlook, "crop" | "judgement" | "ridge">, today: IsoDay): number[] {
  const worth = stageWorth(p.crop);
  return p.ridge.map((height, n) => {
    const odds = oddsOn(p.judgement.stages, addDays(today, n));
    const mean = STAGES.reduce((sum, s) => sum + odds[s] * worth[s], 0);
    const square = STAGES.reduce((sum, s) => sum + odds[s] * worth[s] ** 2, 0);
    const spread = Math.sqrt(Math.max(0, square - mean ** 2));
    return mean > 0 ? height * Math.min(1, (HALF_WITHIN * spread) / mean) : 0;
  });
}
