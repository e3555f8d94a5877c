import { checkPlan, type Picks, type PlanLimit, type PlanProblem, type PlantingTask } from "../planner";
import type { BanReason } from "./pick-bans";
import type { PlantingOutlook } from "./planting-outlook";
import { plantingOfTask } from "./planned-picks";
import { isLookTask } from "./looks-due";

/** Why a planting is not picked on the day on which the household wants it. */
export type WantBlock = BanReason | Exclude<PlanLimit, "planting"> | "no hands" | "not ready" | "once";

/** A day that was asked for a planting within the horizon, and whether the plan keeps it. */
export interface WantedDay {
  plantingId: string;
  /** Day index. */
  day: number;
  blockedBy: WantBlock | null;
}

/** Each planting's rounds so far, by task: rounds that hold all wishes kept. */
type Held = Picks;

/**
 * Pins what the household wants on a day, one wish after another as far as they go together; what a limit blocks is
 * left out, and the limit named.
 */
export function withWanted(
  problem: PlanProblem,
  plantings: readonly PlantingOutlook[],
): { problem: PlanProblem; wanted: WantedDay[] } {
  const wanted: WantedDay[] = [];
  const pins: Held = {};
  const dates = [...new Set(problem.days)];
  for (const p of plantings)
    for (const on of [...(p.planting.wishes?.pickOn ?? [])].sort()) {
      const day = dates.indexOf(on);
      // What was picked on its day is a wish that came true.
      if (day < 0 || p.planting.picks.some((m) => m.pickedOn === on)) continue;
      const rounds = [...problem.days.keys()].filter((t) => problem.days[t] === on);
      const blocks: WantBlock[] = [];
      for (const t of rounds) {
        const task = problem.tasks.find((x) => plantingOfTask(x.id) === p.planting.id && !isLookTask(x.id) && mayPick(x, t)); // prettier-ignore
        const block = p.bans[day] ?? blockOf(problem, task, pins, t);
        if (block) blocks.push(block);
        else if (task) {
          pins[task.id] = [...(pins[task.id] ?? []), t];
          break;
        }
      }
      const blockedBy = blocks.length < rounds.length ? null : blocks.reduce((a, b) => (b === "not ready" ? a : b));
      wanted.push({ plantingId: p.planting.id, day, blockedBy });
    }
  if (Object.keys(pins).length === 0) return { problem, wanted };
  const tasks = problem.tasks.map((t) => (pins[t.id] ? { ...t, pins: pins[t.id]! } : t));
  return { problem: { ...problem, tasks }, wanted };
}

/** Whether any row of a task allows a pick on a day. */
const mayPick = ({ minutes }: PlantingTask, day: number) => minutes.some((row) => (row[day] ?? null) !== null);

/** What keeps a task from being picked on a day beside what was pinned before; null when nothing does. */
function blockOf(problem: PlanProblem, task: PlantingTask | undefined, pins: Picks, day: number): WantBlock | null {
  if (problem.minutesFree[day]! <= 0) return "no hands";
  if (!task) return "not ready";
  const earlier = pins[task.id] ?? [];
  if (!task.repeat && earlier.length > 0) return "once";
  const check = checkPlan(problem, { ...pins, [task.id]: [...earlier, day] });
  if (check.status === "allowed") return null;
  const [limit] = check.broken;
  return limit === undefined || limit === "planting" ? "not ready" : limit;
}
