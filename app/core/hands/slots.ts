import { z } from "zod";

export const SLOTS = ["morning", "midday", "evening"] as const;
export const Slot = z.enum(SLOTS);
export type Slot = z.infer<typeof Slot>;

/** Clock hours of each part of the day, minutes since midnight; morning is the handbook's usual round (our judgement). */
export const SLOT_HOURS: Record<Slot, readonly [number, number]> = {
  morning: [360, 600],
  midday: [600, 960],
  evening: [960, 1260],
};

const Minutes = z.number().min(0).max(1440);
const BySlot = z.object({
  morning: Minutes,
  midday: Minutes,
  evening: Minutes,
  /** Told for the day as a whole: it finds an hour with light. */
  anyTime: z.boolean().optional(),
});

/** Minutes of free hands in each part of a day; a bare number is taken as the evening's, dark or not. */
export const SlotMinutes = z.union([
  BySlot,
  Minutes.transform((minutes): z.infer<typeof BySlot> => ({ morning: 0, midday: 0, evening: minutes, anyTime: true })),
]);
export type SlotMinutes = z.infer<typeof BySlot>;

/** The part of the day that a time lies in, or the nearest one; minutes since midnight. */
export function slotAt(minutes: number): Slot {
  return SLOTS.find((slot) => minutes < SLOT_HOURS[slot][1]) ?? "evening";
}

/** Share of a slot that lies within a stretch of the day, minutes since midnight. */
export function shareWithin(slot: Slot, from: number, to: number): number {
  const [start, end] = SLOT_HOURS[slot];
  return Math.max(0, Math.min(end, to) - Math.max(start, from)) / (end - start);
}
