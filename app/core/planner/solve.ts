import { seeded } from "../statistics";
import { planModel } from "./model";
import type { Picks, PlanProblem } from "./problem";
import { relax } from "./relax";
import { Draft, destroyAndRepair } from "./repair";

export interface Plan {
  picks: Picks;
  worth: number;
  /** No plan whatever is worth more than this. */
  upperBound: number;
  /** (upperBound − worth) / |upperBound|, what the app may say: "within x % of the best possible". */
  gap: number;
}

export interface SolveBudget {
  seed: number;
  relaxIterations: number;
  repairIterations: number;
}

/** About the same time at any size (a tenth of a second on a small machine): fewer plantings get more repairs. */
export function usualBudget(plantings: number): SolveBudget {
  const repairIterations = Math.round(Math.min(3000, Math.max(300, 27_000 / Math.max(1, plantings))));
  return { seed: 1, relaxIterations: 300, repairIterations };
}

/**
 * Plans every planting together: prices by Lagrangian relaxation, then destroy and repair round an
 * exact best response. Budgets are iterations, so a run repeats.
 *
 * @returns a plan that `checkPlan` allows, with a bound on how much better any plan could be
 * @throws {RangeError} when the problem's tables have the wrong shape
 */
export function solvePlan(problem: PlanProblem, budget: SolveBudget = usualBudget(problem.tasks.length)): Plan {
  const model = planModel(problem);
  const uniform = seeded(budget.seed);
  const noPrice = new Float64Array(model.horizon);
  const first = new Draft(model);
  for (let sweep = 0; sweep < 2; sweep++) for (let i = 0; i < model.plantings; i++) first.respond(i, noPrice, 0);
  const { upperBound, minutePrice } = relax(model, first.worth(), budget.relaxIterations);
  const best = destroyAndRepair(model, first, minutePrice, budget.repairIterations, uniform);
  const worth = best.worth();
  const picks = Object.fromEntries(problem.tasks.map((task, i) => [task.id, best.days[i]!]));
  return { picks, worth, upperBound, gap: Math.max(0, upperBound - worth) / Math.max(1e-9, Math.abs(upperBound)) };
}
