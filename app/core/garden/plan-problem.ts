import type { IsoDay } from "../calendar";
import type { PlanProblem, PlantingTask } from "../planner";

/** Effort and overheads of the plan, in minutes and in kilograms of courgette. All our judgement. */
export const EFFORT_PER_MINUTE = 0.02;
export const ERRAND_MINUTES = 1.5;
export const ROUND_MINUTES = 6;
export const ROUND_COST = 0.12;
export const BED_MINUTES = 1.5;
export const BED_COST = 0.02;

/** What the planner is asked: every planting's offer against the hands of each day. */
export function planProblem(days: IsoDay[], minutesFree: number[], tasks: PlantingTask[]): PlanProblem {
  return {
    days,
    minutesFree,
    roundMinutes: ROUND_MINUTES,
    roundCost: ROUND_COST,
    bedMinutes: BED_MINUTES,
    bedCost: BED_COST,
    tasks,
  };
}
