import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import type { Flag } from "./flags";
import type { KnownLook } from "./look";
import { salvageOf } from "./salvage";
import type { Stage } from "./stages";
import { absence, CALL, nextFreeDay, type VerdictContext } from "./verdict-context";
import type { Limit, Verdict, VerdictReason } from "./verdict-reason";

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
 * From odds to an answer. The order of force: what is unfit (its share only), a treatment's interval, a taste or an
 * opened piece that settles it, rain that waters down, how it lets go, a hazard, a trip or the bed, past, ready, nearly,
 * leave. Two decisive looks that disagree are settled by a sample, not by averaging.
 */
export function verdictOf(context: VerdictContext): Verdict {
  const now = context.oddsByDay[0]!;
  const readyOrPast = now.prime + now.slipping + now.gone;
  const odds = { readyOrPast, over: now.slipping + now.gone, now };
  for (const step of ORDER_OF_FORCE) {
    const verdict = step(context, odds);
    if (verdict) return withApart(verdict, context);
  }
  return withApart(notYet(context, odds), context);
}

const WAITING: readonly Verdict["kind"][] = ["leave", "look again", "wait dry", "look now"];

/** What is true of some pieces only is told apart; where the rest waits, they alone are taken. */
function withApart(whole: Verdict, context: VerdictContext): Verdict {
  const { apart, ban, today } = context;
  const rest = onceDry(whole, context);
  if (apart.length === 0) return rest;
  const takes = apart.some((a) => a.means === "now" || a.means === "past");
  if (!takes || ban || !WAITING.includes(rest.kind)) return { ...rest, apart };
  const because: VerdictReason = { why: "some apart", rest };
  return { kind: "take some", because, probability: 1, takeBy: today, lookAgain: rest.lookAgain, apart };
}

/** Wet leaves wait for the sun, unless today is the last day for it. */
function onceDry(verdict: Verdict, { leavesWet, today }: VerdictContext): Verdict {
  const { kind, because } = verdict;
  const takes = kind === "ready" || kind === "take today" || kind === "take some";
  if (!leavesWet || !takes || (because.why === "ready" && because.limit?.by === "threat" && verdict.takeBy === today)) return verdict; // prettier-ignore
  return { ...verdict, kind: "wait dry", because: { why: "leaves wet", rest: verdict }, lookAgain: today };
}

const ORDER_OF_FORCE: readonly Step[] = [
  unfitVerdict,
  holdVerdict,
  seedVerdict,
  youngVerdict,
  insideVerdict,
  wateredVerdict,
  releaseVerdict,
  nowVerdict,
  stopVerdict,
  mayBeOverVerdict,
  overdueByDates,
  byDatesVerdict,
  settleVerdict,
  overVerdict,
  overdueVerdict,
  someVerdict,
  readyVerdict,
  salvageVerdict,
  seenReadyVerdict,
  earlyVerdict,
  nearlyVerdict,
];

function answer(
  kind: Verdict["kind"],
  because: VerdictReason,
  probability: number,
  dates: Partial<Verdict> = {},
): Verdict {
  return { kind, because, probability, takeBy: null, lookAgain: null, apart: [], ...dates };
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
/** What a reading asks for: its advice, or what was seen. */
const advised = ({ look }: Flag) => saidBy(look);
const saidBy = ({ reading }: KnownLook) => reading.advice ?? lower(reading.text);

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

/** A taste, or a piece opened today or yesterday, that settles it. */
function insideVerdict(context: VerdictContext, odds: Odds): Verdict | undefined {
  const { settled, crop, today } = context;
  const look = settled.taste;
  if (!look) return undefined;
  const { means } = look.reading;
  if (means === "ready" && odds.readyOrPast < CALL) return readyVerdict(context, { ...odds, readyOrPast: CALL });
  if (means !== "early" && means !== "nearly" && means !== "past") return undefined;
  const because: VerdictReason = { why: "seen inside", state: means, advice: saidBy(look) };
  if (means === "past") return answer(crop.mode === "repeat" ? "clear" : "past", because, 1, { takeBy: today });
  const lookAgain = nextFreeDay(context, means === "early" ? Math.max(2, crop.again?.low ?? 4) : 2);
  return answer(means === "early" ? "leave" : "look again", because, 1, { lookAgain });
}

/** Soaked fruit is soft and swollen for a day or two: nothing that is felt or seen outside counts until it has dried. */
function wateredVerdict(context: VerdictContext, odds: Odds): Verdict | undefined {
  const { settled, crop, rain } = context;
  const watery = settled.taste?.reading.means === "nearly" && rain.soakedDaysAgo !== null;
  if (!crop.rainWait || odds.readyOrPast < CALL || watery) return undefined;
  const verdict = waitForDry(context, takeBy(context), odds.readyOrPast);
  return verdict?.because.why === "watered down" ? verdict : undefined;
}

/** What has to be tugged at is not ripe, whatever it looks like. */
function releaseVerdict(context: VerdictContext): Verdict | undefined {
  const { settled, crop } = context;
  if (settled.release?.reading.means !== "early") return undefined;
  const lookAgain = nextFreeDay(context, Math.max(1, Math.min(4, Math.round(crop.windowDays.value / 2))));
  return salvageVerdict(context) ?? answer("leave", { why: "holds on", advice: saidBy(settled.release) }, 1, { lookAgain }); // prettier-ignore
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

function byDatesVerdict(
  { byDatesOnly, today, flag }: VerdictContext,
  { readyOrPast, over }: Odds,
): Verdict | undefined {
  if (!byDatesOnly || flag?.means === "past" || readyOrPast < CALL) return undefined;
  return answer("look now", { why: "by its dates", over: over >= CALL }, readyOrPast, { lookAgain: today });
}

function settleVerdict({ conflict, today }: VerdictContext, { readyOrPast }: Odds): Verdict | undefined {
  if (!conflict?.stands) return undefined;
  return answer("settle", { why: "looks disagree" }, Math.max(readyOrPast, 1 - readyOrPast), { lookAgain: today });
}

function overVerdict(context: VerdictContext, { readyOrPast, over }: Odds): Verdict | undefined {
  const { crop, today, flag } = context;
  const seenPast = flag?.means === "past";
  // Shares that somebody told, and none of them past, know better than the dates.
  if ((over < CALL_OVER || context.told) && !seenPast) return undefined;
  // Dates may say that it is long over; hands that found it ripe and nothing worse are nearer the truth.
  if (!seenPast && context.seenPast === false)
    return answer("take today", { why: "ripe, perhaps over" }, readyOrPast, { takeBy: today });
  const advice = seenPast ? (flag.look.reading.advice ?? null) : null;
  const ofPieces = !advice || flag?.look.reading.of === "piece";
  const keepsCropping = ofPieces && crop.suppressesWhenLeft.value !== "no" && crop.mode === "repeat";
  const kind = keepsCropping ? "clear" : "past";
  return answer(kind, { why: "past", advice, keepsCropping }, seenPast ? 1 : over, { takeBy: today });
}

function readyVerdict(context: VerdictContext, { readyOrPast }: Odds): Verdict | undefined {
  const { today, flag } = context;
  if (readyOrPast < CALL || flag?.means === "early") return undefined;
  const by = takeBy(context);
  const wait = waitForDry(context, by, readyOrPast);
  if (wait) return wait;
  const reason: VerdictReason = {
    why: "ready",
    share: shareSaid(context),
    limit: by.limit,
    thin: thins(context),
    holds: by.holds,
  };
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

/** By what was told of the pieces some are ready and the others are not: of what is lifted at once none comes off alone. */
function someVerdict(context: VerdictContext): Verdict | undefined {
  const { told, crop, today, flag } = context;
  if (!told || told.ready <= 0 || told.ready >= MOST_OF_ALL || flag?.means === "early") return undefined;
  if (crop.life.taking.way === "all at once") return undefined;
  const salvage = told.nearly > 0 ? salvageVerdict(context) : undefined;
  if (salvage) return salvage;
  const rest = told.nearly >= told.early ? "nearly" : "early";
  const days = rest === "nearly" ? Math.min(3, crop.again?.low ?? 3) : (crop.again?.high ?? Math.min(7, Math.max(3, crop.windowDays.value / 2))); // prettier-ignore
  const lookAgain = nextFreeDay(context, Math.max(1, Math.round(days)));
  return answer("take some", { why: "some ready", share: told.ready, rest }, 1, { takeBy: today, lookAgain });
}

/** From this share on it is as good as all of it: our judgement. */
const MOST_OF_ALL = 0.95;

/** Said when a good part is not ready yet. */
function shareSaid({ crop, shareReady }: VerdictContext): number | null {
  return shareReady >= MOST_OF_IT || (crop.mode !== "passes" && !crop.thins) ? null : shareReady;
}

const thins = ({ crop, shareReady }: VerdictContext) =>
  Boolean(crop.thins?.value) && shareReady >= A_FEW && shareReady < MOST_OF_IT;

function salvageVerdict(context: VerdictContext): Verdict | undefined {
  return context.flag?.means === "early" ? undefined : salvageOf(context);
}

/** By the days since the last pick nothing is due; eyes that find it ready know better. */
function seenReadyVerdict(context: VerdictContext, odds: Odds): Verdict | undefined {
  return context.seenReady
    ? readyVerdict(context, { ...odds, readyOrPast: Math.max(CALL, odds.readyOrPast) })
    : undefined;
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

/** Free hands up to so many days before the end of the outlook are as good as to its end. */
const HOLDS = 4;

/** The last day with free hands before the window closes, most of the crop is lost, or the bed is wanted. */
function takeBy(context: VerdictContext): { day: IsoDay; limit: Limit | null; holds: boolean } {
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
