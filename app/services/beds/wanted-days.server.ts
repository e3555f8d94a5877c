import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import type { FieldErrors } from "~/core/issues";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { wantedById } from "~/db/beds/wanted-days.server";
import { editDays } from "../horizon/edit-plan.server";

export const WantedForm = z.object({ plantingId: z.string().min(1), wantedOn: IsoDay });

/** Notes that the household wants a planting picked on a day; whether it can be, the plan says. */
export function wantOn(
  db: Db,
  row: GardenRow,
  { plantingId, wantedOn }: z.infer<typeof WantedForm>,
): { status: "noted" } | { status: "refused"; errors: FieldErrors } {
  // prettier-ignore
  const outcome = editDays(db, row, [{ plantingId, day: wantedOn, to: "pick", slot: null }]);
  return outcome.status === "noted" ? { status: "noted" } : { status: "refused", errors: { wantedOn: outcome.sentence } }; // prettier-ignore
}

/** Leaves a day of a planting to the plan again; false where nothing was asked of it. */
export function unwant(db: Db, row: GardenRow, plantingId: string, id: string): boolean {
  const wanted = wantedById(db, id);
  if (wanted?.plantingId !== plantingId) return false;
  return editDays(db, row, [{ plantingId, day: wanted.day, to: "free", slot: null }]).status === "noted";
}
