import type { GardenOutlook } from "~/core/garden";
import type { UnitSystem } from "~/core/units";

/** What a card is said with. */
export interface CardWords {
  outlook: GardenOutlook;
  units: UnitSystem;
}
