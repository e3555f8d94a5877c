import { z } from "zod";
import { Slot } from "../hands";
import { solvePlan, type Picks, type Plan, type PlanProblem, type PlantingTask, type SolveBudget, type TaskWay } from "../planner"; // prettier-ignore
import type { Crop } from "../crops";
import type { DayTerms } from "./day-terms";
import { plantingOfTask } from "./planned-picks";
import { BED_MINUTES, EFFORT_PER_MINUTE, ROUND_MINUTES } from "./plan-problem";
import type { TaskProtection } from "./planting-offer";
import type { PlantingOutlook } from "./planting-outlook";

/** A round that the planner may open: an entry of its problem's days. */
export const DayRound = z.object({
  /** Day index, 0 = today. */
  day: z.number().int().min(0),
  /** Null on a day without hands. */
  slot: Slot.nullable(),
  minutes: z.number().min(0),
  meanC: z.number().nullable(),
});
export type DayRound = z.infer<typeof DayRound>;

/**
 * The rounds of the coming days: one for each part of a day with hands enough to set out, one of no minutes where there
 * is none.
 */
export function roundsAhead(terms: readonly DayTerms[]): DayRound[] {
  return terms.flatMap(({ rounds }, day): DayRound[] => {
    const enough = rounds.filter((r) => r.minutes > ROUND_MINUTES + BED_MINUTES);
    if (enough.length > 0) return enough.map(({ slot, minutes, meanC }) => ({ day, slot, minutes, meanC }));
    const most = rounds.reduce((a, b) => (b.minutes > a ? b.minutes : a), 0);
    return [{ day, slot: null, minutes: most, meanC: null }];
  });
}

/** Crops that are best picked in the cool of the day. */
const COOL_GROUPS: readonly Crop["group"][] = ["leaf", "herb", "flower", "head", "stem", "berry"];
/** Above this what wilts or softens loses so much of its worth a degree, up to a limit. The rule is common practice, the figures our judgement. */
export const COOL_BELOW_C = 18;
const COOL = { lossPerC: 0.006, most: 0.1 } as const;

export const isBestCool = ({ group }: Crop): boolean => COOL_GROUPS.includes(group);

function coolness(crop: Crop, meanC: number | null): number {
  if (meanC === null || !isBestCool(crop)) return 1;
  return 1 - Math.min(COOL.most, COOL.lossPerC * Math.max(0, meanC - COOL_BELOW_C));
}

/** What stands by day, stood by round. */
class Spread {
  /** A day's first and last round. */
  readonly first: number[];
  readonly last: number[];

  constructor(private readonly rounds: readonly DayRound[]) {
    const days = [...new Set(rounds.map((r) => r.day))];
    this.first = days.map((day) => rounds.findIndex((r) => r.day === day));
    this.last = days.map((day) => rounds.findLastIndex((r) => r.day === day));
  }

  wide<T>(row: readonly T[]): T[] {
    return this.rounds.map(({ day }) => row[day]!);
  }

  /** Rows: no pick yet, then one for each round it was last picked in; a crop taken once has the first only. */
  private rows<T>(table: readonly T[]): T[] {
    return table.length > 1 ? [table[0]!, ...this.rounds.map(({ day }) => table[day + 1]!)] : [...table];
  }

  /** Of a day the round with the most minutes. */
  longest(day: number): number {
    const { rounds } = this;
    let longest = this.first[day]!;
    for (let t = longest; t <= this.last[day]!; t++) if (rounds[t]!.minutes > rounds[longest]!.minutes) longest = t;
    return longest;
  }

  /** A planting's tables by round; no one day has it twice, and none of its rounds comes at a time when it is shut. */
  tables<W extends Omit<TaskWay, "id" | "acts">>(of: W, p: PlantingOutlook): W {
    const { rounds } = this;
    const several = new Set(rounds.filter((r, t) => rounds[t - 1]?.day === r.day).map((r) => r.day));
    const isShut = ({ day, slot }: DayRound) => slot !== null && (p.wetSlots[day] ?? []).includes(slot);
    const isAgain = (row: number, t: number) => row > 0 && rounds[row - 1]!.day === rounds[t]!.day;
    const minutes = this.rows(of.minutes).map((r, row) => this.wide(r).map((m, t) => (isShut(rounds[t]!) || isAgain(row, t) ? null : m))); // prettier-ignore
    const worth = this.rows(of.worth).map((r, row) =>
      this.wide(r).map((w, t) => {
        const round = rounds[t]!;
        // Only where another part of the day may be cooler.
        const share = several.has(round.day) ? coolness(p.crop, round.meanC) : 1;
        const effort = EFFORT_PER_MINUTE * (minutes[row]![t] ?? 0);
        return share < 1 && w > 0 ? (w + effort) * share - effort : w;
      }),
    );
    const kitchen = of.kitchen && { kitchen: this.rows(of.kitchen).map((r) => this.wide(r)) };
    return { ...of, worth, minutes, endWorth: this.rows(of.endWorth), ...kitchen };
  }
}

/** The problem of the days as one of their rounds. What must be done by night is done in the last of its day. */
export function inRounds(
  problem: PlanProblem,
  rounds: readonly DayRound[],
  plantings: readonly PlantingOutlook[],
): PlanProblem {
  const spread = new Spread(rounds);
  const of = new Map(plantings.map((p) => [p.planting.id, p]));
  const { kitchenFree, curingFree, roundLimits } = problem;
  return {
    ...problem,
    days: spread.wide(problem.days),
    minutesFree: rounds.map((r) => r.minutes),
    ...(kitchenFree && { kitchenFree: spread.wide(kitchenFree) }),
    ...(Array.isArray(curingFree) && { curingFree: spread.wide(curingFree) }),
    ...(roundLimits && { roundLimits: roundLimits.map(({ from, to, most }) => ({ from: spread.first[from]!, to: spread.last[to]!, most })) }), // prettier-ignore
    tasks: problem.tasks.map((task): PlantingTask => {
      const p = of.get(plantingOfTask(task.id))!;
      const acts = (way: TaskWay) => way.acts.map((act) => ({ ...act, day: spread.longest(act.day) }));
      const ways = task.ways?.map((way) => ({ ...spread.tables(way, p), acts: acts(way) }));
      return { ...spread.tables(task, p), ...(ways && { ways }) };
    }),
  };
}

/** The ways that all plantings may be treated in, their acts done in the last round of their days. */
export function protectionsIn(rounds: readonly DayRound[], plantings: readonly PlantingOutlook[]): TaskProtection[] {
  const spread = new Spread(rounds);
  return plantings.flatMap((p) =>
    (p.protections ?? []).map(({ way, ...protection }) => ({
      ...protection,
      doneOn: protection.doneOn.map((day) => spread.last[day]!),
      way: { ...spread.tables(way, p), acts: way.acts.map((act) => ({ ...act, day: spread.last[act.day]! })) },
    })),
  );
}

/** A plan as the household reads it: picks by day, and the rounds of those days that they fall in. */
export interface DayPlan extends Plan {
  /** By task: indexes of the problem's rounds, as `picks` its days. */
  rounds: Picks;
}

/** Tells a plan of rounds by its days. */
export function byDay(plan: Plan, rounds: readonly DayRound[]): DayPlan {
  const picks = Object.fromEntries(Object.entries(plan.picks).map(([id, at]) => [id, at.map((t) => rounds[t]!.day)]));
  return { ...plan, picks, rounds: plan.picks };
}

/** Plans the rounds of a garden looked ahead. */
export function planDays(
  { problem, rounds }: { problem: PlanProblem; rounds: readonly DayRound[] },
  budget?: SolveBudget,
): DayPlan {
  return byDay(solvePlan(problem, budget), rounds);
}
