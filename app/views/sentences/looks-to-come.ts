import { isLookTask, plantingOfTask } from "~/core/garden";
import type { Planned } from "../planned";
import { nameOf } from "../words";

/** Plantings to be looked at again on a day on which no round comes to them. */
export interface LooksToCome {
  day: string;
  names: string[];
}

/** Looks that the verdicts ask for in the days ahead and that are no errand of the plan's rounds, by day. */
export function looksToCome({ outlook, plan, today }: Planned): LooksToCome[] {
  const called = new Set(Object.entries(plan.picks).flatMap(([id, days]) => days.map((n) => `${plantingOfTask(id)} ${outlook.days[n]}`))); // prettier-ignore
  const planned = new Set(Object.entries(plan.picks).filter(([id, days]) => isLookTask(id) && days.length > 0).map(([id]) => plantingOfTask(id))); // prettier-ignore
  return outlook.days.slice(1).flatMap((day): LooksToCome[] => {
    const names = outlook.plantings
      .filter((p) => p.judgement.verdict.lookAgain === day && day > today && !planned.has(p.planting.id))
      .filter((p) => !called.has(`${p.planting.id} ${day}`))
      .map((p) => `${nameOf(p)} (${p.bed.name})`);
    return names.length > 0 ? [{ day, names }] : [];
  });
}
