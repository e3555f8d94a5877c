import type { Crop } from "../crops";
import { normalCdf } from "../statistics";
import type { SoilDay } from "../weather";

/** Groups whose picked part lies in the ground. */
const IN_THE_GROUND: readonly Crop["group"][] = ["root", "tuber", "bulb"];
/** Soil a hand deep is hard from here, °C: our judgement. */
const HARD_C = -0.5;
/** Tools that need open ground. */
const DIGGERS = /fork|spade|trowel/;

/** Whether the part that is picked lies in the soil, which lags the air. */
export const liesInTheGround = (crop: Crop) => IN_THE_GROUND.includes(crop.group);

/** Whether taking it means digging. */
export const isDug = (crop: Crop) => liesInTheGround(crop) && crop.pick.kit.some((tool) => DIGGERS.test(tool));

/** Odds that soil a hand deep is below a temperature. */
export function soilOddsBelow({ meanC, spreadC }: SoilDay, thresholdC: number): number {
  return normalCdf((thresholdC - meanC) / Math.max(0.3, spreadC));
}

/** Odds that the ground is too hard to dig. */
export const frozenOdds = (soil: SoilDay) => soilOddsBelow(soil, HARD_C);
