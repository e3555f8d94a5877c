import { addDays, dayOfLight, daysBetween } from "../calendar";
import type { Crop } from "../crops";
import { BOLTS_FROM_HOURS, REST_DAYS, yearTurnOn } from "../seasons";
import { normalCdf } from "../statistics";
import { dailyDegreeDays } from "../weather";
import type { GardenSky } from "./garden-sky";
import type { PlantingState } from "./garden-state";

/** Heat of a spring is counted above this, °C: as the crops' `afterWinter` says. */
const BASE_C = 4.4;
const UPPER_C = 28;
/** Plants of one bed shoot within this spread (log) of their heat: our judgement. */
const SPREAD = 0.15;

/**
 * The end that spring brings to what stood the winter: it bolts, sprouts or toughens once the days warm.
 *
 * @returns P(ended) by a day of the track; nothing for what was started since midwinter
 */
export function endOfLife(crop: Crop, planting: PlantingState, sky: GardenSky): (trackDay: number) => number {
  const { afterWinter } = crop.life;
  const turn = yearTurnOn(sky.today, sky.latitude);
  if (!afterWinter || crop.perennial || planting.startedOn >= turn) return () => 0;
  const { track } = sky;
  const first = Math.max(0, daysBetween(track.from, turn) + REST_DAYS);
  const heat = new Float64Array(track.minC.length);
  for (let i = first; i < heat.length; i++)
    heat[i] = (heat[i - 1] ?? 0) + dailyDegreeDays(track.minC[i]!, track.maxC[i]!, BASE_C, UPPER_C);
  const light = dayOfLight(addDays(turn, REST_DAYS), BOLTS_FROM_HOURS, sky.latitude);
  const lightFrom = light ? daysBetween(track.from, light) : Infinity;
  return (at) => {
    const gathered = heat[Math.min(Math.max(at, 0), heat.length - 1)]!;
    return gathered <= 0 || at < lightFrom ? 0 : normalCdf(Math.log(gathered / afterWinter.heat) / SPREAD);
  };
}
