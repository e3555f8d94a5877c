import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import type { Flag } from "./flags";
import { salvageOf } from "./salvage";
import type { Stage } from "./stages";
import { CALL, nextFreeDay, type Verdict, type VerdictContext } from "./verdict-context";
import type { Limit, VerdictReason } from "./verdict-reason";

/** Odds from which a crop is called over; higher, since it ends the waiting. */
const CALL_OVER = 0.6;
/** Below this a crop that is taken in passes or thinned says which share is ready: our judgement. */
const MOST_OF_IT = 0.72;
const A_FEW = 0.08;

/** One step of the order of force: its verdict, or undefined to go on to the next. */
type Step = (context: VerdictContext, odds: Odds) => Verdict | undefined;

interface Odds {
  readyOrPast: number;
  over: number;
  now: Record<Stage, number>;
}

/**
 * From odds to an answer. The order of force is the field handbook's: unfit, a treatment's interval, now, past,
 * ready, salvage before a hazard or a trip, nearly, leave. Two decisive looks that disagree are settled by a sample,
 * not by averaging.
 */
export function verdictOf(context: VerdictContext): Verdict {
  const now = context.oddsByDay[0]!;
  const readyOrPast = now.prime + now.slipping + now.gone;
  const odds = { readyOrPast, over: now.slipping + now.gone, now };
  for (const step of ORDER_OF_FORCE) {
    const verdict = step(context, odds);
    if (verdict) return verdict;
  }
  return notYet(context, odds);
}

const ORDER_OF_FORCE: readonly Step[] = [
  unfitVerdict,
  holdVerdict,
  seedVerdict,
  youngVerdict,
  nowVerdict,
  stopVerdict,
  mayBeOverVerdict,
  overdueByDates,
  byDatesVerdict,
  settleVerdict,
  overVerdict,
  overdueVerdict,
  readyVerdict,
  salvageVerdict,
  earlyVerdict,
  nearlyVerdict,
];

function answer(
  kind: Verdict["kind"],
  because: VerdictReason,
  probability: number,
  dates: Partial<Verdict> = {},
): Verdict {
  return { kind, because, probability, takeBy: null, lookAgain: null, ...dates };
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
/** What a reading asks for: its advice, or what was seen. */
const advised = ({ look }: Flag) => look.reading.advice ?? lower(look.reading.text);

function unfitVerdict({ flag }: VerdictContext): Verdict | undefined {
  if (flag?.means !== "unfit") return undefined;
  return answer("unfit", { why: "unfit", advice: flag.look.reading.advice ?? null }, 1);
}

/** Treated: not to be picked until the interval of the label is over, whatever else is true of it. */
function holdVerdict({ ban }: VerdictContext): Verdict | undefined {
  return ban && answer("hold", { why: "treated", ban }, 1, { lookAgain: ban.until });
}

function seedVerdict(context: VerdictContext): Verdict | undefined {
  if (!context.forSeed) return undefined;
  const advice = context.crop.seedSaving?.text ?? null;
  return answer("seed", { why: "for seed", advice }, 1, { lookAgain: nextFreeDay(context, 7) });
}

/** Too young to be picked: the plant needs its first years for itself. */
function youngVerdict({ crop, growingYear }: VerdictContext): Verdict | undefined {
  const first = crop.perennial?.firstCropYear ?? 1;
  if (growingYear === null || growingYear >= first) return undefined;
  return answer("stop", { why: "too young", growingYear, firstCropYear: first }, 1);
}

function nowVerdict({ flag, today }: VerdictContext, { now, readyOrPast }: Odds): Verdict | undefined {
  if (flag?.means !== "now" || !flagActs(flag, now)) return undefined;
  const advice = advised(flag);
  return answer("take today", { why: "seen now", advice }, Math.max(readyOrPast, CALL), { takeBy: today });
}

/** A `now` read from the plant acts at once; the ones inside a ripeness scale need at least nearly. */
function flagActs(flag: Flag, odds: Record<Stage, number>): boolean {
  const ofItself = ["damage", "flower", "animal", "time", "foliage"].includes(flag.look.cue.kind);
  return ofItself || 1 - odds["not yet"] >= 0.3;
}

/** Days of cutting that a crown of its age bears; a household's own number of days holds for all ages. */
function cutDays(crop: Crop, growingYear: number | null, usual: number): number {
  const weeks = crop.life.cutWeeks?.weeks;
  if (!weeks || growingYear === null || growingYear >= weeks.length) return usual;
  return Math.min(usual, 7 * weeks[growingYear - 1]!);
}

/** Picking that has to end for the plant's sake. */
function stopVerdict({ crop, today, firstPickOn, growingYear }: VerdictContext): Verdict | undefined {
  const rule = crop.stopCropping;
  if (!rule || !firstPickOn || daysBetween(firstPickOn, today) <= cutDays(crop, growingYear, rule.afterDays)) return undefined; // prettier-ignore
  const weeks = Math.floor(daysBetween(firstPickOn, today) / 7);
  return answer("stop", { why: "picked enough", weeks, because: rule.because }, 1);
}

/** It has borne its time: nobody but eyes can tell, so the question is asked. */
function mayBeOverVerdict({ crop, ended, today, firstPickOn, flag }: VerdictContext): Verdict | undefined {
  if (ended < CALL_OVER || flag) return undefined;
  const ends = crop.mode === "repeat" ? (crop.life.bearing?.ends ?? "spent") : (crop.life.afterWinter?.becomes ?? "spent"); // prettier-ignore
  return answer("look now", { why: "may be over", ends, picked: firstPickOn !== null }, ended, { lookAgain: today });
}

function overdueByDates(context: VerdictContext): Verdict | undefined {
  return context.byDatesOnly ? overdueVerdict(context) : undefined;
}

function overdueVerdict({ overdue, today }: VerdictContext): Verdict | undefined {
  return overdue ? answer("take today", { why: "overdue", ...overdue }, 1, { takeBy: today }) : undefined;
}

function byDatesVerdict({ byDatesOnly, today }: VerdictContext, { readyOrPast, over }: Odds): Verdict | undefined {
  if (!byDatesOnly || readyOrPast < CALL) return undefined;
  return answer("look now", { why: "by its dates", over: over >= CALL }, readyOrPast, { lookAgain: today });
}

function settleVerdict({ conflict, today }: VerdictContext, { readyOrPast }: Odds): Verdict | undefined {
  if (!conflict?.stands) return undefined;
  return answer("settle", { why: "looks disagree" }, Math.max(readyOrPast, 1 - readyOrPast), { lookAgain: today });
}

function overVerdict(context: VerdictContext, { readyOrPast, over }: Odds): Verdict | undefined {
  const { crop, today, flag } = context;
  const seenPast = flag?.means === "past";
  if (over < CALL_OVER && !seenPast) return undefined;
  // Dates may say that it is long over; hands that found it ripe and nothing worse are nearer the truth.
  if (!seenPast && context.seenPast === false)
    return answer("take today", { why: "ripe, perhaps over" }, readyOrPast, { takeBy: today });
  const advice = seenPast ? (flag.look.reading.advice ?? null) : null;
  const keepsCropping = !advice && crop.suppressesWhenLeft.value !== "no" && crop.mode === "repeat";
  const kind = keepsCropping ? "clear" : "past";
  return answer(kind, { why: "past", advice, keepsCropping }, seenPast ? 1 : over, { takeBy: today });
}

function readyVerdict(context: VerdictContext, { readyOrPast }: Odds): Verdict | undefined {
  const { today, flag } = context;
  if (readyOrPast < CALL || flag?.means === "early") return undefined;
  const by = takeBy(context);
  const wait = waitForDry(context, by, readyOrPast);
  if (wait) return wait;
  const reason: VerdictReason = { why: "ready", share: shareSaid(context), limit: by.limit, thin: thins(context) };
  return answer(by.day === today ? "take today" : "ready", reason, readyOrPast, { takeBy: by.day });
}

/** Ready, but better after dry days: soaked fruit is watery, and what cures is lifted in a dry spell. */
function waitForDry(
  context: VerdictContext,
  by: { day: IsoDay; limit: Limit | null },
  readyOrPast: number,
): Verdict | undefined {
  const { crop, today, rain } = context;
  const { rainWait, dryDays } = crop;
  const pressed = by.limit !== null || by.day === today;
  if (rainWait && rain.soakedDaysAgo !== null && rain.soakedDaysAgo < rainWait.high && !pressed) {
    const again = nextFreeDay(context, Math.max(1, rainWait.high - rain.soakedDaysAgo));
    return answer("wait dry", { why: "watered down", because: rainWait.because }, readyOrPast, { lookAgain: again });
  }
  if (!dryDays || rain.dryRun[0] === null || rain.dryRun[0]! >= dryDays.days) return undefined;
  const until = daysBetween(today, by.day);
  const start = rain.dryRun.findIndex((run, n) => n <= until && context.handsFree[n] && (run ?? 0) >= dryDays.days);
  if (start <= 0) return undefined;
  return answer("wait dry", { why: "lift in the dry", dryDays: dryDays.days }, readyOrPast, {
    takeBy: by.day,
    lookAgain: addDays(today, start),
  });
}

/** Said when a good part is not ready yet. */
function shareSaid({ crop, shareReady }: VerdictContext): number | null {
  return shareReady >= MOST_OF_IT || (crop.mode !== "passes" && !crop.thins) ? null : shareReady;
}

const thins = ({ crop, shareReady }: VerdictContext) =>
  Boolean(crop.thins?.value) && shareReady >= A_FEW && shareReady < MOST_OF_IT;

function salvageVerdict(context: VerdictContext): Verdict | undefined {
  return context.flag?.means === "early" ? undefined : salvageOf(context);
}

function earlyVerdict(context: VerdictContext): Verdict | undefined {
  const { flag, crop } = context;
  if (flag?.means !== "early") return undefined;
  const lookAgain = nextFreeDay(context, crop.again?.low ?? 3);
  return answer("leave", { why: "seen early", advice: advised(flag) }, 1, { lookAgain });
}

function nearlyVerdict(context: VerdictContext, { readyOrPast, now }: Odds): Verdict | undefined {
  if (now.close + readyOrPast < CALL) return undefined;
  const { crop } = context;
  const rest = Math.round((crop.again?.low ?? crop.windowDays.value) / 3);
  const lookAgain = nextFreeDay(context, Math.max(1, Math.min(7, rest)));
  return answer("look again", { why: "nearly", thin: thins(context) }, now.close, { lookAgain });
}

function notYet(context: VerdictContext, { now }: Odds): Verdict {
  const first = context.window.opens.p10;
  const wait = first ? Math.min(14, Math.max(2, daysBetween(context.today, first))) : 14;
  return answer("leave", { why: "not yet" }, now["not yet"] + now.close, { lookAgain: nextFreeDay(context, wait) });
}

/** The last day with free hands before the window closes, most of the crop is lost, or the bed is wanted. */
function takeBy(context: VerdictContext): { day: IsoDay; limit: Limit | null } {
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
  if (threat) return { day, limit: { by: "threat", threat } };
  if (last < closes && last < wanted && nobody[last + 1] === true) return { day, limit: { by: "away", backOn: null } };
  return { day, limit: bedNeededOn && wanted <= closes ? { by: "bed", neededOn: bedNeededOn } : null };
}
