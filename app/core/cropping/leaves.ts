import type { IsoDay } from "../calendar";
import { daysBetween } from "../calendar";
import type { Crop } from "../crops";

/** What may come off a plant whose leaves were counted. */
export interface LeafOffer {
  counted: number;
  mayComeOff: number;
  mustStay: number;
}

/** A count of leaves older than this is no longer one: our judgement. */
const COUNT_DAYS = 5;

/**
 * Leaves that may be picked from each plant, never below those that must stay.
 *
 * @returns undefined for crops without such a number and without a fresh count
 */
export function leafOffer(
  crop: Crop,
  planting: { counts?: readonly { countedOn: IsoDay; what: "ready" | "leaves"; number: number }[] },
  today: IsoDay,
): LeafOffer | undefined {
  const count = planting.counts
    ?.filter((c) => c.what === "leaves" && c.countedOn <= today && daysBetween(c.countedOn, today) <= COUNT_DAYS)
    .sort((a, b) => a.countedOn.localeCompare(b.countedOn))
    .at(-1);
  if (!crop.leavesStay || !count) return undefined;
  const mustStay = crop.leavesStay.count;
  return { counted: count.number, mustStay, mayComeOff: Math.max(0, count.number - mustStay) };
}
