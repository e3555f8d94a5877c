import { addDays, daysBetween, minutesOf, weekday, type IsoDay } from "../calendar";
import type { HandsRules, Helper, Trip } from "./hands-rules";
import { SLOTS, shareWithin, type Slot, type SlotMinutes } from "./slots";

const DAY_MINUTES = 1440;

/** Free hands of one day, and why there are fewer than usual. */
export interface DayHands {
  day: IsoDay;
  /** Minutes left in each part of the day. */
  slots: SlotMinutes;
  minutes: number;
  /** Nobody of the household is there all day. */
  away: boolean;
  trip: string | null;
  /** Who stands in: set on days away when a helper comes. */
  helper: Helper | null;
  /** What takes time from the usual, by name. */
  because: string[];
}

/**
 * Free hands of a day: the week's usual or the day's own minutes, less what trips and busy times take of each slot,
 * in proportion; a helper's minutes on a day away.
 *
 * @returns minutes by slot, whole
 */
export function handsOn(rules: HandsRules, day: IsoDay): DayHands {
  const usual = rules.minutesByWeekday[weekday(day)]!;
  const trips = rules.trips.filter((t) => t.from <= day && day <= t.to);
  const because = new Set<string>();
  const slots = { morning: 0, midday: 0, evening: 0 };
  let here = 0;
  for (const slot of SLOTS) {
    const own = rules.exceptions.find((e) => e.day === day && e.slot === slot);
    let share = trips.length > 0 ? Math.min(...trips.map((t) => shareAtHome(t, day, slot))) : 1;
    if (share < 1) for (const t of trips) because.add(t.name);
    here += share;
    for (const b of rules.busy) {
      const taken = shareTaken(b.from, b.to, day, slot);
      if (taken > 0) because.add(b.name);
      share = Math.max(0, share - taken);
    }
    slots[slot] = Math.round((own?.minutes ?? usual[slot]) * share);
  }
  const away = trips.length > 0 && here < 0.02;
  const helper = away ? helperOn(rules, day) : null;
  if (helper) slots.morning = helper.minutes;
  return {
    day,
    slots,
    minutes: slots.morning + slots.midday + slots.evening,
    away,
    trip: trips[0]?.name ?? null,
    helper,
    because: [...because],
  };
}

function shareAtHome(trip: Trip, day: IsoDay, slot: Slot): number {
  const gone = day === trip.from && trip.leaveAt ? minutesOf(trip.leaveAt) : 0;
  const back = day === trip.to && trip.backAt ? minutesOf(trip.backAt) : DAY_MINUTES;
  return Math.max(0, 1 - shareWithin(slot, gone, back));
}

/** Share of a slot that a busy time takes; it may run over midnight or over days. */
function shareTaken(from: string, to: string, day: IsoDay, slot: Slot): number {
  if (to <= `${day}T00:00` || from >= `${addDays(day, 1)}T00:00`) return 0;
  const start = from.slice(0, 10) < day ? 0 : minutesOf(from.slice(11));
  const end = to.slice(0, 10) > day ? DAY_MINUTES : minutesOf(to.slice(11));
  return shareWithin(slot, start, end);
}

/** The helper whose turn it is on a day away. */
function helperOn(rules: HandsRules, day: IsoDay): Helper | null {
  const first = rules.trips.filter((t) => t.from <= day && day <= t.to).map((t) => t.from).sort()[0]; // prettier-ignore
  if (!first) return null;
  return rules.helpers.find((h) => h.minutes > 0 && daysBetween(first, day) % h.everyDays === 0) ?? null;
}
