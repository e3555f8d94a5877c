import type { IsoDay } from "../calendar";
import type { Plan, PlantingTask } from "../planner";
import { ROUND_LOOK, oddsOn, tellsHowFar } from "../readiness";
import type { ActMark } from "./act-mark";
import type { DayTerms } from "./day-terms";
import type { LookTaken } from "./garden-state";
import { BED_COST, EFFORT_PER_MINUTE, ERRAND_MINUTES, ROUND_COST } from "./plan-problem";
import { lookKey, lookRestsUntil } from "./look-rests";
import { plannedPicks } from "./planned-picks";
import type { PlantingOutlook } from "./planting-outlook";
import { standingPieces } from "./standing";

/** Minutes that a look takes: our judgement. */
export const LOOK_MINUTES = 0.7;
/** What a look and the way to it cost: it is asked for where it would pay a round of its own. */
const EFFORT = EFFORT_PER_MINUTE * (LOOK_MINUTES + ERRAND_MINUTES);
const PAYS = ROUND_COST + BED_COST + EFFORT;
/** Verdicts that only eyes settle, or that ask for a hand today. */
const ASKS: readonly string[] = ["look now", "take today", "take some", "clear", "past"];
/** Verdicts that hang on what nobody has seen yet. */
const OPEN: readonly string[] = ["leave", "look again", "look now"];
/** Verdicts that wait for the next look. */
const WAITS: readonly string[] = ["leave", "look again"];
/** So many days ahead a look is planned for: what it is worth later, the morning will tell. */
const DAYS_AHEAD = 3;

const LOOK = "#look";

/** The id of the look at a planting among the tasks of a plan. */
export const lookTaskId = (plantingId: string): string => `${plantingId}${LOOK}`;
export const isLookTask = (taskId: string): boolean => taskId.endsWith(LOOK);

/** Whether a look says how far it is: a bite, or a clean leaf, leaves that open. */
function tells({ crop }: PlantingOutlook, look: LookTaken): boolean {
  const cue = [ROUND_LOOK, ...crop.cues].find((c) => c.id === look.cueId);
  return cue !== undefined && tellsHowFar({ cue, readingId: look.readingId, measuredMm: look.measuredMm });
}

/** What finding out so many days later than today that it was ready is expected to cost, kilograms of courgette. */
function lateBy(p: PlantingOutlook, terms: readonly DayTerms[]): number[] {
  const { stages } = p.judgement;
  const today = terms[0]!.day;
  const odds = terms.map((t) => oddsOn(stages, t.day));
  const over = (n: number) => odds[n]!.slipping / 2 + odds[n]!.gone;
  const ready = (n: number) => odds[n]!.prime + odds[n]!.slipping + odds[n]!.gone;
  // Of what keeps giving: what would hang there if it has begun.
  const stake =
    p.crop.mode === "once"
      ? (standingPieces(p.crop, p.planting, p.bears) * p.crop.pieceGrams.value * p.crop.worthPerKg.value) / 1000
      : Math.max(0, ...p.worth.map((w, n) => w / Math.max(0.2, ready(n))));
  if (p.planting.looks.some((l) => l.takenOn === today && tells(p, l))) return terms.map(() => 0);
  return terms.map((_, n) => stake * (1 - p.crop.worthPast.value) * Math.max(0, over(n) - over(0)));
}

/**
 * The look that a planting wants in the coming days, as a task of the plan beside the picks: it is worth what not
 * knowing would cost until hands are free again, by the odds that what is ready passes meanwhile.
 *
 * @param from - not before this day
 * @returns undefined where nothing hangs on it
 */
function lookTask(p: PlantingOutlook, terms: readonly DayTerms[], from: IsoDay): PlantingTask | undefined {
  if (!OPEN.includes(p.judgement.verdict.kind)) return undefined;
  const late = lateBy(p, terms);
  const freeAfter = (n: number) => {
    const next = terms.findIndex((t, k) => k > n && t.longest > ERRAND_MINUTES);
    return next < 0 ? terms.length - 1 : next;
  };
  // Whoever does not look on one of these days finds it out on the first free one after them.
  const after = late[freeAfter(DAYS_AHEAD - 1)]!;
  const saves = late.map((cost) => after - cost);
  const open = (n: number) => n < DAYS_AHEAD && terms[n]!.day >= from && p.bans[n] === null && saves[n]! > PAYS;
  if (!terms.some((_, n) => open(n))) return undefined;
  return {
    id: lookTaskId(p.planting.id),
    bedId: p.bed.id,
    repeat: false,
    worth: [saves.map((w) => w - EFFORT)],
    minutes: [terms.map((_, n) => (open(n) ? LOOK_MINUTES : null))],
    endWorth: [0],
  };
}

/**
 * The outlook with the look it wants, its verdict asking for it on the day on which it pays, where that is sooner, and not
 * before the day up to which the household has looked or left it: one voice.
 *
 * @param restsUntil - null where nothing was said
 */
export function withLook(p: PlantingOutlook, terms: readonly DayTerms[], restsUntil: IsoDay | null): PlantingOutlook {
  const look = lookTask(p, terms, restsUntil ?? terms[0]!.day);
  const { verdict } = p.judgement;
  const { lookAgain } = verdict;
  const asking = (day: IsoDay) => ({ ...p, judgement: { ...p.judgement, verdict: { ...verdict, lookAgain: day } } });
  const rested = lookAgain !== null && restsUntil !== null && restsUntil > lookAgain && WAITS.includes(verdict.kind) ? asking(restsUntil) : p; // prettier-ignore
  if (!look) return rested;
  const day = terms.find((t, n) => look.minutes[0]![n] !== null && t.longest > ERRAND_MINUTES)?.day;
  if (!day || lookAgain === null || lookAgain <= day) return { ...rested, look };
  return { ...asking(day), look };
}

/**
 * Plantings that only eyes can settle, or that ask for a hand today and are not in the plan; the likeliest to be going over
 * first. What the household has looked at without news, or left, rests.
 */
export function looksAsked(
  plantings: readonly PlantingOutlook[],
  marks: readonly ActMark[],
  today: IsoDay,
): PlantingOutlook[] {
  const over = ({ judgement: { odds } }: PlantingOutlook) => odds.slipping + odds.gone;
  const rests = ({ crop, planting }: PlantingOutlook) => (lookRestsUntil(crop, planting, marks) ?? today) > today;
  return plantings
    .filter((p) => ASKS.includes(p.judgement.verdict.kind) && !rests(p))
    .sort((a, b) => over(b) - over(a));
}

/** A look that is due, and on which day. */
export interface LookDue {
  key: string;
  day: IsoDay;
}

/**
 * The next look at a planting: as the plan has it, else as its verdict asks for it.
 *
 * @param plan - null: looks hang on the plan, so that there is none
 * @param marked - keys of what was said today, and is told as due today again
 * @returns undefined where none is due, or a pick comes to it that day
 */
export function lookDue(
  p: PlantingOutlook,
  { days, today }: { days: readonly IsoDay[]; today: IsoDay },
  plan: Pick<Plan, "picks"> | null,
  marks: readonly ActMark[],
  marked: ReadonlySet<string>,
): LookDue | undefined {
  const key = lookKey(p.planting);
  if (marked.has(key)) return { key, day: today };
  if (!plan || p.judgement.verdict.lookAgain === null) return undefined;
  const planned = plan.picks[lookTaskId(p.planting.id)]?.[0];
  const rests = lookRestsUntil(p.crop, p.planting, marks) ?? today;
  const day = planned !== undefined ? days[planned]! : [p.judgement.verdict.lookAgain, rests, today].sort().at(-1)!;
  return plannedPicks(p, plan.picks).some((pick) => days[pick.day] === day) ? undefined : { key, day };
}
