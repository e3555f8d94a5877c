export { checkPlan, type PlanCheck, type PlanLimit } from "./check";
export { inBestWay } from "./best-way";
export { losersOf, moveCosts, taskWorth, type Loser, type Saver } from "./explain";
export { PlanProblem, PlantingTask, type Picks, type TaskWay, type Ways } from "./problem";
export {
  improvingPlan,
  solvePlan,
  thoroughBudget,
  usualBudget,
  type Plan,
  type PlanStart,
  type SolveBudget,
} from "./solve";
export { SeenPlans, type SeenPlan } from "./seen-plans";
export { boundAfterEdit } from "./bound-after-edit";
export {
  ONCE_MORE,
  calmest,
  editedPlan,
  heldStill,
  improvingEdit,
  planBase,
  solvingBase,
  type PlanBase,
} from "./edited-plan";
