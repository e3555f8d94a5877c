import { asc, desc, eq, lte } from "drizzle-orm";
import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import { DAY_ASKED } from "~/core/garden";
import { Slot } from "~/core/hands";
import type { Db } from "../db.server";
import { planEdit } from "../schema/index.server";

/** What is asked of a day. */
const Asked = z.object({ to: z.enum(DAY_ASKED), slot: Slot.nullable() });
export type Asked = z.infer<typeof Asked>;

const Changes = z.array(z.object({ day: IsoDay, before: Asked, after: Asked }));
export type Changes = z.infer<typeof Changes>;

export interface PlanEdit {
  number: number;
  plantingId: string;
  changes: Changes;
}

/** Edits that are kept to be undone: our judgement. */
const KEPT = 200;

const read = ({ number, plantingId, changes }: typeof planEdit.$inferSelect): PlanEdit => ({
  number,
  plantingId,
  changes: Changes.parse(JSON.parse(changes)),
});

/** Notes an edit; what was undone before it cannot be done again after it. */
export function insertPlanEdit(db: Db, edit: Omit<PlanEdit, "number">, madeAt: string): void {
  db.delete(planEdit).where(eq(planEdit.isUndone, true)).run();
  const { number } = db.insert(planEdit).values({ plantingId: edit.plantingId, changes: JSON.stringify(edit.changes), madeAt }).returning().get(); // prettier-ignore
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
