import type { IsoDay } from "~/core/calendar";
import type { Catalogue } from "~/core/crops";
import {
  byDay,
  datedPicks,
  isLookTask,
  lookAhead,
  payingActs,
  picksIn,
  planSum,
  plannedPicks,
  plantingOfTask,
  protectionsIn,
  type DatedPicks,
  type DayPlan,
  type DayRound,
  type GardenOutlook,
  type GardenState,
  ownSheet,
  plantingSheet,
  type KeptOutlooks,
  type PlantingSheet,
  type PayingAct,
  type PlanSum,
  type TaskProtection,
} from "~/core/garden";
import {
  ONCE_MORE,
  calmest,
  checkPlan,
  editedPlan,
  losersOf,
  moveCosts,
  planBase,
  solvePlan,
  type Loser,
  type Picks,
  type Plan,
  type PlanBase,
  type PlanProblem,
} from "~/core/planner";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { Planned } from "~/views/planned";
import { todayOf } from "./clock.server";
import { gardenState } from "./garden-state.server";
import { cropsOf } from "./household-crops.server";

/** What was worked out of a garden before: what still stands of it is taken over. */
export interface KeptPlan {
  outlooks: KeptOutlooks;
  planned?: Planned;
  /** The plan before any day was asked for: every wish starts from it. */
  base?: PlanBase;
}

/** Judges the garden and plans its picks; what was planned before stays where moving it brings next to nothing. */
export function planGarden(db: Db, row: GardenRow, kept: KeptPlan): Planned {
  const today = todayOf(row);
  const outlook = lookAhead(gardenState(db, row, today), cropsOf(db), undefined, kept.outlooks);
  const before = kept.planned;
  const stands = before !== undefined && sameProblem(before.outlook, outlook);
  if (stands && sameWishes(before.outlook, outlook)) kept.planned = { ...before, outlook };
  else {
    const base = stands && kept.base ? { ...kept.base, problem: outlook.unwished } : planBase(outlook.unwished, nearIn(outlook, before && picksNow(before))); // prettier-ignore
    const plan = planFrom(base, outlook);
    const { near } = base;
    kept.planned = { today, outlook, plan, near, moveCosts: costsOf(outlook, plan), units: row.unitSystem };
    kept.base = base;
  }
  return kept.planned;
}

/** What one planting's verdict is worked out from, to be sent; undefined where there is none. */
export function sheetOfPlanting(db: Db, row: GardenRow, plantingId: string, kept: KeptPlan): PlantingSheet | undefined {
  const sheet = plantingSheet(gardenState(db, row, todayOf(row)), cropsOf(db), plantingId, kept.outlooks);
  return sheet && ownSheet(sheet);
}

/** The picks of a plan, by their days. */
export const picksNow = ({ plan, outlook }: Planned): DatedPicks => datedPicks(plan.rounds, outlook);

/** What is to stay near to where it was: not what somebody asked for, which stands where it was asked for. */
function nearIn(outlook: GardenOutlook, before: DatedPicks | undefined): Picks {
  const asked = new Set(outlook.plantings.filter(({ planting: { wishes } }) => wishes && wishes.pickOn.length + wishes.notOn.length > 0).map((p) => p.planting.id)); // prettier-ignore
  const free = Object.entries(before ? picksIn(before, outlook) : {}).filter(([id]) => !asked.has(plantingOfTask(id)));
  return Object.fromEntries(free);
}

const planFrom = (base: PlanBase, outlook: GardenOutlook): DayPlan =>
  byDay(checked(outlook.problem, editedPlan(base, outlook.problem)), outlook.rounds);

/** A plan that stands, with all that it takes to ask it again. */
export interface StandingPlan {
  problem: PlanProblem;
  rounds: DayRound[];
  days: IsoDay[];
  plan: Plan;
}

export const standingOf = ({ outlook: { problem, rounds, days }, plan }: Planned): StandingPlan => ({ problem, rounds, days, plan: asSolved(plan) }); // prettier-ignore

/** What a plan would come to if a garden were another. */
export interface PlanIf {
  sum: PlanSum;
  /** Worth of what the same asking makes of the plan without it: it may find a better one than stands. */
  without: number;
}

/** Plans a garden that is another, on top of what stands: just as `planGarden` would once it is so. */
export function planIf(state: GardenState, catalogue: Catalogue, standing: StandingPlan, kept: KeptOutlooks): PlanIf {
  const outlook = lookAhead(state, catalogue, undefined, kept);
  const before = datedPicks(standing.plan.picks, standing);
  const after = planFrom(planBase(outlook.unwished, nearIn(outlook, before)), outlook);
  const picks = { ...standing.plan.picks, ...picksIn(datedPicks(after.rounds, outlook), standing) };
  const again = solvePlan(standing.problem, ONCE_MORE, { ...standing.plan, picks });
  const { worth: without } = calmest(standing.problem, standing.plan.picks, [standing.plan, again]);
  return { sum: planSum(outlook, after), without };
}

/**
 * The plan, held against the problem by what knows nothing of the solver: one that is not allowed is never shown.
 *
 * @throws {Error} with what is wrong with it
 */
function checked(problem: PlanProblem, plan: Plan): Plan {
  const check = checkPlan(problem, plan.picks, plan.ways);
  if (check.status === "not allowed") throw new Error(`the plan is not allowed: ${check.reasons.join("; ")}`);
  return plan;
}

/** Whether two outlooks ask the same of the planner but for the days that are asked for. */
function sameProblem(before: GardenOutlook, now: GardenOutlook): boolean {
  return (
    before.today === now.today &&
    JSON.stringify(limitsIn(before)) === JSON.stringify(limitsIn(now)) &&
    before.plantings.length === now.plantings.length &&
    // A planting that stands was not looked ahead again: its parts are the same object.
    before.plantings.every((p, n) => p.parts === now.plantings[n]!.parts)
  );
}

/** All that the problem holds beside its tasks. */
const limitsIn = ({ unwished: { tasks: _, ...limits } }: GardenOutlook) => limits;

const sameWishes = (before: GardenOutlook, now: GardenOutlook) =>
  JSON.stringify(wishesIn(before)) === JSON.stringify(wishesIn(now));

/** What is asked of the days, and what came of it. */
const wishesIn = ({ problem, wanted }: GardenOutlook) => [wanted, problem.tasks.map(({ pins, bans }) => [pins, bans])];

/** A plan as its problem has it. */
export const asSolved = ({ rounds, ...plan }: DayPlan): Plan => ({ ...plan, picks: rounds });

/** What moving each planned pick to each other day costs, to the best round of it; null where it cannot be. */
function costsOf({ problem, plantings, rounds, days }: GardenOutlook, plan: DayPlan): Planned["moveCosts"] {
  const costs = (taskId: string, day: number) => {
    const from = plan.rounds[taskId]!.find((t) => rounds[t]!.day === day)!;
    const byRound = moveCosts(problem, asSolved(plan), taskId, from);
    return days.map((_, n) => {
      const open = byRound.filter((cost, t): cost is number => rounds[t]!.day === n && cost !== null);
      return open.length > 0 ? Math.min(...open) : null;
    });
  };
  return Object.fromEntries(
    plantings.map((p) => [
      p.planting.id,
      Object.fromEntries(
        // Of several parts on a day the last to be chosen is the one that may move.
        plannedPicks(p, plan.picks).map(({ day, taskIds }) => [day, costs(taskIds.at(-1)!, day)]),
      ),
    ]),
  );
}

const ASKING_AGAIN = { seed: 1, relaxIterations: 30, boundSplits: 0, repairIterations: 300, cycles: 1 };

/** Several plantings of a bed have to be covered together for it to pay: that takes longer to find. */
const ASKING_ACTS = { ...ASKING_AGAIN, repairIterations: 1000, cycles: 2 };

/** What a plan cannot fit and what would save it, and which acts beside picking pay. */
export interface Advice {
  losers: Loser[];
  acts: PayingAct[];
}

/** What becomes of a plan when the problem is asked again, several times, a little changed. */
export function adviceOn({ outlook: { problem, rounds }, plan: planned, protections }: Asked): Advice {
  const plan = asSolved(planned);
  return {
    losers: losersIn(problem, plan).map((loser) => onItsDay(loser, rounds)),
    acts: payingActs({ problem, plan, protections }, ASKING_ACTS),
  };
}

/** A loser whose help is told by its day. */
function onItsDay(loser: Loser, rounds: readonly DayRound[]): Loser {
  const { saver } = loser;
  return saver && "day" in saver ? { ...loser, saver: { ...saver, day: rounds[saver.day]!.day } } : loser;
}

/** Looks bring nothing in: they are neither lost nor saved. */
function losersIn(problem: PlanProblem, plan: Plan): Loser[] {
  const picked = { ...problem, tasks: problem.tasks.filter((t) => !isLookTask(t.id)) };
  const picks = Object.fromEntries(Object.entries(plan.picks).filter(([id]) => !isLookTask(id)));
  const check = checkPlan(picked, picks, plan.ways);
  return losersOf(
    picked,
    { ...plan, picks, worth: check.status === "allowed" ? check.worth : plan.worth },
    ASKING_AGAIN,
  );
}

type Asked = Pick<Planned, "plan"> & {
  outlook: Pick<GardenOutlook, "problem" | "rounds">;
  protections: TaskProtection[];
};

/** What the advice on a garden is asked of. */
export const askedOf = ({ outlook, plan }: Planned): Asked => ({
  outlook: { problem: outlook.problem, rounds: outlook.rounds },
  plan,
  protections: protectionsIn(outlook.rounds, outlook.plantings),
});
