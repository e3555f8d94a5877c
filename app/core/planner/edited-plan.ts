import { boundAfterEdit } from "./bound-after-edit";
import type { PlanProblem } from "./problem";
import { SeenPlans } from "./seen-plans";
import { gapOf, improvingPlan, type Plan, type SolveBudget } from "./solve";

/** A problem that nobody has edited, its plan, and the plans met on the way: what every edit of it starts from. */
export interface PlanBase {
  problem: PlanProblem;
  plan: Plan;
  seen: SeenPlans;
}

/** Solves a problem step by step, so that whoever runs it may breathe between two steps. */
export function* solvingBase(problem: PlanProblem, budget?: SolveBudget): Generator<void, PlanBase> {
  const seen = new SeenPlans(problem);
  const run = improvingPlan(problem, budget, undefined, seen);
  for (;;) {
    const step = run.next();
    if (step.done) return { problem, plan: step.value, seen };
    yield;
  }
}

/** Solves a problem, to be edited later. */
export function planBase(problem: PlanProblem, budget?: SolveBudget): PlanBase {
  const run = solvingBase(problem, budget);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}

/** What an edit may take: about a tenth of a second at sixty plantings, in steps of a few milliseconds. */
const AFTER_EDIT: SolveBudget = { seed: 3, relaxIterations: 10, boundSplits: 0, repairIterations: 100, cycles: 12 };

/**
 * Plans a problem that differs from a base by pins and bans, better and better. What it ends with hangs on base and
 * problem alone, not on the edits that led there: whoever asks the same gets the same.
 *
 * @param edited - the base's days, limits and plantings in the same order, with pins and bans
 * @throws {RangeError} when they are others, or a pin cannot be kept
 */
export function* improvingEdit({ problem, plan, seen }: PlanBase, edited: PlanProblem): Generator<Plan, Plan> {
  if (edited === problem) return plan;
  const bound = boundAfterEdit(problem, plan, edited);
  const bounded = (better: Plan): Plan => {
    const upperBound = Math.max(better.worth, Math.min(better.upperBound, bound));
    return { ...better, upperBound, gap: gapOf(edited, better.worth, upperBound) };
  };
  const run = improvingPlan(edited, AFTER_EDIT, { ...plan, seen });
  for (;;) {
    const step = run.next();
    if (step.done) return bounded(step.value);
    yield bounded(step.value);
  }
}

/** The plan that `improvingEdit` ends with. */
export function editedPlan(base: PlanBase, edited: PlanProblem): Plan {
  const run = improvingEdit(base, edited);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
