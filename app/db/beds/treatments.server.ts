import { desc, eq, isNull } from "drizzle-orm";
import type { Db } from "../db.server";
import { season, treatment } from "../schema/index.server";

export type TreatmentRow = typeof treatment.$inferSelect;

/** Treatments of a planting in all its seasons, the newest first, taken back ones too. */
export function treatmentsOf(db: Db, plantingId: string): TreatmentRow[] {
  return db
    .select()
    .from(treatment)
    .innerJoin(season, eq(treatment.seasonId, season.id))
    .where(eq(season.plantingId, plantingId))
    .orderBy(desc(treatment.treatedOn))
    .all()
    .map((row) => row.treatment);
}

/** All treatments that stand, with the planting they are of. */
export function standingTreatments(db: Db): (TreatmentRow & { plantingId: string })[] {
  return db
    .select()
    .from(treatment)
    .innerJoin(season, eq(treatment.seasonId, season.id))
    .where(isNull(treatment.withdrawnAt))
    .all()
    .map((row) => ({ ...row.treatment, plantingId: row.season.plantingId }));
}

export function insertTreatment(db: Db, row: Omit<typeof treatment.$inferInsert, "loggedAt">): void {
  db.insert(treatment).values({ ...row, loggedAt: new Date().toISOString() }).run(); // prettier-ignore
}

/** Takes one out of force, or puts it back; only one of this planting. */
export function withdrawTreatment(db: Db, plantingId: string, id: string, putBack: boolean): boolean {
  const there = treatmentsOf(db, plantingId).some((t) => t.id === id);
  if (!there) return false;
  return (
    db
      .update(treatment)
      .set({ withdrawnAt: putBack ? null : new Date().toISOString() })
      .where(eq(treatment.id, id))
      .run().changes > 0
  );
}
