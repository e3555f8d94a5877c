import { eq } from "drizzle-orm";
import type { Db } from "../db.server";
import { garden, type GardenRow } from "../schema/index.server";

export type { GardenRow };

/** The garden of this file, or undefined before it is set up. */
export function theGarden(db: Db): GardenRow | undefined {
  return db.select().from(garden).get();
}

export function insertGarden(db: Db, row: Omit<typeof garden.$inferInsert, "id">): void {
  db.insert(garden).values({ id: 1, ...row }).run(); // prettier-ignore
}

export function setHouseholdLimits(
  db: Db,
  limits: Pick<GardenRow, "roundsAWeek" | "kitchenKg" | "fridgeKg" | "racksM2">,
): void {
  db.update(garden).set(limits).where(eq(garden.id, 1)).run();
}

export function setDemoDay(db: Db, demoDay: string): void {
  db.update(garden).set({ demoDay }).where(eq(garden.id, 1)).run();
}
