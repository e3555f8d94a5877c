import type { IsoDay } from "~/core/calendar";
import type { DayPlan, GardenOutlook } from "~/core/garden";
import type { Picks } from "~/core/planner";
import type { UnitSystem } from "~/core/units";

/** A garden looked ahead and planned, as plain data: what every page is drawn from. */
export interface Planned {
  today: IsoDay;
  outlook: GardenOutlook;
  plan: DayPlan;
  /** Rounds of the picks before it that it stays near to. */
  near: Picks;
  /** By planting and planned day index: what moving that pick to each day costs; null where it cannot be. */
  moveCosts: Record<string, Record<number, (number | null)[]>>;
  units: UnitSystem;
}
