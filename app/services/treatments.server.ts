import { and, desc, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { IsoDay, addDays, shortDay } from "~/core/calendar";
import { pickBan, type PickBan } from "~/core/hazards";
import type { Db } from "~/db/client.server";
import { planting, treatment, type GardenRow } from "~/db/schema.server";
import { todayOf } from "./clock.server";

export const TreatmentForm = z.object({
  plantingId: z.string().min(1),
  product: z.string().trim().min(1, "Say what was used, as on its label.").max(80, "Keep it under 80 letters."),
  treatedOn: IsoDay,
  intervalDays: z
    .string()
    .trim()
    .regex(/^\d+$/, "Whole days, as on the label; 0 when the label says none.")
    .transform(Number)
    .refine((d) => d <= 365, "More than a year: check the label."),
});

export type TreatmentOutcome =
  { status: "logged"; until: IsoDay } | { status: "refused"; errors: Partial<Record<string, string>> };

/** Logs a treatment: no pick of the planting until the label's interval is over. */
export function logTreatment(db: Db, row: GardenRow, form: z.infer<typeof TreatmentForm>): TreatmentOutcome {
  const target = db.select().from(planting).where(eq(planting.id, form.plantingId)).get();
  if (!target) return { status: "refused", errors: { form: "This planting is no longer there." } };
  if (form.treatedOn > todayOf(row)) return { status: "refused", errors: { treatedOn: "That day is still to come." } };
  if (form.treatedOn < target.startedOn)
    return {
      status: "refused",
      errors: { treatedOn: `It was only ${target.startEvent} on ${shortDay(target.startedOn)}.` },
    };
  db.insert(treatment).values({ id: crypto.randomUUID(), ...form, loggedAt: new Date().toISOString() }).run(); // prettier-ignore
  return { status: "logged", until: addDays(form.treatedOn, form.intervalDays) };
}

/** Takes a treatment typed by mistake out of force, or puts it back; it stays in the record. */
export function withdrawTreatment(db: Db, id: string, putBack: boolean): void {
  db.update(treatment)
    .set({ withdrawnAt: putBack ? null : new Date().toISOString() })
    .where(eq(treatment.id, id))
    .run();
}

/** Treatments of a planting, the newest first, taken back ones too. */
export function treatmentsOf(db: Db, plantingId: string) {
  return db
    .select()
    .from(treatment)
    .where(eq(treatment.plantingId, plantingId))
    .orderBy(desc(treatment.treatedOn))
    .all()
    .map((t) => ({ ...t, until: addDays(t.treatedOn, t.intervalDays) }));
}

/** The ban that holds on a planting on a day, if any. */
export function banOn(db: Pick<Db, "select">, plantingId: string, day: IsoDay): PickBan | undefined {
  const standing = db
    .select()
    .from(treatment)
    .where(and(eq(treatment.plantingId, plantingId), isNull(treatment.withdrawnAt)))
    .all();
  return pickBan(standing, day);
}
