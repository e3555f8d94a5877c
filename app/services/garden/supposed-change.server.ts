import { onlyHelps, planDifference, planSum, type PlanDifference, type PlanSum, type Supposition } from "~/core/garden";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { Planned } from "~/views/planned";
import { standingOf } from "./plan-garden.server";
import { planSupposedly, type SupposedPlan } from "./plan-supposed.server";
import { ThreadGone, supposedApart } from "./planners.server";

/** How the plan would differ, and how much of that the asking found without any supposition. */
export type SupposedChange = ({ status: "supposed"; change: PlanDifference & { found: number } }) | Extract<SupposedPlan, { status: "cannot" }>; // prettier-ignore

/** What would be otherwise in the plan. */
export async function changeIf(
  db: Db,
  row: GardenRow,
  planned: Planned,
  suppositions: Supposition[],
): Promise<SupposedChange> {
  // prettier-ignore
  const { before, after } = await supposedFor(db, row, planned, suppositions);
  if (after.status === "cannot") return after;
  const change = planDifference(before, after.sum);
  const found = after.without - before.worth;
  // What only helps makes nothing worse: the asking may have found more without it than with it.
  return { status: "supposed", change: { ...change, found: suppositions.every(onlyHelps) ? Math.min(found, Math.max(0, change.worth)) : found } }; // prettier-ignore
}

/** The plan beside the requests, with what the one that stands comes to. */
export async function supposedFor(
  db: Db,
  row: GardenRow,
  planned: Planned,
  suppositions: Supposition[],
): Promise<{ before: PlanSum; after: SupposedPlan }> {
  const before = planSum(planned.outlook, planned.plan);
  const asked = { suppositions, standing: standingOf(planned) };
  if (db.$client.memory) return { before, after: planSupposedly(db, row, asked) };
  try {
    return { before, after: await supposedApart(db, row, asked) };
  } catch (error) {
    // Where no thread can be had, it is planned here.
    if (error instanceof ThreadGone) return { before, after: planSupposedly(db, row, asked) };
    throw error;
  }
}
