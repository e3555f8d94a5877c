import { instantOf } from "~/core/calendar";
import type { GardenRow } from "~/db/schema.server";

/** Hour at which the demo's standing clock stands. */
const DEMO_HOUR = "07:00";

/** The garden's now: the demo's standing clock, else the real one. */
export function gardenNow(row: GardenRow): Date {
  return row.demoDay ? instantOf(`${row.demoDay}T${DEMO_HOUR}`, row.timeZone) : new Date();
}
