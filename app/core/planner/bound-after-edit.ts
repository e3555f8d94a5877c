import { planModel } from "./model";
import type { PlanProblem, PlantingTask } from "./problem";
import { pathWorth } from "./relax";
import type { Plan } from "./solve";

/**
 * The bound after an edit of some plantings, by one dynamic programme for each: at the prices that stand nothing else
 * changes. What only pins or bans more can never be worth more than before.
 *
 * @param plan - of `before`
 * @param after - the same days, limits and plantings in the same order, some of these changed
 * @returns no plan of `after` is worth more; −Infinity where a pin cannot be kept
 * @throws {RangeError} when days, minutes or plantings are others
 */
export function boundAfterEdit(before: PlanProblem, plan: Plan, after: PlanProblem): number {
  const H = before.days.length;
  const isSame =
    before.tasks.length === after.tasks.length && before.tasks.every((t, i) => t.id === after.tasks[i]!.id);
  const { tasks: _, ...limits } = before;
  const { tasks: __, ...limitsNow } = after;
  if (!isSame || JSON.stringify(limits) !== JSON.stringify(limitsNow)) throw new RangeError("after: other days, limits or plantings"); // prettier-ignore
  const { prices, link, upperBound } = plan.prices;
  let [bound, onlyLess] = [upperBound, true];
  before.tasks.forEach((task, i) => {
    const now = after.tasks[i]!;
    if (now === task) return;
    const worthOf = (t: PlantingTask) => pathWorth(planModel({ ...before, tasks: [t] }), prices, link.subarray(i * H, (i + 1) * H)); // prettier-ignore
    bound += worthOf(now) - worthOf(task);
    onlyLess &&= asksMore(task, now);
  });
  return onlyLess ? Math.min(bound, plan.upperBound) : bound;
}

/** Whether a planting differs by more pins and bans only. */
function asksMore(
  { pins = [], bans = [], ...tables }: PlantingTask,
  { pins: pinsNow = [], bans: bansNow = [], ...tablesNow }: PlantingTask,
): boolean {
  const holds = (now: readonly number[], then: readonly number[]) => then.every((t) => now.includes(t));
  return holds(pinsNow, pins) && holds(bansNow, bans) && JSON.stringify(tables) === JSON.stringify(tablesNow);
}
