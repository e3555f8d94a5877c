import { eq } from "drizzle-orm";
import { addDays, dayInZone, type IsoDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import { garden, type GardenRow } from "~/db/schema.server";

/** The garden of this file, or undefined before it is set up. */
export function theGarden(db: Db): GardenRow | undefined {
  return db.select().from(garden).get();
}

/** Today in the garden: the demo's own day, else the clock in the garden's time zone. */
export function todayOf(row: GardenRow): IsoDay {
  return row.demoDay ?? dayInZone(new Date(), row.timeZone);
}

export type StepOutcome = { status: "stepped"; day: IsoDay } | { status: "not the demo" };

/** Steps the demo's clock; its weather follows from the stand-ins. */
export function stepDemoClock(db: Db, days: number): StepOutcome {
  const row = theGarden(db);
  if (!row?.demoDay) return { status: "not the demo" };
  const day = addDays(row.demoDay, days);
  db.update(garden).set({ demoDay: day }).where(eq(garden.id, row.id)).run();
  return { status: "stepped", day };
}
