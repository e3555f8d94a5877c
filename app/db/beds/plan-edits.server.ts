import { asc, desc, eq, lte } from "drizzle-orm";
import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import { DAY_ASKED } from "~/core/garden";
import { Slot } from "~/core/hands";
import type { Db } from "../db.server";
import { planEdit } from "../schema/index.server";
import { RowChange } from "./undoable-rows.server";

/** What is asked of a day. */
const Asked = z.object({ to: z.enum(DAY_ASKED), slot: Slot.nullable() });
export type Asked = z.infer<typeof Asked>;

const DayChanges = z.array(z.object({ day: IsoDay, before: Asked, after: Asked }));
const RowChanges = z.object({ words: z.string(), until: IsoDay, rows: z.array(RowChange) });

/** Days asked for of a planting. */
export interface DaysEdit {
  plantingId: string;
  changes: z.infer<typeof DayChanges>;
}
/** Anything else that the plan is made of, in words, and the last day it is of use. */
export type RowsEdit = z.infer<typeof RowChanges>;

export type PlanEdit = { number: number } & (DaysEdit | RowsEdit);

/** Edits that are kept to be undone: our judgement. */
const KEPT = 200;

const read = ({ number, plantingId, changes }: typeof planEdit.$inferSelect): PlanEdit => {
  const told: unknown = JSON.parse(changes);
  return plantingId === null ? { number, ...RowChanges.parse(told) } : { number, plantingId, changes: DayChanges.parse(told) }; // prettier-ignore
};

/** Notes an edit; what was undone before it cannot be done again after it. */
export function insertPlanEdit(db: Db, edit: DaysEdit | RowsEdit, madeAt: string): void {
  db.delete(planEdit).where(eq(planEdit.isUndone, true)).run();
  const row = "plantingId" in edit ? { plantingId: edit.plantingId, changes: JSON.stringify(edit.changes) } : { plantingId: null, changes: JSON.stringify(edit) }; // prettier-ignore
  const { number } = db.insert(planEdit).values({ ...row, madeAt }).returning().get(); // prettier-ignore
  db.delete(planEdit)
    .where(lte(planEdit.number, number - KEPT))
    .run();
}

/** Edits that stand, the last one first. */
export const editsMade = (db: Db): PlanEdit[] =>
  db.select().from(planEdit).where(eq(planEdit.isUndone, false)).orderBy(desc(planEdit.number)).all().map(read);

/** Edits that were undone, the last undone first. */
export const editsUndone = (db: Db): PlanEdit[] =>
  db.select().from(planEdit).where(eq(planEdit.isUndone, true)).orderBy(asc(planEdit.number)).all().map(read);

export function markUndone(db: Db, number: number, isUndone: boolean): void {
  db.update(planEdit).set({ isUndone }).where(eq(planEdit.number, number)).run();
}

/** Forgets an edit that cannot be undone any more. */
export function forgetPlanEdit(db: Db, number: number): void {
  db.delete(planEdit).where(eq(planEdit.number, number)).run();
}
