import { and, eq } from "drizzle-orm";
import type { Db } from "../db.server";
import { householdCrop, schoolChoice, variety, type VarietyRow } from "../schema/index.server";

export type { VarietyRow };
export type PatchRow = typeof householdCrop.$inferSelect;

/** The household's own values and crops, as patches over the shipped ones. */
export function allPatches(db: Db): PatchRow[] {
  return db.select().from(householdCrop).all();
}

export function patchOf(db: Db, cropId: string): PatchRow | undefined {
  return db.select().from(householdCrop).where(eq(householdCrop.cropId, cropId)).get();
}

export function keepPatch(db: Db, cropId: string, patch: string): void {
  const row = { patch, savedAt: new Date().toISOString() };
  db.insert(householdCrop).values({ cropId, ...row }).onConflictDoUpdate({ target: householdCrop.cropId, set: row }).run(); // prettier-ignore
}

export function deletePatch(db: Db, cropId: string): void {
  db.delete(householdCrop).where(eq(householdCrop.cropId, cropId)).run();
}

/** All that a household's own crop brought along. */
export function deleteOwnCrop(db: Db, cropId: string): void {
  db.transaction((tx) => {
    tx.delete(variety).where(eq(variety.cropId, cropId)).run();
    tx.delete(schoolChoice).where(eq(schoolChoice.cropId, cropId)).run();
    tx.delete(householdCrop).where(eq(householdCrop.cropId, cropId)).run();
  });
}

export function allVarieties(db: Db): VarietyRow[] {
  return db.select().from(variety).all();
}

export function varietiesOf(db: Db, cropId: string): VarietyRow[] {
  return db.select().from(variety).where(eq(variety.cropId, cropId)).all();
}

/** Writes a variety down; the same name of the same crop again replaces it. */
export function saveVariety(db: Db, row: Omit<VarietyRow, "id">, id?: string): void {
  const same = varietiesOf(db, row.cropId).find((v) => v.name.toLowerCase() === row.name.toLowerCase());
  if (same) db.update(variety).set(row).where(eq(variety.id, same.id)).run();
  else db.insert(variety).values({ id: id ?? crypto.randomUUID(), ...row }).run(); // prettier-ignore
}

export function deleteVariety(db: Db, id: string): boolean {
  return db.delete(variety).where(eq(variety.id, id)).run().changes > 0;
}

/** The household's ways, where it has chosen one. */
export function allSchoolChoices(db: Db) {
  return db.select().from(schoolChoice).all();
}

export function saveSchoolChoice(db: Db, row: typeof schoolChoice.$inferInsert): void {
  const { optionId } = row;
  db.insert(schoolChoice)
    .values(row)
    .onConflictDoUpdate({ target: [schoolChoice.cropId, schoolChoice.schoolId], set: { optionId } })
    .run();
}

export function deleteSchoolChoice(db: Db, cropId: string, schoolId: string): void {
  db.delete(schoolChoice)
    .where(and(eq(schoolChoice.cropId, cropId), eq(schoolChoice.schoolId, schoolId)))
    .run();
}
