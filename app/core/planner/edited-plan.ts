import { boundAfterEdit } from "./bound-after-edit";
import { checkPlan } from "./check";
import type { Picks, PlanProblem, Ways } from "./problem";
import { SeenPlans } from "./seen-plans";
import { gapOf, improvingPlan, type Plan, type SolveBudget } from "./solve";

/** A problem that nobody has edited, its plan, and the plans met on the way: what every edit of it starts from. */
export interface PlanBase {
  problem: PlanProblem;
  plan: Plan;
  seen: SeenPlans;
  /** The picks that it was to stay near to. */
  near: Picks;
}

/** What starting once more from a plan may take, in the steps in which edits are planned: what these find is found before. */
export const ONCE_MORE: SolveBudget = { seed: 2, relaxIterations: 10, boundSplits: 0, repairIterations: 100, cycles: 12 }; // prettier-ignore

/**
 * Solves a problem step by step, so that whoever runs it may breathe between two steps.
 *
 * @param near - picks of a plan made before, as far as this problem has their tasks and days: those stay where moving
 *   them brings next to nothing
 */
export function* solvingBase(problem: PlanProblem, near: Picks = {}): Generator<void, PlanBase> {
  const seen = new SeenPlans(problem);
  const run = improvingPlan(problem, undefined, undefined, seen);
  for (;;) {
    const step = run.next();
    if (step.done) return { problem, plan: yield* solvingNear(problem, step.value, near, seen), seen, near };
    yield;
  }
}

/**
 * A plan solved once more: from itself, or from picks made before, with the tasks that were planned then where they were,
 * each of which costs next to nothing.
 */
function* solvingNear(problem: PlanProblem, plan: Plan, near: Picks, seen: SeenPlans): Generator<void, Plan> {
  const known = problem.tasks.map((t) => t.id).filter((id) => near[id]);
  const before = { ...plan.picks, ...Object.fromEntries(known.map((id) => [id, near[id]!])) };
  const start = known.length > 0 ? { picks: before, prices: plan.prices } : plan;
  const run = improvingPlan(problem, ONCE_MORE, start, seen);
  let again = run.next();
  while (!again.done) {
    yield;
    again = run.next();
  }
  const { picks, ways, worth } = known.length > 0 ? calmest(problem, before, [plan, again.value]) : again.value;
  const upperBound = Math.max(worth, Math.min(plan.upperBound, again.value.upperBound));
  return { ...plan, picks, ways, worth, upperBound, gap: gapOf(problem, worth, upperBound) };
}

/** Solves a problem, to be edited later. */
export function planBase(problem: PlanProblem, near?: Picks): PlanBase {
  const run = solvingBase(problem, near);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}

/**
 * The plan that is worth most, each task with other days than before counted against it; steadied, and never for more
 * than `MOST_GIVEN` in all.
 *
 * @param before - picks of every task
 */
export function calmest(problem: PlanProblem, before: Picks, plans: readonly Picked[]): Picked {
  const ids = problem.tasks.map((t) => t.id);
  const moved = (p: Picked) => ids.filter((id) => isOther({ picks: before, ways: p.ways }, p, id)).length;
  const calm = (p: Picked) => p.worth - WORTH_MOVING_LATER * moved(p);
  const steady = plans.map((p) => steadied(problem, { picks: before, ways: p.ways }, p, WORTH_MOVING_LATER));
  const best = Math.max(...plans.map((p) => p.worth));
  const good = steady.filter((p) => p.worth >= best - MOST_GIVEN);
  return (good.length > 0 ? good : plans).reduce((a, b) => (calm(b) > calm(a) ? b : a));
}

/** What an edit may take: about a tenth of a second at sixty plantings, in steps of a few milliseconds. */
const AFTER_EDIT: SolveBudget = { seed: 3, relaxIterations: 10, boundSplits: 0, repairIterations: 100, cycles: 12 };

/** Worth that a planting's other days must bring for them to move (20 g of courgette): our judgement. */
const WORTH_MOVING = 0.02;
/** The same when something else has changed and nobody looks on: our judgement. */
const WORTH_MOVING_LATER = 0.03;
/** Worth that all of it together may give away (150 g of courgette): what is worth a sentence is worth a move. Our judgement. */
export const MOST_GIVEN = 0.15;

/**
 * Plans a problem that differs from a base by pins and bans, better and better. What it ends with hangs on base and
 * problem alone, not on the edits that led there: whoever asks the same gets the same. Days that nobody asked to move
 * stay as they were, where moving them brings next to nothing.
 *
 * @param edited - the base's days, limits and plantings in the same order, with pins and bans
 * @throws {RangeError} when they are others, or a pin cannot be kept
 */
export function* improvingEdit({ problem, plan, seen }: PlanBase, edited: PlanProblem): Generator<Plan, Plan> {
  if (edited === problem) return plan;
  const bound = boundAfterEdit(problem, plan, edited);
  const held = heldStill(edited, plan.picks);
  const steady = (better: Plan): Plan => {
    const { picks, ways, worth } = steadied(edited, { ...plan, picks: held }, better);
    const upperBound = Math.max(worth, Math.min(better.upperBound, bound));
    return { ...better, picks, ways, worth, upperBound, gap: gapOf(edited, worth, upperBound) };
  };
  const run = improvingPlan(edited, AFTER_EDIT, { ...plan, seen });
  for (;;) {
    const step = run.next();
    if (step.done) return steady(step.value);
    yield steady(step.value);
  }
}

type Picked = Pick<Plan, "picks" | "ways" | "worth">;

/** A plan with as many plantings as before as it may, each of which costs next to nothing; or all else as before. */
function steadied(
  problem: PlanProblem,
  before: Pick<Plan, "picks" | "ways">,
  { picks, ways, worth }: Picked,
  worthMoving = WORTH_MOVING,
): Picked {
  const moved = problem.tasks.map((t) => t.id).filter((id) => isOther(before, { picks, ways }, id));
  let now: Picked = { picks, ways, worth };
  for (const id of moved) {
    const back = {
      picks: { ...now.picks, [id]: before.picks[id] ?? [] },
      ways: withWay(now.ways, id, before.ways[id]),
    };
    const check = checkPlan(problem, back.picks, back.ways);
    if (check.status === "allowed" && check.worth > Math.max(now.worth - worthMoving, worth - MOST_GIVEN))
      now = { ...back, worth: check.worth };
  }
  const check = checkPlan(problem, before.picks, before.ways);
  const still = moved.filter((id) => isOther(before, now, id)).length;
  if (check.status === "allowed" && check.worth > Math.max(now.worth - worthMoving * still, worth - MOST_GIVEN)) return { picks: before.picks, ways: before.ways, worth: check.worth }; // prettier-ignore
  return now;
}

const isOther = (a: Pick<Plan, "picks" | "ways">, b: Pick<Plan, "picks" | "ways">, id: string) =>
  a.ways[id] !== b.ways[id] || (a.picks[id] ?? []).join() !== (b.picks[id] ?? []).join();

function withWay(ways: Ways, id: string, way: string | undefined): Ways {
  const { [id]: _, ...others } = ways;
  return way === undefined ? others : { ...others, [id]: way };
}

/** Picks with what is pinned put in and what is banned taken out, all else where it is. */
export function heldStill({ tasks, days }: PlanProblem, picks: Picks): Picks {
  const held: Picks = { ...picks };
  for (const { id, repeat, pins = [], bans = [] } of tasks) {
    if (pins.length + bans.length === 0) continue;
    const open = (picks[id] ?? []).filter((t) => !bans.includes(t));
    const missing = pins.filter((p) => !open.some((t) => days[t] === days[p]));
    held[id] = repeat ? [...open, ...missing].sort((a, b) => a - b) : missing.length > 0 ? missing : open;
  }
  return held;
}

/** The plan that `improvingEdit` ends with. */
export function editedPlan(base: PlanBase, edited: PlanProblem): Plan {
  const run = improvingEdit(base, edited);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
