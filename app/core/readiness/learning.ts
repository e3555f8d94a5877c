import { shrinkTo } from "../statistics";
import type { ThermalRequirement } from "./requirement";

/** What first picks have taught of a variety: how far its requirement lies from the packet's. */
export interface Learnt {
  /** First picks of this variety and of others of the crop. */
  picks: number;
  /** Of the median's logarithm, and what stays unknown of it; null: as the packet says. */
  shift: { log: number; variance: number } | null;
}

export const packetNotKnown: Learnt = { picks: 0, shift: null };

/** The packet's requirement, corrected by what was learnt. */
export function asLearnt({ shift }: Learnt, packet: ThermalRequirement): ThermalRequirement {
  if (!shift) return packet;
  return {
    median: packet.median * Math.exp(shift.log),
    logSpread: Math.min(packet.logSpread, Math.sqrt(shift.variance + SHARE.season * packet.logSpread ** 2)),
  };
}

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
 * packet, on the log scale.
 *
 * @param picks - first picks of all varieties of the crop in this garden, this one's among them
 * @param variety - the variety to forecast
 * @returns the packet's correction; with no picks the packet itself
 */
export function learntFrom(picks: readonly FirstPick[], variety: string): Learnt {
  if (picks.length === 0) return packetNotKnown;
  const typical = picks.reduce((sum, p) => sum + p.logSpread ** 2, 0) / picks.length;
  const { mean: shift, variance } = shrinkTo(
    picks.map((p) => ({ group: p.variety, value: p.logRatio })),
    variety,
    { shared: SHARE.crop * typical, group: SHARE.variety * typical, noise: SHARE.season * typical + PICKING_SPREAD ** 2 }, // prettier-ignore
  );
  return { picks: picks.length, shift: { log: shift, variance } };
}
