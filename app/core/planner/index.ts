export { checkPlan, type PlanCheck } from "./check";
export { losersOf, moveCosts, type Loser } from "./explain";
export { PlanProblem, PlantingTask, type Picks } from "./problem";
export {
  improvingPlan,
  solvePlan,
  thoroughBudget,
  usualBudget,
  type Plan,
  type PlanStart,
  type SolveBudget,
} from "./solve";
