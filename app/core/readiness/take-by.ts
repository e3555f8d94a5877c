import { addDays, daysBetween, type IsoDay } from "../calendar";
import { absence, type VerdictContext } from "./verdict-context";
import type { Limit } from "./verdict-reason";

/** Free hands up to so many days before the end of the outlook are as good as to its end. */
const HOLDS = 4;

/** The last day with free hands before the window closes, most of the crop is lost, or the bed is wanted. */
export function takeBy(context: VerdictContext): { day: IsoDay; limit: Limit | null; holds: boolean } {
  const { today, window, survival, handsFree, nobody, bedNeededOn } = context;
  const closes = window.closes.p50 ? Math.max(0, daysBetween(today, window.closes.p50)) : handsFree.length - 1;
  const wanted = bedNeededOn ? Math.max(0, daysBetween(today, bedNeededOn)) : Infinity;
  let last = 0;
  for (let n = 0; n < handsFree.length && n <= Math.min(closes, wanted); n++)
    if (handsFree[n] && survival.sound[n]! >= 0.7 * survival.sound[0]!) last = n;
  const next = survival.sound[Math.min(last + 1, survival.sound.length - 1)]!;
  const lost = next < 0.7 * survival.sound[0]!;
  const threat = lost
    ? survival.threats.find((t) => (t.act ?? "pick") === "pick" && daysBetween(today, t.lastDayBefore) >= last)
    : undefined;
  const day = addDays(today, last);
  if (threat) return { day, limit: { by: "threat", threat }, holds: false };
  if (last < closes && last < wanted && nobody[last + 1] === true)
    return { day, limit: absence(context, last + 1), holds: false };
  const bed = bedNeededOn && wanted <= closes;
  // The end of the outlook is no deadline.
  const holds = !lost && !bed && Math.min(closes, wanted) >= handsFree.length - 1 && last >= handsFree.length - HOLDS;
  return { day, limit: bed ? { by: "bed", neededOn: bedNeededOn } : null, holds };
}
