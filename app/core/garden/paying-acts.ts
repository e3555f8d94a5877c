import type { IsoDay } from "../calendar";
import { solvePlan, type Plan, type PlanProblem, type SolveBudget } from "../planner";
import { plantingOfTask } from "./planned-picks";
import type { ProtectionWay, TaskProtection } from "./planting-offer";

/** The worth of 150 g of courgette is worth a sentence: our judgement. */
const WORTH_TELLING = 0.15;

/** Something done beside picking that pays, and what it brings in more, kilograms of courgette. */
export interface PayingAct {
  /** What is done: the way of its tasks. */
  way: ProtectionWay;
  bedId: string;
  /** When it is done. */
  days: IsoDay[];
  minutes: number;
  gain: number;
  /** Plantings that it saves something of, the dearest first. */
  plantingIds: string[];
}

interface Asked {
  problem: PlanProblem;
  plan: Plan;
  protections: readonly TaskProtection[];
}

/**
 * Which acts pay: the planner is asked again bed by bed and act by act, with that bed's plantings treated so if it likes.
 * What it gains is told against the best plan it finds with the same asking and no act, so that a better plan is not taken
 * for an act's. Of acts on the same plantings the better one is told.
 *
 * @returns those worth telling, the dearest first
 */
export function payingActs(asked: Asked, budget: SolveBudget): PayingAct[] {
  const { problem, plan, protections } = asked;
  const bedOf = (taskId: string) => problem.tasks.find((t) => t.id === taskId)?.bedId;
  const groups = new Map<string, TaskProtection[]>();
  for (const protection of protections) {
    const key = `${protection.way.id} ${bedOf(protection.taskId)}`;
    groups.set(key, [...(groups.get(key) ?? []), protection]);
  }
  if (groups.size === 0) return [];
  const bare = solvePlan(problem, budget, plan);
  const found = [...groups.values()].flatMap((group) => paying(problem, bare, group, budget) ?? []);
  found.sort((a, b) => b.gain - a.gain);
  return found.filter((act, k) => !found.slice(0, k).some((b) => b.plantingIds.some((id) => act.plantingIds.includes(id)))); // prettier-ignore
}

/** One act on one bed. */
function paying(
  problem: PlanProblem,
  bare: Plan,
  group: readonly TaskProtection[],
  budget: SolveBudget,
): PayingAct | null {
  const tasks = problem.tasks.map((task) => {
    const ways = group.filter((x) => x.taskId === task.id).map((x) => x.way);
    return ways.length > 0 ? { ...task, ways: [...(task.ways ?? []), ...ways] } : task;
  });
  const again = solvePlan({ ...problem, tasks }, budget, bare);
  if (again.worth - bare.worth < WORTH_TELLING) return null;
  const without = solvePlan(problem, budget, again);
  const gain = again.worth - Math.max(bare.worth, without.worth);
  const isTreated = (taskId: string) => group.some((x) => x.taskId === taskId && x.way.id === again.ways[taskId]);
  const taken = tasks.filter((t) => isTreated(t.id));
  if (gain < WORTH_TELLING || taken.length === 0) return null;
  const done = group.filter((x) => isTreated(x.taskId));
  const days = [...new Set(done.flatMap((x) => x.doneOn))].sort((a, b) => a - b);
  const best = (id: string) => Math.max(...tasks.find((t) => t.id === id)!.worth[0]!);
  const plantingIds = [...new Set(taken.map((t) => t.id).sort((a, b) => best(b) - best(a)).map(plantingOfTask))]; // prettier-ignore
  // Whatever part of a planting it is for, all of it is treated.
  const minutes = plantingIds.reduce((sum, id) => sum + done.find((x) => plantingOfTask(x.taskId) === id)!.minutes, 0);
  return {
    way: done[0]!.way.id as ProtectionWay,
    bedId: taken[0]!.bedId,
    days: days.map((d) => problem.days[d]!),
    minutes,
    gain,
    plantingIds,
  };
}
