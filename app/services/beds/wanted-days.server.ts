import { z } from "zod";
import { IsoDay, addDays } from "~/core/calendar";
import type { FieldErrors } from "~/core/issues";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { endOf, seasonsOf } from "~/db/beds/seasons.server";
import { deleteWantedDay, insertWantedDay } from "~/db/beds/wanted-days.server";
import { todayOf } from "../garden/clock.server";

export const WantedForm = z.object({ plantingId: z.string().min(1), wantedOn: IsoDay });

const MOST_AHEAD_DAYS = 366;

/** Notes that the household wants a planting picked on a day; whether it can be, the plan says. */
export function wantOn(
  db: Db,
  row: GardenRow,
  { plantingId, wantedOn }: z.infer<typeof WantedForm>,
): { status: "noted" } | { status: "refused"; errors: FieldErrors } {
  // prettier-ignore
  const today = todayOf(row);
  const season = seasonsOf(db, plantingId).at(-1);
  if (!season || endOf(db, season.id)) return { status: "refused", errors: { form: "It does not grow any more." } };
  if (wantedOn < today) return { status: "refused", errors: { wantedOn: "That day is over." } };
  if (wantedOn > addDays(today, MOST_AHEAD_DAYS)) return { status: "refused", errors: { wantedOn: "That is more than a year ahead." } }; // prettier-ignore
  insertWantedDay(db, { id: crypto.randomUUID(), plantingId, day: wantedOn });
  return { status: "noted" };
}

export const unwant = (db: Db, plantingId: string, id: string): boolean => deleteWantedDay(db, plantingId, id);
