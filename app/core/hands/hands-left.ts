import { z } from "zod";
import { ClockTime, minutesOf } from "../calendar";
import type { DayHands } from "./day-hands";
import { SLOTS, SLOT_HOURS, slotAt } from "./slots";

/** How far today has gone: the garden's clock, and the minutes that rounds have used, each with when it ended. */
export const DayNow = z.object({
  clock: ClockTime,
  used: z.array(z.object({ minutes: z.number().min(0), until: ClockTime })).default([]),
});
export type DayNow = z.infer<typeof DayNow>;

/**
 * What is left of today's hands: slots gone by are gone, of the one that runs at most what is left of it. What a round
 * has used is taken from the part of the day it ended in; what was not free there, from the parts still to come.
 *
 * @returns minutes by slot, whole
 */
export function handsLeft(hands: DayHands, { clock, used }: DayNow): DayHands {
  const now = minutesOf(clock);
  const slots = { ...hands.slots };
  for (const { minutes, until } of used) {
    let left = minutes;
    const own = SLOTS.indexOf(slotAt(minutesOf(until)));
    for (const slot of SLOTS.slice(own)) {
      const taken = Math.min(slots[slot], left);
      slots[slot] -= taken;
      left -= taken;
    }
  }
  for (const slot of SLOTS) {
    const [start, end] = SLOT_HOURS[slot];
    slots[slot] = Math.floor(Math.max(0, Math.min(slots[slot], end - Math.max(start, now))));
  }
  return { ...hands, slots, minutes: slots.morning + slots.midday + slots.evening };
}
