import { checkPlan, taskWorth } from "../planner";
import type { DayPlan } from "./day-rounds";
import type { GardenOutlook } from "./look-ahead";
import { plannedPicks } from "./planned-picks";

/** What a plan does with one planting: day indexes of its picks, what they bring, g, and what it is worth with what stays out. */
interface OfPlanting {
  plantingId: string;
  days: number[];
  grams: number;
  worth: number;
}

/** What a plan comes to. */
export interface PlanSum {
  /** Kilograms of courgette. */
  worth: number;
  grams: number;
  /** With all walks. */
  minutes: number;
  rounds: number;
  plantings: OfPlanting[];
}

/** Adds a plan up. */
export function planSum({ problem, plantings }: Pick<GardenOutlook, "problem" | "plantings">, plan: DayPlan): PlanSum {
  const solved = { picks: plan.rounds, ways: plan.ways };
  const check = checkPlan(problem, solved.picks, solved.ways);
  if (check.status === "not allowed") throw new Error(`the plan is not allowed: ${check.reasons.join("; ")}`);
  const of = plantings.map((p): OfPlanting => {
    const picks = plannedPicks(p, plan.picks);
    return {
      plantingId: p.planting.id,
      days: picks.map((pick) => pick.day),
      grams: picks.reduce((sum, pick) => sum + pick.pieces * p.crop.pieceGrams.value, 0),
      worth: p.parts.reduce((sum, part) => sum + taskWorth(problem, solved, part.task.id), 0),
    };
  });
  return {
    worth: check.worth,
    grams: of.reduce((sum, p) => sum + p.grams, 0),
    minutes: check.minutesUsed.reduce((a, b) => a + b, 0),
    rounds: new Set(Object.values(plan.rounds).flat()).size,
    plantings: of,
  };
}

/** How one plan differs from another: after less before. */
export interface PlanDifference extends Pick<PlanSum, "worth" | "grams" | "minutes" | "rounds"> {
  /** Those of which something differs, the most worth first. */
  plantings: { plantingId: string; from: number[]; to: number[]; grams: number; worth: number }[];
}

/** Under this, kilograms of courgette and grams, nothing differs: our judgement. */
const SAME_WORTH = 0.02;
const SAME_GRAMS = 10;

/** What becomes of a plan in another. */
export function planDifference(before: PlanSum, after: PlanSum): PlanDifference {
  const were = new Map(before.plantings.map((p) => [p.plantingId, p]));
  const plantings = after.plantings.flatMap(({ plantingId, days, grams, worth }) => {
    const was = were.get(plantingId);
    if (!was) return [];
    const so = { plantingId, from: was.days, to: days, grams: grams - was.grams, worth: worth - was.worth };
    const isSame = was.days.join() === days.join() && Math.abs(so.grams) < SAME_GRAMS && Math.abs(so.worth) < SAME_WORTH; // prettier-ignore
    return isSame ? [] : [so];
  });
  return {
    worth: after.worth - before.worth,
    grams: after.grams - before.grams,
    minutes: after.minutes - before.minutes,
    rounds: after.rounds - before.rounds,
    plantings: plantings.sort((a, b) => Math.abs(b.worth) - Math.abs(a.worth)),
  };
}
