import { plannedPicks, type PlantingOutlook } from "~/core/garden";
import { moveCosts } from "~/core/planner";
import type { Planned } from "~/views/planned";
import type { LeaveCost } from "~/views/round/leave-words";
import { asSolved } from "../garden/plan-garden.server";

const plannedFor = new WeakMap<Planned, Map<string, LeaveCost | null>>();

/**
 * What it costs to leave a planting that is to be picked today: all its parts moved to the best of the other days, all else
 * held. Null where the plan does not call for a pick today: then nothing is lost. Worked out once for a plan.
 */
export function leaveCost(planned: Planned, p: PlantingOutlook): LeaveCost | null {
  const known = plannedFor.get(planned) ?? new Map<string, LeaveCost | null>();
  plannedFor.set(planned, known);
  const { id } = p.planting;
  if (!known.has(id)) known.set(id, workedOut(planned, p));
  return known.get(id)!;
}

function workedOut({ outlook, plan }: Planned, p: PlantingOutlook): LeaveCost | null {
  const today = plannedPicks(p, plan.picks).find(({ day }) => day === 0);
  if (!today) return null;
  const { problem, rounds } = outlook;
  const solved = asSolved(plan);
  const costs = today.taskIds.map((taskId) => {
    const from = plan.rounds[taskId]!.find((t) => rounds[t]!.day === 0)!;
    return moveCosts(problem, solved, taskId, from);
  });
  let best: LeaveCost = { loss: worthToday(outlook, plan, today.taskIds), until: null };
  rounds.forEach(({ day }, t) => {
    if (day === 0 || costs.some((of) => typeof of[t] !== "number")) return;
    const loss = Math.max(0, costs.reduce((sum, of) => sum + of[t]!, 0)); // prettier-ignore
    if (loss < best.loss) best = { loss, until: day };
  });
  return best;
}

/** Worth of the parts that come off today, as their tables have it. */
function worthToday(
  { problem, rounds }: Planned["outlook"],
  plan: Planned["plan"],
  taskIds: readonly string[],
): number {
  const tasks = problem.tasks.filter((task) => taskIds.includes(task.id));
  return tasks.reduce((sum, task) => sum + Math.max(0, task.worth[0]![plan.rounds[task.id]!.find((t) => rounds[t]!.day === 0)!]!), 0); // prettier-ignore
}
