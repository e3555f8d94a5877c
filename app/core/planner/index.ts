export { checkPlan, type PlanCheck } from "./check";
export { losersOf, moveCosts, type Loser } from "./explain";
export { PlanProblem, PlantingTask, type Picks } from "./problem";
export { usualBudget, solvePlan, type Plan, type SolveBudget } from "./solve";
