import { daysBetween } from "../calendar";
import type { Crop } from "../crops";
import { answer, type Odds } from "./step";
import { thins } from "./steps-ready";
import { CALL, CALL_OVER, nextFreeDay, type VerdictContext } from "./verdict-context";
import type { Verdict, VerdictReason } from "./verdict-reason";

/** Treated: not to be picked until the interval of the label is over, whatever else is true of it. */
export function holdVerdict({ ban }: VerdictContext): Verdict | undefined {
  return ban && answer("hold", { why: "treated", ban }, 1, { lookAgain: ban.until });
}

export function seedVerdict(context: VerdictContext): Verdict | undefined {
  if (!context.forSeed) return undefined;
  const advice = context.crop.seedSaving?.text ?? null;
  return answer("seed", { why: "for seed", advice }, 1, { lookAgain: nextFreeDay(context, 7) });
}

/** Too young to be picked: the plant needs its first years for itself. */
export function youngVerdict({ crop, growingYear }: VerdictContext): Verdict | undefined {
  const first = crop.perennial?.firstCropYear ?? 1;
  if (growingYear === null || growingYear >= first) return undefined;
  return answer("stop", { why: "too young", growingYear, firstCropYear: first }, 1);
}

/** Days of cutting that a crown of its age bears; a household's own number of days holds for all ages. */
function cutDays(crop: Crop, growingYear: number | null, usual: number): number {
  const weeks = crop.life.cutWeeks?.weeks;
  if (!weeks || growingYear === null || growingYear >= weeks.length) return usual;
  return Math.min(usual, 7 * weeks[growingYear - 1]!);
}

/** Picking that has to end for the plant's sake. */
export function stopVerdict({ crop, today, firstPickOn, growingYear }: VerdictContext): Verdict | undefined {
  const rule = crop.stopCropping;
  if (!rule || !firstPickOn || daysBetween(firstPickOn, today) <= cutDays(crop, growingYear, rule.afterDays)) return undefined; // prettier-ignore
  const weeks = Math.floor(daysBetween(firstPickOn, today) / 7);
  return answer("stop", { why: "picked enough", weeks, because: rule.because }, 1);
}

/** It has borne its time: nobody but eyes can tell, so the question is asked. */
export function mayBeOverVerdict({ crop, ended, today, firstPickOn, flag }: VerdictContext): Verdict | undefined {
  if (ended < CALL_OVER || flag) return undefined;
  const ends = crop.mode === "repeat" ? (crop.life.bearing?.ends ?? "spent") : (crop.life.afterWinter?.becomes ?? "spent"); // prettier-ignore
  return answer("look now", { why: "may be over", ends, picked: firstPickOn !== null }, ended, { lookAgain: today });
}

/** By the number of its plants nothing is left: whoever is there knows whether that is so. */
export function allPickedVerdict({ allPicked, today }: VerdictContext): Verdict | undefined {
  return allPicked ? answer("look now", { why: "all picked" }, 1, { lookAgain: today }) : undefined;
}

export function overdueByDates(context: VerdictContext): Verdict | undefined {
  return context.byDatesOnly ? overdueVerdict(context) : undefined;
}

export function overdueVerdict({ overdue, today }: VerdictContext): Verdict | undefined {
  return overdue ? answer("take today", { why: "overdue", ...overdue }, 1, { takeBy: today }) : undefined;
}

export function byDatesVerdict(
  { byDatesOnly, today, flag, crop, firstPickOn, window }: VerdictContext,
  { readyOrPast, over }: Odds,
): Verdict | undefined {
  if (!byDatesOnly || flag?.means === "past" || flag?.means === "early" || readyOrPast < CALL) return undefined;
  const keepsGiving = crop.mode === "repeat";
  const opened = window.opens.p50;
  // It should have been picked for a while, or the garden was entered in mid season: only its gardener knows.
  const askPicked = keepsGiving && firstPickOn === null && opened !== null && daysBetween(opened, today) > (crop.again?.high ?? crop.windowDays.value); // prettier-ignore
  const openFirst = !keepsGiving && crop.cues.some((c) => c.kind === "sample" && c.weight === "decisive");
  const because: VerdictReason = { why: "by its dates", over: over >= CALL && !keepsGiving, openFirst, askPicked };
  return answer("look now", because, readyOrPast, { lookAgain: today });
}

export function nearlyVerdict(context: VerdictContext, { readyOrPast, now }: Odds): Verdict | undefined {
  if (now.close + readyOrPast < CALL) return undefined;
  const { crop } = context;
  const rest = Math.round((crop.again?.low ?? crop.windowDays.value) / 3);
  const lookAgain = nextFreeDay(context, Math.max(1, Math.min(7, rest)));
  return answer("look again", { why: "nearly", thin: thins(context) }, now.close, { lookAgain });
}

export function notYet(context: VerdictContext, { now }: Odds): Verdict {
  const first = context.window.opens.p10;
  const wait = first ? Math.min(14, Math.max(2, daysBetween(context.today, first))) : 14;
  return answer("leave", { why: "not yet" }, now["not yet"] + now.close, { lookAgain: nextFreeDay(context, wait) });
}
