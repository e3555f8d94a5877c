import { daysBetween, type IsoDay } from "../calendar";
import type { ActRule, Crop } from "../crops";
import type { PlantingTask, TaskWay } from "../planner";
import { actKey, actMinutes, isOurWay, lastMark, type ActMark } from "./act-mark";
import type { DayTerms } from "./day-terms";
import type { PlantingState } from "./garden-state";
import { EFFORT_PER_MINUTE } from "./plan-problem";
import type { PlantingOutlook } from "./planting-outlook";
import { isGoing } from "./taken-as-whole";

type LiftWhen = Extract<ActRule["when"], { by: "days before lift" }>;
interface LiftRule extends ActRule {
  when: LiftWhen;
}
const isLiftRule = (rule: ActRule): rule is LiftRule => rule.when.by === "days before lift";

/** The way of a task in which an act is done on a day of the horizon. */
const wayId = (rule: ActRule, day: number) => `${rule.id}@${day}`;

/** The day on which a plan's way has an act done; null for another way. */
export function actDayOf(rule: Pick<ActRule, "id">, way: string | undefined): number | null {
  const [id, day] = way?.split("@") ?? [];
  return id === rule.id && day !== undefined ? Number(day) : null;
}

/**
 * Share of its worth that a crop keeps when it comes up on a day: all of it so many days after the act, less the sooner it
 * comes, and a little less for each day too many. Linear, our judgement.
 *
 * @param done - day index of the act, before today where negative; null = it is not done
 */
function kept({ when: { days, pays } }: LiftRule, lift: number, done: Done): number {
  if (done === null) return 1 - pays.share;
  const since = lift - (done === "in time" ? Math.max(0, lift - days) : done);
  if (since >= days) return 1 - Math.min(pays.share, pays.earlyADay * (since - days));
  return 1 - pays.share * (1 - Math.max(0, since) / days);
}

/** The day index on which it is done; null = not yet, "in time" = when it is due, or today. */
type Done = number | "in time" | null;

/** An act before the lift, and since when the plants have stood so. */
export interface LiftAct {
  rule: LiftRule;
  done: Done;
}

/**
 * The acts that come before a planting's lift, those left out on purpose not among them: done as marked, or since it was
 * seen to have come of itself. What takes no minutes is done when the list says so.
 */
export function liftActs(crop: Crop, planting: PlantingState, marks: readonly ActMark[], today: IsoDay): LiftAct[] {
  return crop.acts.flatMap((rule): LiftAct[] => {
    if (!isLiftRule(rule)) return [];
    const mark = lastMark(marks, actKey(rule, planting));
    const isFree = actMinutes(rule, crop, planting) === 0;
    if (mark && (mark.isSkipped || !isFree || mark.day < today)) return mark.isSkipped ? [] : [{ rule, done: daysBetween(today, mark.day) }]; // prettier-ignore
    const { unless } = rule.when;
    const seen = unless && planting.looks.filter((l) => l.cueId === unless.cue && unless.readings.includes(l.readingId)).map((l) => l.takenOn).sort()[0]; // prettier-ignore
    return [{ rule, done: seen ? daysBetween(today, seen) : isFree ? "in time" : null }];
  });
}

/**
 * The outlook with what is done some days before the lift: a crop that comes up sooner is worth less, and where the act
 * takes minutes the plan may have it done on any day with hands. What must come up now waits for nothing.
 */
export function withLiftActs(
  p: PlantingOutlook,
  today: IsoDay,
  terms: readonly DayTerms[],
  acts: readonly LiftAct[],
): PlantingOutlook {
  const ours = acts.filter(({ rule }) => isOurWay(rule, p.ways));
  if (ours.length === 0 || p.planting.picks.length > 0 || p.planting.forSeed || isGoing(p.judgement)) return p;
  const open = ours.find(({ done }) => done === null)?.rule;
  const settled = ours.filter(({ done }) => done !== null);
  const share = (lift: number) => settled.reduce((all, { rule, done }) => all * kept(rule, lift, done), 1);
  const without = (lift: number) => share(lift) * (open ? kept(open, lift, null) : 1);
  const opens = p.judgement.window.opens.p50;
  const later = Math.max(terms.length, opens ? daysBetween(today, opens) : FAR);
  // A helper comes for what is on the sheet.
  const hands = terms.map(({ longest, hands: { away } }) => (away ? 0 : longest));
  const whole = p.parts.reduce((sum, { task }) => sum + mostMinutes(task), 0);
  const of = (task: PlantingTask): PlantingTask => {
    if (task.repeat) return task;
    const minutes = open ? (actMinutes(open, p.crop, p.planting) * mostMinutes(task)) / Math.max(1e-9, whole) : 0;
    const ways = open ? waysOf(open, task, hands, later, share, minutes) : [];
    // What is left for later can have its act then, at the same cost.
    const end = share(later) * (open ? kept(open, later, Math.max(terms.length, later - open.when.days)) : 1);
    return { ...task, ...timed(task, without, end, EFFORT_PER_MINUTE * minutes), ...(ways.length > 0 && { ways }) };
  };
  const parts = p.parts.map((part) => ({ ...part, task: of(part.task) }));
  const protections = p.protections?.map((x) => ({ ...x, way: { ...x.way, ...timed(x.way, without, share(later), 0) } })); // prettier-ignore
  return { ...p, parts, ...(protections && { protections }) };
}

const mostMinutes = ({ minutes }: PlantingTask) => minutes[0]!.reduce<number>((most, m) => Math.max(most, m ?? 0), 0);

/** When what may never be ready is reckoned to come up, days. */
const FAR = 60;

/**
 * Each day on which the act can be done, as a way of its own.
 *
 * @param hands - minutes of each day's longest round, the household's own
 */
function waysOf(
  rule: LiftRule,
  task: PlantingTask,
  hands: readonly number[],
  later: number,
  share: (lift: number) => number,
  minutes: number,
): TaskWay[] {
  return hands.flatMap((longest, day): TaskWay[] => {
    const isForLater = later - day <= rule.when.days;
    if (longest <= minutes || !(isForLater || task.minutes[0]!.some((m, t) => m !== null && t > day))) return [];
    const worth = (lift: number) => share(lift) * kept(rule, lift, day);
    return [
      {
        id: wayId(rule, day),
        acts: [{ day, minutes, cost: EFFORT_PER_MINUTE * minutes }],
        ...timed(task, worth, worth(later), 0),
        minutes: [task.minutes[0]!.map((m, t) => (t > day ? m : null))],
        ...(task.kitchen && { kitchen: task.kitchen }),
      },
    ];
  });
}

/** A task's worths times what is kept of them; the effort stays what it is. */
function timed(
  { worth, minutes, endWorth }: Pick<TaskWay, "worth" | "minutes" | "endWorth">,
  share: (lift: number) => number,
  end: number,
  cost: number,
): Pick<TaskWay, "worth" | "endWorth"> {
  const effort = (t: number) => EFFORT_PER_MINUTE * (minutes[0]![t] ?? 0);
  return {
    worth: [worth[0]!.map((w, t) => (w > 0 ? (w + effort(t)) * share(t) - effort(t) : w))],
    endWorth: [endWorth[0]! > 0 ? endWorth[0]! * end - cost : endWorth[0]!],
  };
}
