import { seeded } from "../statistics";
import { branchBound } from "./branch";
import { Draft } from "./draft";
import { firstDraft } from "./first-draft";
import { Improver } from "./improve";
import { planModel, type PlanModel } from "./model";
import type { Picks, PlanProblem, Ways } from "./problem";
import { bestRounds } from "./round-days";
import { seenForEdit, type SeenPlans } from "./seen-plans";
import { relax, type Relaxation, type RelaxStart } from "./relax";

export interface Plan {
  picks: Picks;
  /** The way that is taken with a planting, where it is not left as it stands. */
  ways: Ways;
  worth: number;
  /** No plan whatever is worth more than this. */
  upperBound: number;
  /**
   * (upperBound − worth) / (worth − nothing): what may be missing, measured against what the plan adds over picking
   * nothing.
   */
  gap: number;
  /** What a minute, a kg in the kitchen and a m² to cure on are worth each day, and a share of a call: to start from. */
  prices: Pick<Relaxation, "prices" | "link" | "upperBound">;
}

export interface SolveBudget {
  seed: number;
  /** Iterations of the prices, splits of the bound, and iterations and number of the cycles of repairs. */
  relaxIterations: number;
  boundSplits: number;
  repairIterations: number;
  cycles: number;
}

/** About the same time at any size (a tenth of a second on a small machine). */
export function usualBudget(plantings: number): SolveBudget {
  return { seed: 1, relaxIterations: 150, boundSplits: splits(plantings, 200), repairIterations: 500, cycles: 4 };
}

/** Half a second for a dozen plantings, three seconds for three hundred: what is left to find is little. */
export function thoroughBudget(plantings: number): SolveBudget {
  const repairIterations = Math.round(Math.min(3000, 1000 + 40 * Math.max(0, plantings - 12)));
  return { seed: 1, relaxIterations: 300, boundSplits: splits(plantings, 1440), repairIterations, cycles: 8 };
}

const splits = (plantings: number, work: number) => Math.round(Math.min(120, work / Math.max(1, plantings)));

/** A plan to start from: after an edit most of it still stands. */
export type PlanStart = Pick<Plan, "picks" | "prices"> & {
  ways?: Ways;
  /** Plans met on the way to it: where they have what an edit asks for, the search starts there. */
  seen?: SeenPlans;
};

/** Iterations of the prices for the first plan that is shown, and for one that starts from another. */
const FIRST_ITERATIONS = 30;
const WARM_STEP = 0.5;

/**
 * Plans every planting together, better and better: gives a plan at once, then one after each cycle of repairs, and
 * the bound as it tightens. Whoever reads may stop at any time. Budgets are iterations, so a run repeats.
 *
 * @param from - a plan of a problem with the same plantings and days, whose picks are kept as far as they still fit
 * @param seen - is filled with the plans met on the way
 * @returns plans that `checkPlan` allows, each no worse than the one before, its bound no higher
 * @throws {RangeError} when the problem's tables have the wrong shape, a pin cannot be kept, or `from` is of another one
 */
export function* improvingPlan(
  problem: PlanProblem,
  budget: SolveBudget = usualBudget(problem.tasks.length),
  from?: PlanStart,
  seen?: SeenPlans,
): Generator<Plan, Plan> {
  const model = planModel(problem);
  if (from && from.prices.link.length !== model.plantings * model.horizon) throw new RangeError("from: a plan of other plantings or days"); // prettier-ignore
  let draft = draftAfterEdit(model, from);
  const start: RelaxStart | undefined = from && { from: from.prices, step: WARM_STEP };
  let relaxation = relax(model, draft.worth, Math.min(FIRST_ITERATIONS, budget.relaxIterations), start);
  let { upperBound } = relaxation;
  yield planOf(draft, upperBound, relaxation);
  if (budget.relaxIterations > FIRST_ITERATIONS) {
    relaxation = relax(model, draft.worth, budget.relaxIterations, start);
    upperBound = Math.min(upperBound, relaxation.upperBound);
  }
  const uniform = seeded(budget.seed);
  const improvers = bestRounds(draft, relaxation.prices, relaxation.walked).map((d) => new Improver(d, relaxation.prices, uniform, seen)); // prettier-ignore
  if (improvers.length > 1) for (const each of improvers) each.cycle(budget.repairIterations / 2);
  let improver = improvers.reduce((a, b) => (b.best > a.best ? b : a));
  draft = improver.draft;
  for (let c = 0; c < budget.cycles; c++) {
    improver.cycle(budget.repairIterations);
    // Once more from where it stands: with good picks another set of days may be the better one.
    if (c === Math.floor(budget.cycles / 2) && improvers.length > 1) {
      const again = bestRounds(draft, relaxation.prices, relaxation.walked).map((d) => new Improver(d, relaxation.prices, uniform, seen)); // prettier-ignore
      for (const each of again) each.cycle(budget.repairIterations / 2);
      improver = again.reduce((a, b) => (b.best > a.best ? b : a), improver);
      draft = improver.draft;
    }
    yield planOf(draft, upperBound, relaxation);
  }
  upperBound = Math.min(upperBound, branchBound(model, relaxation, draft.worth, budget.boundSplits));
  return planOf(draft, upperBound, relaxation);
}

/** A draft to begin with: from an earlier plan, or from one met on the way to it that has more of what is asked now. */
function draftAfterEdit(model: PlanModel, from: PlanStart | undefined): Draft {
  if (!from?.seen) return firstDraft(model, from);
  const drafts: Draft[] = [];
  let refusal: unknown;
  for (const start of [from, ...seenForEdit(from.seen, model, from.picks)])
    try {
      drafts.push(firstDraft(model, start));
    } catch (error) {
      refusal ??= error;
    }
  if (drafts.length === 0) throw refusal;
  return drafts.reduce((best, other) => (other.worth > best.worth ? other : best));
}

/** What may be missing, as a share of what the plan adds over picking nothing. */
export function gapOf({ tasks }: PlanProblem, worth: number, upperBound: number): number {
  const nothing = tasks.reduce((sum, t) => sum + t.endWorth[0]!, 0);
  return Math.max(0, upperBound - worth) / Math.max(1e-9, Math.abs(worth - nothing));
}

function planOf(draft: Draft, upperBound: number, { prices, link, upperBound: relaxed }: Relaxation): Plan {
  const worth = draft.total();
  return {
    picks: draft.picks(),
    ways: draft.ways(),
    worth,
    upperBound: Math.max(worth, upperBound),
    gap: gapOf(draft.model.problem, worth, upperBound),
    prices: { prices, link, upperBound: relaxed },
  };
}

/** The plan that `improvingPlan` ends with. */
export function solvePlan(problem: PlanProblem, budget?: SolveBudget, from?: PlanStart, seen?: SeenPlans): Plan {
  const run = improvingPlan(problem, budget, from, seen);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
