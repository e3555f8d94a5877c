import type { IsoDay } from "../calendar";
import { handsOn } from "./day-hands";
import type { HandsRules } from "./hands-rules";
import { SLOTS, type Slot } from "./slots";

/** Minutes of a day that differ from its usual ones. */
export type OwnMinutes = Partial<Record<Slot, number>>;

/**
 * What a day needs minutes of its own for, so that it has so many in one part of it, or in all shared out as before.
 *
 * @param minutes - whole
 */
export function ownMinutes(rules: HandsRules, day: IsoDay, slot: Slot | "all", minutes: number): OwnMinutes {
  const before = handsOn(rules, day).slots;
  const otherwise = handsOn({ ...rules, exceptions: [] }, day).slots;
  const next = slot === "all" ? shared(before, minutes) : { ...before, [slot]: minutes };
  return Object.fromEntries(SLOTS.filter((s) => next[s] !== otherwise[s]).map((s) => [s, next[s]]));
}

/** The rules with a day's own minutes in the place of those it had. */
export function withOwnMinutes<R extends HandsRules>(rules: R, day: IsoDay, own: OwnMinutes): R {
  const others = rules.exceptions.filter((e) => e.day !== day);
  const ofDay = SLOTS.flatMap((slot) => (own[slot] === undefined ? [] : [{ day, slot, minutes: own[slot] }]));
  return { ...rules, exceptions: [...others, ...ofDay] };
}

/** A day's total shared out as before; a day that had none gets it in the evening. */
function shared(before: Record<Slot, number>, total: number): Record<Slot, number> {
  const sum = SLOTS.reduce((a, s) => a + before[s], 0);
  if (sum === 0) return { morning: 0, midday: 0, evening: total };
  const morning = Math.round((before.morning / sum) * total);
  const midday = Math.min(total - morning, Math.round((before.midday / sum) * total));
  return { morning, midday, evening: total - morning - midday };
}
