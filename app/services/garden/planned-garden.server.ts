import { lookAhead, plannedPicks, type GardenOutlook, type KeptOutlooks } from "~/core/garden";
import { losersOf, moveCosts, solvePlan, type Loser, type Plan } from "~/core/planner";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { Planned } from "~/views/planned";
import { revisionOf } from "~/db/revision.server";
import { gardenNow, todayOf } from "./clock.server";
import { gardenState } from "./garden-state.server";
import { cropsOf } from "./household-crops.server";

/** What was worked out last of a garden. */
interface Kept {
  outlooks: KeptOutlooks;
  planned?: Planned;
  losers?: Loser[];
  /** Of what state of the file, of which day and hour it was worked out. */
  of?: string;
}

const kept = new WeakMap<Db, Kept>();
const ASKING_AGAIN = { seed: 1, relaxIterations: 30, repairIterations: 80 };

/** Judges the garden and plans its picks; what stands since the last time is not worked out again. */
export function plannedGarden(db: Db, row: GardenRow): Planned {
  const today = todayOf(row);
  const before: Kept = kept.get(db) ?? { outlooks: { plantings: new Map() } };
  kept.set(db, before);
  const of = stateOf(db, row);
  if (before.planned && before.of === of) return before.planned;
  const outlook = lookAhead(gardenState(db, row, today), cropsOf(db), undefined, before.outlooks);
  // Kept once all of it is there: what fails halfway is worked out again.
  const keep = (planned: Planned) => {
    before.planned = planned;
    before.of = of;
    return planned;
  };
  if (before.planned && sameProblem(before.planned.outlook, outlook)) {
    return keep({ ...before.planned, outlook });
  }
  const plan = solvePlan(outlook.problem);
  delete before.losers;
  return keep({ today, outlook, plan, moveCosts: costsOf(outlook, plan), units: row.unitSystem });
}

/** Minutes in which a plan does not age: our judgement. */
const PART_MS = 10 * 60_000;

/** What a plan is worked out of: while it is the same, nothing is read again. */
const stateOf = (db: Db, row: GardenRow) => `${revisionOf(db)} ${Math.floor(gardenNow(row).getTime() / PART_MS)} ${JSON.stringify(row)}`; // prettier-ignore

/** Whether two outlooks ask the same of the planner. */
function sameProblem(before: GardenOutlook, now: GardenOutlook): boolean {
  return (
    before.today === now.today &&
    JSON.stringify(before.minutesFree) === JSON.stringify(now.minutesFree) &&
    before.plantings.length === now.plantings.length &&
    // A planting that stands was not looked ahead again: its outlook is the same object.
    before.plantings.every((p, n) => p.parts === now.plantings[n]!.parts)
  );
}

/** What moving each planned pick to each other day costs; null where it cannot be. */
function costsOf({ problem, plantings }: GardenOutlook, plan: Plan): Planned["moveCosts"] {
  return Object.fromEntries(
    plantings.map((p) => [
      p.planting.id,
      Object.fromEntries(
        // Of several parts on a day the last to be chosen is the one that may move.
        plannedPicks(p, plan.picks).map(({ day, taskIds }) => [day, moveCosts(problem, plan, taskIds.at(-1)!, day)]),
      ),
    ]),
  );
}

/** What the plan cannot fit, and what would save it. */
export function losersIn(db: Db, planned: Planned): Loser[] {
  const of = kept.get(db);
  if (!of || of.planned !== planned) return losersOf(planned.outlook.problem, planned.plan, ASKING_AGAIN);
  return (of.losers ??= losersOf(planned.outlook.problem, planned.plan, ASKING_AGAIN));
}
