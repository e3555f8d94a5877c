import { z } from "zod";
import { IsoDay, RecordDay } from "~/core/calendar";
import { SLOTS, Slot, ownMinutes } from "~/core/hands";
import type { Db } from "~/db/client.server";
import { handsRules, replaceDayMinutes, saveSlotMinutes } from "~/db/sky/hands.server";

const Minutes = z.coerce
  .number("Minutes as a number.")
  .int("Whole minutes.")
  .min(0, "Minutes cannot be below zero.")
  .max(720, "More than 12 hours: check the number.");

/** Twenty-one numbers: morning, midday and evening of Monday, then of Tuesday … */
export const WeekForm = z.object({ minutes: z.array(Minutes).length(7 * SLOTS.length, "Seven days of three parts.") });

/** Sets the minutes of a usual week. */
export function setWeek(db: Db, { minutes }: z.infer<typeof WeekForm>): void {
  saveSlotMinutes(
    db,
    minutes.map((value, n) => ({
      weekday: Math.floor(n / SLOTS.length),
      slot: SLOTS[n % SLOTS.length]!,
      minutes: value,
    })),
  );
}

/** Minutes of one day: of one part, or of the whole day shared out as on its usual weekday. */
export const DayForm = z.object({
  day: RecordDay,
  slot: z.union([Slot, z.literal("all")]).default("all"),
  minutes: Minutes,
});

export function setDay(db: Db, { day, slot, minutes }: z.infer<typeof DayForm>): void {
  replaceDayMinutes(db, day, ownMinutes(handsRules(db), day, slot, minutes));
}

/** Back to the weekday's usual. */
export function forgetDay(db: Db, day: IsoDay): void {
  replaceDayMinutes(db, day, {});
}
