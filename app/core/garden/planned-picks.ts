import type { Picks } from "../planner";
import type { PlantingOutlook } from "./planting-outlook";

/** A planned pick of a planting: all its parts that come off on one day. */
export interface PlannedPick {
  day: number;
  pieces: number;
  minutes: number;
  /** Tasks of the plan that make it up. */
  taskIds: string[];
}

/** The planting that a task of the plan belongs to. */
export const plantingOfTask = (taskId: string): string => taskId.split("#")[0]!;

/** The picks that the plan has for a planting, by day. */
export function plannedPicks(p: Pick<PlantingOutlook, "parts">, picks: Picks): PlannedPick[] {
  return gathered(taskPicks(p, picks));
}

/** What the plan takes of a planting in one round; undefined where it does not call for a pick. */
export function pickInRound(
  p: Pick<PlantingOutlook, "parts">,
  { picks, rounds }: { picks: Picks; rounds: Picks },
  round: number,
): PlannedPick | undefined {
  return gathered(taskPicks(p, picks).filter(({ taskId, k }) => rounds[taskId]?.[k] === round))[0];
}

interface TaskPick {
  taskId: string;
  /** The how manieth of its task. */
  k: number;
  day: number;
  pieces: number;
  minutes: number;
}

function taskPicks({ parts }: Pick<PlantingOutlook, "parts">, picks: Picks): TaskPick[] {
  return parts.flatMap(({ task, pieces }) => {
    let row = 0;
    return (picks[task.id] ?? []).map((day, k): TaskPick => {
      const pick = { taskId: task.id, k, day, pieces: pieces[row]?.[day] ?? 0, minutes: task.minutes[row]?.[day] ?? 0 };
      if (task.repeat) row = day + 1;
      return pick;
    });
  });
}

function gathered(picks: readonly TaskPick[]): PlannedPick[] {
  const byDay = new Map<number, PlannedPick>();
  for (const { taskId, day, pieces, minutes } of picks) {
    const pick = byDay.get(day) ?? { day, pieces: 0, minutes: 0, taskIds: [] };
    pick.pieces += pieces;
    pick.minutes += minutes;
    pick.taskIds.push(taskId);
    byDay.set(day, pick);
  }
  return [...byDay.values()].sort((a, b) => a.day - b.day);
}
