import { daysBetween, type IsoDay } from "../calendar";
import { usualCover, type BedKind, type CoverNight } from "../hazards";
import { solvePlan, type Plan, type PlanProblem, type SolveBudget } from "../planner";
import { trackIndex } from "../weather";
import type { DayTerms } from "./day-terms";
import type { GardenSky } from "./garden-sky";
import { EFFORT_PER_MINUTE } from "./plan-problem";
import { plantingOfTask } from "./planned-picks";
import type { TaskProtection } from "./planting-offer";
import type { PlantingOutlook } from "./planting-outlook";

/** Beds that a cover laid for the night can be put on. */
export const COVERABLE: readonly BedKind[] = ["open", "raised", "low", "wall", "container"];
/** Laying a cover over a planting and making it fast, or carrying its pots in and out again: our judgement. */
const COVER_MINUTES = 3;
/** A night that takes less than this share is not covered for: our judgement. */
const WORTH_COVERING = 0.1;
const MOST_NIGHTS = 4;
/** The worth of 150 g of courgette is worth a sentence: our judgement. */
const WORTH_TELLING = 0.15;

/**
 * Evenings on which a cover over the planting could save something: those before the nights that the forecast speaks
 * of, on which somebody is there, the soonest first.
 */
function eveningsToCover(p: PlantingOutlook, sky: GardenSky, terms: readonly DayTerms[]): IsoDay[] {
  if (!COVERABLE.includes(p.bed.kind)) return [];
  const isCalled = (n: number) => sky.track.source[trackIndex(sky.track, sky.today) + n + 1] !== "normal";
  const evenings = p.survival.threats
    .filter((t) => t.kind === "frost" && t.loss >= WORTH_COVERING && t.act !== "earth up" && t.act !== "leave")
    .map((t) => t.lastDayBefore)
    .filter((day) => {
      const n = daysBetween(sky.today, day);
      return n >= 0 && n < terms.length && terms[n]!.minutes > 0 && isCalled(n);
    });
  return [...new Set(evenings)].sort().slice(0, MOST_NIGHTS);
}

/**
 * The outlook with its tasks under covers, where a frost is ahead that a cover takes something from.
 *
 * @param under - the planting looked ahead with covers on some evenings
 */
export function withProtections(
  bare: PlantingOutlook,
  under: (nights: CoverNight[]) => PlantingOutlook,
  sky: GardenSky,
  terms: readonly DayTerms[],
): PlantingOutlook {
  const evenings = eveningsToCover(bare, sky, terms);
  if (evenings.length === 0) return bare;
  const covered = under(evenings.map((evening) => ({ bedId: bare.bed.id, evening, cover: usualCover(bare.bed.kind) })));
  const gaining = bare.parts.flatMap(({ task }) => {
    const offer = covered.parts.find((part) => part.task.id === task.id)?.task;
    if (!offer || offer.repeat !== task.repeat) return [];
    const gains = offer.endWorth[0]! > task.endWorth[0]! + 0.01 || offer.worth[0]!.some((w, t) => w > task.worth[0]![t]! + 0.01); // prettier-ignore
    return gains ? [offer] : [];
  });
  // One cover lies over all parts of a planting.
  const minutes = COVER_MINUTES / gaining.length;
  const acts = evenings.map((e) => ({ day: daysBetween(sky.today, e), minutes, cost: minutes * EFFORT_PER_MINUTE }));
  if (gaining.length === 0) return bare;
  return {
    ...bare,
    protections: gaining.map(({ id, worth, minutes, endWorth, kitchen }) => ({ taskId: id, way: { id: "covered", acts, worth, minutes, endWorth, ...(kitchen && { kitchen }) } })), // prettier-ignore
  };
}

/** An act that pays: a bed covered, or its pots brought in, on some evenings, and what it brings in more, kilograms of courgette. */
export interface PayingCover {
  bedId: string;
  evenings: IsoDay[];
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
 * Which covers pay: the planner is asked again bed by bed, with that bed's plantings covered if it likes. What it gains is
 * told against the best plan it finds with the same asking and no cover, so that a better plan is not taken for a cover's.
 *
 * @returns those worth telling, the dearest first
 */
export function payingCovers({ problem, plan, protections }: Asked, budget: SolveBudget): PayingCover[] {
  const beds = new Set(protections.flatMap(({ taskId }) => problem.tasks.find((t) => t.id === taskId)?.bedId ?? []));
  if (beds.size === 0) return [];
  const bare = solvePlan(problem, budget, plan);
  const found = [...beds].flatMap((bedId): PayingCover[] => {
    const tasks = problem.tasks.map((task) => {
      const ways = task.bedId === bedId ? protections.filter((x) => x.taskId === task.id).map((x) => x.way) : [];
      return ways.length > 0 ? { ...task, ways } : task;
    });
    const again = solvePlan({ ...problem, tasks }, budget, bare);
    if (again.worth - bare.worth < WORTH_TELLING) return [];
    const without = solvePlan(problem, budget, again);
    const gain = again.worth - Math.max(bare.worth, without.worth);
    const taken = tasks.flatMap((t) => t.ways?.find((w) => w.id === again.ways[t.id]) ?? []);
    if (gain < WORTH_TELLING || taken.length === 0) return [];
    const days = [...new Set(taken.flatMap((w) => w.acts.map((a) => a.day)))].sort((a, b) => a - b);
    const best = (id: string) => Math.max(...tasks.find((t) => t.id === id)!.worth[0]!);
    const plantingIds = [
      ...new Set(
        Object.keys(again.ways)
          .sort((a, b) => best(b) - best(a))
          .map(plantingOfTask),
      ),
    ];
    // Whatever part of a planting a cover is for, it is laid over all of it.
    const minutes = COVER_MINUTES * days.length * plantingIds.length;
    return [{ bedId, evenings: days.map((d) => problem.days[d]!), minutes, gain, plantingIds }];
  });
  return found.sort((a, b) => b.gain - a.gain);
}
