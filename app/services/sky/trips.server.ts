import { z } from "zod";
import { ClockTime, daysBetween, RecordDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import { allTrips, deleteTrip, forgetDayMinutes, insertTrip, updateTrip } from "~/db/sky/hands.server";

/** An hour typed or left empty. */
const hour = z
  .union([z.literal(""), ClockTime], "Write the hour like 14:30, or leave it empty.")
  .default("")
  .transform((t) => t || null);

const areDays = (...days: string[]) => days.every((d) => RecordDay.safeParse(d).success);

export const TripForm = z
  .object({
    id: z.string().default(""),
    name: z.string().trim().min(1, "Say where or why, in a word.").max(60, "Keep it under 60 letters."),
    from: RecordDay,
    to: RecordDay,
    leaveAt: hour,
    backAt: hour,
  })
  .refine((t) => t.to >= t.from, { error: "The trip ends before it starts.", path: ["to"] })
  // Refinements run on days that are none, too: those have their own sentence.
  .refine((t) => !areDays(t.from, t.to) || daysBetween(t.from, t.to) <= 366, {
    error: "Longer than a year: check the dates.",
    path: ["to"],
  })
  .refine((t) => t.from !== t.to || !t.leaveAt || !t.backAt || t.leaveAt < t.backAt, {
    error: "You would be back before you leave.",
    path: ["backAt"],
  });
export type TripForm = z.infer<typeof TripForm>;

/** Adds a trip, or changes the one it names: no hands while it lasts. */
export function saveTrip(db: Db, form: TripForm): { status: "saved" } | { status: "not there" } {
  const values = { name: form.name, fromDay: form.from, toDay: form.to, leaveAt: form.leaveAt, backAt: form.backAt };
  return db.transaction(() => {
    const before = allTrips(db).find((t) => t.id === form.id);
    if (form.id && !before) return { status: "not there" };
    const sameDays = before?.fromDay === form.from && before.toDay === form.to;
    // Minutes said for a day that is now away were said before it was.
    if (!sameDays) forgetDayMinutes(db, form.from, form.to);
    if (before) updateTrip(db, form.id, values);
    else insertTrip(db, { id: crypto.randomUUID(), ...values });
    return { status: "saved" };
  });
}

export function removeTrip(db: Db, id: string): boolean {
  return deleteTrip(db, id);
}
