import { z } from "zod";
import { IsoDay, addDays } from "~/core/calendar";
import type { FieldErrors } from "~/core/issues";
import { pickBan, type PickBan } from "~/core/hazards";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { insertTreatment, treatmentsOf, withdrawTreatment } from "~/db/beds/treatments.server";
import { todayOf } from "../garden/clock.server";
import { seasonFor } from "./seasons.server";
import { sayStart, shortDay } from "~/views/words";

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

export type TreatmentOutcome = { status: "logged"; until: IsoDay } | { status: "refused"; errors: FieldErrors };

/** Logs a treatment: no pick of the planting until the label's interval is over. */
export function logTreatment(db: Db, row: GardenRow, form: z.infer<typeof TreatmentForm>): TreatmentOutcome {
  const refuse = (errors: FieldErrors): TreatmentOutcome => ({ status: "refused", errors });
  const { plantingId, ...treated } = form;
  const today = todayOf(row);
  const season = seasonFor(db, plantingId, form.treatedOn);
  if (!season) return refuse({ form: "This planting is no longer there." });
  if (form.treatedOn > today) return refuse({ treatedOn: "That day is still to come." });
  if (season.startStanding === "told" && form.treatedOn < season.startedOn)
    return refuse({ treatedOn: `On ${shortDay(form.treatedOn, today)} it was not there yet: it was ${sayStart(season, today)}.` }); // prettier-ignore
  insertTreatment(db, { id: crypto.randomUUID(), seasonId: season.id, ...treated });
  return { status: "logged", until: addDays(form.treatedOn, form.intervalDays) };
}

/** The ban that holds on a planting on a day, if any, whatever season it was treated in. */
export function banOn(db: Db, plantingId: string, day: IsoDay): PickBan | undefined {
  return pickBan(
    treatmentsOf(db, plantingId).filter((t) => t.withdrawnAt === null),
    day,
  );
}

/** Takes a treatment typed by mistake out of force, or puts it back; it stays in the record. */
export function undoTreatment(db: Db, plantingId: string, id: string, putBack: boolean): boolean {
  return withdrawTreatment(db, plantingId, id, putBack);
}
