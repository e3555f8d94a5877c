import { addDays, type IsoDay } from "../calendar";
import { thermalSumOn } from "../weather";
import type { Development } from "./development";
import type { KnownLook } from "./look";
import type { Belief } from "./posterior";

/** What measured sizes tell. */
export interface GrowthSeen {
  /** Middle estimate of the size today, mm. */
  nowMm: number;
  /** Growth on the coming day, mm. */
  mmPerDay: number;
  targetMm: number;
  /** Day it reaches the target, and day it is too big; null beyond the outlook. */
  targetOn: IsoDay | null;
  overMm: number;
  overOn: IsoDay | null;
  /** Sizes measured on different days: with two, the rate is this planting's own. */
  days: number;
}

/**
 * Growth from measured sizes: the rate of a plant of usual vigour after one, its own after two.
 *
 * @returns null without a measurement in this cycle
 */
export function growthOf(
  dev: Development,
  belief: Belief,
  looks: readonly KnownLook[],
  today: IsoDay,
): GrowthSeen | null {
  const { growth } = dev;
  if (!growth || !belief.vigour) return null;
  const rate = growth.rate * belief.vigour.mean;
  const need = belief.vigour.targetHeat;
  const sizeAt = (heat: number) => growth.targetMm * Math.exp(Math.min(3, rate * (heat - need)));
  const dayOf = (heat: number) => {
    const i = dev.thermal.sum.findIndex((s) => s >= heat);
    return i < 0 ? null : addDays(dev.thermal.from, i);
  };
  const now = thermalSumOn(dev.thermal, today);
  const nowMm = sizeAt(now);
  return {
    nowMm,
    mmPerDay: sizeAt(thermalSumOn(dev.thermal, addDays(today, 1))) - nowMm,
    targetMm: growth.targetMm,
    targetOn: dayOf(need),
    overMm: growth.overMm,
    overOn: dayOf(need + Math.log(growth.overMm / growth.targetMm) / rate),
    days: new Set(looks.filter((l) => l.measuredMm !== undefined).map((l) => l.takenOn)).size,
  };
}
