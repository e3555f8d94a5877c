import { addDays, dayInZone, instantOf, type IsoDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import { setDemoDay, theGarden, type GardenRow } from "~/db/garden/garden.server";

/** Hour at which the demo's standing clock stands. */
const DEMO_HOUR = "07:00";

let aheadMs = 0;

/** Sets this thread's clock by that of the one who asks it, ms since 1970. */
export function setClockBy(now: number): void {
  aheadMs = now - Date.now();
}

/** The garden's now: the demo's standing clock, else the real one. */
export function gardenNow(row: GardenRow): Date {
  return row.demoDay ? instantOf(`${row.demoDay}T${DEMO_HOUR}`, row.timeZone) : new Date(Date.now() + aheadMs);
}

/** Today in the garden: the demo's own day, else the clock in the garden's time zone. */
export function todayOf(row: GardenRow): IsoDay {
  return row.demoDay ?? dayInZone(gardenNow(row), row.timeZone);
}

export type StepOutcome = { status: "stepped"; day: IsoDay } | { status: "not the demo" };

/** Steps the demo's clock; its weather follows from the stand-ins. */
export function stepDemoClock(db: Db, days: number): StepOutcome {
  const row = theGarden(db);
  if (!row?.demoDay) return { status: "not the demo" };
  const day = addDays(row.demoDay, days);
  setDemoDay(db, day);
  return { status: "stepped", day };
}
