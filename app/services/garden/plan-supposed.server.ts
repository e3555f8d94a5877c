import { supposed, type CannotSuppose, type KeptOutlooks, type Supposition } from "~/core/garden";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { todayOf } from "./clock.server";
import { gardenState } from "./garden-state.server";
import { cropsOf } from "./household-crops.server";
import { planIf, type PlanIf, type StandingPlan } from "./plan-garden.server";

/** What a plan would come to, or which supposition cannot be. */
export type SupposedPlan =
  ({ status: "supposed" } & PlanIf) | { status: "cannot"; why: CannotSuppose; of: Supposition };

export interface Supposing {
  suppositions: Supposition[];
  standing: StandingPlan;
}

/** Plans the garden as it would be, on top of what is planned now. */
export function planSupposedly(
  db: Db,
  row: GardenRow,
  { suppositions, standing }: Supposing,
  kept: KeptOutlooks = { plantings: new Map() },
): SupposedPlan {
  const so = supposed(gardenState(db, row, todayOf(row)), suppositions);
  if (so.status === "cannot") return so;
  return { status: "supposed", ...planIf(so.garden, cropsOf(db), standing, kept) };
}
