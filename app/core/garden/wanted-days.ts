import { checkPlan, type Picks, type PlanLimit, type PlanProblem, type PlantingTask } from "../planner";
import type { IsoDay } from "../calendar";
import type { Slot } from "../hands";
import type { DayRound } from "./day-rounds";
import type { DayWishes } from "./day-wishes";
import type { BanReason } from "./pick-bans";
import { plantingOfTask } from "./planned-picks";
import { isLookTask } from "./looks-due";

/** Why a planting is not picked on the day on which the household wants it. */
export type WantBlock = BanReason | Exclude<PlanLimit, "planting"> | "no hands" | "not ready" | "once";

/** A day that was asked for a planting within the horizon, and whether the plan keeps it. */
export interface WantedDay {
  plantingId: string;
  /** Day index. */
  day: number;
  /** Null: in any part of the day. */
  slot: Slot | null;
  blockedBy: WantBlock | null;
}

/**
 * Pins what the household wants on a day, one wish after another as far as they go together, and bans what it does not
 * want; what a limit blocks is left out, and the limit named.
 *
 * @param problem - its days one entry for each of `rounds`, without pins and bans
 * @returns the problem itself where nothing is asked
 */
export function withWanted(
  problem: PlanProblem,
  rounds: readonly Pick<DayRound, "slot">[],
  wishes: readonly DayWishes[],
): { problem: PlanProblem; wanted: WantedDay[] } {
  const wanted: WantedDay[] = [];
  const pins: Picks = {};
  const bans: Record<string, number[]> = {};
  const dates = [...new Set(problem.days)];
  const roundsOn = (day: IsoDay) => [...problem.days.keys()].filter((t) => problem.days[t] === day);
  for (const { plantingId, pickOn, notOn, pickedOn, bans: kept } of wishes) {
    if (pickOn.length === 0 && notOn.length === 0) continue;
    const tasks = problem.tasks.filter((x) => plantingOfTask(x.id) === plantingId && !isLookTask(x.id));
    const ruledOut = notOn.flatMap(roundsOn);
    if (ruledOut.length > 0) for (const { id } of tasks) bans[id] = ruledOut;
    for (const { day: on, slot } of [...pickOn].sort((a, b) => a.day.localeCompare(b.day))) {
      const day = dates.indexOf(on);
      if (day < 0 || pickedOn.includes(on)) continue;
      const all = roundsOn(on);
      const asked = all.filter((t) => slot === null || rounds[t]!.slot === slot);
      const blocks: WantBlock[] = asked.length > 0 ? [] : ["no hands"];
      let isKept = false;
      for (const t of asked) {
        const { task, block } = taskFor(problem, tasks, pins, t);
        const inTheWay = kept[day] ?? block;
        if (inTheWay) blocks.push(inTheWay);
        else if (task) {
          pins[task.id] = [...(pins[task.id] ?? []), t];
          if (slot !== null) bans[task.id] = [...(bans[task.id] ?? []), ...all.filter((other) => other !== t)];
          isKept = true;
          break;
        }
      }
      const blockedBy = isKept ? null : blocks.reduce((a, b) => (b === "not ready" ? a : b));
      wanted.push({ plantingId, day, slot, blockedBy });
    }
  }
  if (Object.keys(pins).length + Object.keys(bans).length === 0) return { problem, wanted };
  const tasks = problem.tasks.map((t) => {
    const [pinned, banned] = [pins[t.id], bans[t.id]];
    return pinned || banned ? { ...t, ...(pinned && { pins: pinned }), ...(banned && { bans: banned }) } : t;
  });
  return { problem: { ...problem, tasks }, wanted };
}

/** The part of a planting that can be picked in a round beside what was pinned before, or what keeps the first from it. */
function taskFor(
  problem: PlanProblem,
  tasks: readonly PlantingTask[],
  pins: Picks,
  t: number,
): { task?: PlantingTask; block: WantBlock | null } {
  // prettier-ignore
  if (problem.minutesFree[t]! <= 0) return { block: "no hands" };
  let first: WantBlock | null = null;
  for (const task of tasks) {
    if (!mayPick(task, t)) continue;
    const block = blockOf(problem, task, pins, t);
    if (block === null) return { task, block };
    first ??= block;
  }
  return { block: first ?? "not ready" };
}

/** Whether any row of a task allows a pick on a day. */
const mayPick = ({ minutes }: PlantingTask, day: number) => minutes.some((row) => (row[day] ?? null) !== null);

/** What keeps a task from being picked in a round beside what was pinned before; null when nothing does. */
function blockOf(problem: PlanProblem, task: PlantingTask, pins: Picks, t: number): WantBlock | null {
  const earlier = pins[task.id] ?? [];
  if (!task.repeat && earlier.length > 0) return "once";
  const check = checkPlan(problem, { ...pins, [task.id]: [...earlier, t] });
  if (check.status === "allowed") return null;
  const [limit] = check.broken;
  return limit === undefined || limit === "planting" ? "not ready" : limit;
}
