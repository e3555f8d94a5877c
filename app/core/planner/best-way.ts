import { checkPlan } from "./check";
import type { Picks, PlanProblem, Ways } from "./problem";

/** Picks with the ways they are made in, and what they are worth. */
export interface InWays {
  picks: Picks;
  ways: Ways;
  worth: number;
}

/** Picks with one task in the way that suits them best, all else as it is; null where none is allowed. */
export function inBestWay(problem: PlanProblem, { picks, ways }: Omit<InWays, "worth">, id: string): InWays | null {
  const task = problem.tasks.find((t) => t.id === id);
  const { [id]: _, ...others } = ways;
  const tried: Ways[] = [others, ...(task?.ways ?? []).map((way) => ({ ...others, [id]: way.id }))];
  let best: InWays | null = null;
  for (const so of tried) {
    const check = checkPlan(problem, picks, so);
    if (check.status === "allowed" && !(best && check.worth <= best.worth)) best = { picks, ways: so, worth: check.worth }; // prettier-ignore
  }
  return best;
}
