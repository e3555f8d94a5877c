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
  const byDay = new Map<number, PlannedPick>();
  for (const { task, pieces } of p.parts) {
    let row = 0;
    for (const day of picks[task.id] ?? []) {
      const pick = byDay.get(day) ?? { day, pieces: 0, minutes: 0, taskIds: [] };
      pick.pieces += pieces[row]?.[day] ?? 0;
      pick.minutes += task.minutes[row]?.[day] ?? 0;
      pick.taskIds.push(task.id);
      byDay.set(day, pick);
      if (task.repeat) row = day + 1;
    }
  }
  return [...byDay.values()].sort((a, b) => a.day - b.day);
}
