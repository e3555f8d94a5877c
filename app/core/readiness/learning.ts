import type { ThermalRequirement } from "./requirement";

/** What first picks have taught of a variety: how far its requirement lies from the packet's. */
export interface Learnt {
  /** First picks of this variety and of others of the crop. */
  picks: number;
  /** The packet's requirement, corrected. */
  requirement: (packet: ThermalRequirement) => ThermalRequirement;
}

export const packetNotKnown: Learnt = { picks: 0, requirement: (packet) => packet };

/**
 * Shares of the packet's variance (log): what stays with the crop in this garden, what stays with the
 * variety, and what is new each season. Our judgement, tuned on the truth garden.
 */
const SHARE = { crop: 0.42, variety: 0.38, season: 0.2 } as const;
/** Spread (log) between the day it was ready and the day somebody picked it first: our judgement. */
const PICKING_SPREAD = 0.04;

/** A first pick comes this far into the window, days at most: our judgement. */
const LATE = { ofWindow: 0.25, mostDays: 3 } as const;

/**
 * What a first pick says: ln(heat when it was ready ÷ heat the packet asks for). Somebody comes by a
 * little after it is ready, and that is taken off.
 *
 * @param heat - gathered from the start to the end of the day of the pick, °C·d
 * @param heatPerDay - at that time of the year, °C·d
 * @param windowDays - of the crop
 * @param packet - the packet's requirement at the planting's start
 */
export function firstPickSays(
  heat: number,
  heatPerDay: number,
  windowDays: number,
  packet: ThermalRequirement,
): { logRatio: number; logSpread: number } {
  const late = Math.min(LATE.mostDays, LATE.ofWindow * windowDays) * heatPerDay;
  return { logRatio: Math.log(Math.max(1, heat - late) / packet.median), logSpread: packet.logSpread };
}

/** A first pick: ln(heat gathered by that day ÷ heat the packet asks for), and the packet's own spread. */
export interface FirstPick {
  variety: string;
  logRatio: number;
  logSpread: number;
}

/**
 * Updates the requirement of a variety from first picks, shrunk to the crop, the crop shrunk to the
 * packet: normal on the log scale at both levels, so closed form.
 *
 * @param picks - first picks of all varieties of the crop in this garden, this one's among them
 * @param variety - the variety to forecast
 * @returns the packet's correction; with no picks the packet itself
 * @source conjugate normal model with known variances, e.g. Gelman et al., Bayesian Data Analysis, 2.5 and 5.4 (from memory)
 */
export function learntFrom(picks: readonly FirstPick[], variety: string): Learnt {
  if (picks.length === 0) return packetNotKnown;
  const typical = picks.reduce((sum, p) => sum + p.logSpread ** 2, 0) / picks.length;
  const cropVar = SHARE.crop * typical;
  const varietyVar = SHARE.variety * typical;
  const noise = SHARE.season * typical + PICKING_SPREAD ** 2;
  const groups = new Map<string, number[]>();
  for (const p of picks) groups.set(p.variety, [...(groups.get(p.variety) ?? []), p.logRatio]);
  // The crop's own shift, from the means of the other varieties.
  let precision = 1 / cropVar;
  let sum = 0;
  for (const [name, ratios] of groups) {
    if (name === variety) continue;
    const p = 1 / (varietyVar + noise / ratios.length);
    precision += p;
    sum += p * mean(ratios);
  }
  const cropMean = sum / precision;
  const before = 1 / precision + varietyVar;
  const own = groups.get(variety) ?? [];
  const after = 1 / (1 / before + own.length / noise);
  const shift = after * (cropMean / before + own.reduce((a, b) => a + b, 0) / noise);
  return {
    picks: picks.length,
    requirement: (packet) => ({
      median: packet.median * Math.exp(shift),
      logSpread: Math.min(packet.logSpread, Math.sqrt(after + SHARE.season * packet.logSpread ** 2)),
    }),
  };
}

const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;
