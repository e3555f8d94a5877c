import { createHash } from "node:crypto";
import type { IsoDay } from "~/core/calendar";
import { lookAhead, type GardenOutlook } from "~/core/garden";
import { losersOf, moveCosts, solvePlan, type Loser, type Plan } from "~/core/planner";
import type { Db } from "~/db/client.server";
import { householdCrop, type GardenRow } from "~/db/schema.server";
import { todayOf } from "./clock.server";
import { gardenState } from "./garden-state.server";
import { cropsOf } from "./household-crops.server";

export interface PlannedGarden {
  today: IsoDay;
  outlook: GardenOutlook;
  plan: Plan;
  /** What the plan cannot fit, and what would save it; asked for by the horizon only. */
  losers: () => Loser[];
  /** What moving a planned pick to each other day costs. */
  moveCost: (plantingId: string, day: number) => (number | null)[];
}

const kept = new Map<string, PlannedGarden>();
const MOST_KEPT = 4;
const ASKING_AGAIN = { seed: 1, relaxIterations: 30, repairIterations: 80 };

/** Judges the garden and plans its picks; the same garden on the same day is worked out once. */
export function plannedGarden(db: Db, row: GardenRow): PlannedGarden {
  const today = todayOf(row);
  const state = gardenState(db, row, today);
  const ownValues = db.select().from(householdCrop).all();
  const key = createHash("sha1")
    .update(JSON.stringify([state, ownValues]))
    .digest("hex");
  const known = kept.get(key);
  if (known) return known;
  const outlook = lookAhead(state, cropsOf(db));
  const plan = solvePlan(outlook.problem);
  let losers: Loser[] | undefined;
  const made: PlannedGarden = {
    today,
    outlook,
    plan,
    losers: () => (losers ??= losersOf(outlook.problem, plan, ASKING_AGAIN)),
    moveCost: (plantingId, day) => moveCosts(outlook.problem, plan, plantingId, day),
  };
  kept.set(key, made);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return made;
}
