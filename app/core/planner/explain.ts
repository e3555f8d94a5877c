import { inBestWay } from "./best-way";
import type { PlanProblem } from "./problem";
import { solvePlan, type Plan, type SolveBudget } from "./solve";

/** A planting that the plan leaves worse off than hands without limit would, and what would save it. */
export interface Loser {
  id: string;
  /** Worth lost against unlimited minutes on the days at home, and no limit on rounds, kitchen and racks. */
  lost: number;
  /** The smallest help found; null when none of those tried helps. */
  saver: Saver | null;
}

/** Minutes more on a day, one round more on it, a fridge twice as large, or a limit less. */
export type Saver = { gain: number } & (
  | { help: "minutes"; day: number; extraMinutes: number }
  | { help: "round"; day: number }
  | { help: "fridge" | "kitchen" | "racks" }
);

/** Lost worth that is worth a sentence (the worth of 150 g of courgette): our judgement. */
const WORTH_TELLING = 0.15;
const EXTRA_MINUTES = [10, 20, 40, 60];

/** What a plan makes of one task, what stays out there and its acts counted in. */
export function taskWorth(problem: PlanProblem, { picks, ways }: Pick<Plan, "picks" | "ways">, id: string): number {
  const task = problem.tasks.find((t) => t.id === id);
  if (!task) throw new RangeError(`id: ${id} is not in the problem`);
  const way = task.ways?.find((w) => w.id === ways[id]);
  const { worth: table, endWorth } = way ?? task;
  let row = 0;
  let worth = way ? -way.acts.reduce((sum, a) => sum + a.cost, 0) : 0;
  for (const t of picks[id] ?? []) {
    worth += table[row]![t]!;
    row = t + 1;
  }
  return worth + (row === 0 ? endWorth[0]! : task.repeat ? endWorth[row]! : 0);
}

/**
 * Which plantings lose, and what would save them: the problem is changed and asked again, never
 * judged by a second set of rules.
 *
 * @param budget - of each asking again
 * @returns losers, dearest first
 */
export function losersOf(problem: PlanProblem, plan: Plan, budget: SolveBudget): Loser[] {
  const { roundLimits: _, kitchenFree: __, fridge: ___, curingFree: ____, ...unlimited } = problem;
  const freer = { ...unlimited, minutesFree: problem.minutesFree.map((m) => (m > 0 ? m + 24 * 60 : 0)) };
  const ideal = solvePlan(freer, budget);
  const losers = problem.tasks
    .map((task) => ({
      id: task.id,
      lost: taskWorth(problem, ideal, task.id) - taskWorth(problem, plan, task.id),
    }))
    .filter((l) => l.lost > WORTH_TELLING)
    .sort((a, b) => b.lost - a.lost);
  return losers.slice(0, 4).map((loser) => ({ ...loser, saver: saverOf(problem, plan, ideal, loser, budget) }));
}

function saverOf(
  problem: PlanProblem,
  plan: Plan,
  ideal: Plan,
  loser: { id: string; lost: number },
  budget: SolveBudget,
) {
  for (const { problem: helped, saver } of helps(problem, new Set(ideal.picks[loser.id] ?? []))) {
    const again = solvePlan(helped, { ...budget, relaxIterations: 30, cycles: 1 });
    const saved = taskWorth(problem, again, loser.id) - taskWorth(problem, plan, loser.id);
    const gain = again.worth - plan.worth;
    if (saved > loser.lost * 0.6 && gain > 0) return { ...saver, gain };
  }
  return null;
}

type Help = {
  problem: PlanProblem;
  saver: Saver extends infer S ? (S extends unknown ? Omit<S, "gain"> : never) : never;
};

/** Helps to try, the smallest first: a little more time, one round more, then a limit less. */
function* helps(problem: PlanProblem, days: ReadonlySet<number>): Generator<Help> {
  for (const extraMinutes of EXTRA_MINUTES)
    for (const day of days) {
      const minutesFree = problem.minutesFree.map((m, t) => (t === day ? m + extraMinutes : m));
      yield { problem: { ...problem, minutesFree }, saver: { help: "minutes", day, extraMinutes } };
    }
  for (const day of days) {
    const { roundLimits = [] } = problem;
    if (!roundLimits.some((l) => l.from <= day && day <= l.to)) continue;
    const more = roundLimits.map((l) => (l.from <= day && day <= l.to ? { ...l, most: l.most + 1 } : l));
    yield { problem: { ...problem, roundLimits: more }, saver: { help: "round", day } };
  }
  const { kitchenFree, fridge, curingFree, ...rest } = problem;
  if (fridge)
    yield { problem: { ...problem, fridge: { ...fridge, holds: 2 * fridge.holds } }, saver: { help: "fridge" } };
  if (kitchenFree) yield { problem: { ...rest, ...(curingFree !== undefined && { curingFree }) }, saver: { help: "kitchen" } }; // prettier-ignore
  if (curingFree !== undefined)
    yield {
      problem: { ...rest, ...(kitchenFree && { kitchenFree }), ...(fridge && { fridge }) },
      saver: { help: "racks" },
    };
}

/**
 * What moving one pick to another day costs, all else held: for the sentence "why this day".
 *
 * @returns worth lost by each day of the horizon; null where the move is not allowed
 */
export function moveCosts(problem: PlanProblem, plan: Plan, id: string, pickDay: number): (number | null)[] {
  const others = (plan.picks[id] ?? []).filter((t) => t !== pickDay);
  return problem.days.map((_, t) => {
    if (others.includes(t)) return null;
    const picks = { ...plan.picks, [id]: [...others, t].sort((a, b) => a - b) };
    const moved = inBestWay(problem, { picks, ways: plan.ways }, id);
    return moved ? plan.worth - moved.worth : null;
  });
}
