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
  /** They were told for the day as a whole: dusk and dawn do not shut them. */
  anyTime: boolean;
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
  const gone = trips.map((t) => awayWithin(t, day));
  const busy = rules.busy.flatMap((b) => ({ name: b.name, taken: takenWithin(b.from, b.to, day) }));
  for (const slot of SLOTS) {
    const home = 1 - shareOf(slot, gone);
    if (home < 1) for (const t of trips) because.add(t.name);
    here += home;
    for (const b of busy) if (shareOf(slot, [b.taken]) > 0) because.add(b.name);
    // Minutes said for this very day were said knowing what else there is.
    const own = rules.exceptions.find((e) => e.day === day && e.slot === slot);
    const share = 1 - shareOf(slot, [...gone, ...busy.map((b) => b.taken)]);
    slots[slot] = own ? own.minutes : Math.round(usual[slot] * share);
  }
  const away = trips.length > 0 && here < 0.02;
  const helper = away ? helperOn(rules, day) : null;
  // So were a helper's: they are not told again for the day.
  const isOwn = rules.exceptions.some((e) => e.day === day && e.slot === "morning");
  if (helper && !isOwn) slots.morning = helper.minutes;
  return {
    day,
    slots,
    minutes: slots.morning + slots.midday + slots.evening,
    anyTime: usual.anyTime ?? false,
    away,
    trip: trips[0]?.name ?? null,
    helper,
    because: [...because],
  };
}

type Stretch = readonly [from: number, to: number];

/** Minutes of a day that a trip takes. */
function awayWithin(trip: Trip, day: IsoDay): Stretch {
  return [
    day === trip.from && trip.leaveAt ? minutesOf(trip.leaveAt) : 0,
    day === trip.to && trip.backAt ? minutesOf(trip.backAt) : DAY_MINUTES,
  ];
}

/** Minutes of a day that a busy time takes; it may run over midnight or over days. */
function takenWithin(from: string, to: string, day: IsoDay): Stretch {
  if (to <= `${day}T00:00` || from >= `${addDays(day, 1)}T00:00`) return [0, 0];
  const start = from.slice(0, 10) < day ? 0 : minutesOf(from.slice(11));
  const end = to.slice(0, 10) > day ? DAY_MINUTES : minutesOf(to.slice(11));
  return [start, end];
}

/** Share of a slot that some stretches take together: where they overlap, they take it once. */
function shareOf(slot: Slot, stretches: readonly Stretch[]): number {
  let [share, reached] = [0, 0];
  for (const [from, to] of [...stretches].sort(([a], [b]) => a - b)) {
    share += to > reached ? shareWithin(slot, Math.max(from, reached), to) : 0;
    reached = Math.max(reached, to);
  }
  return Math.min(1, share);
}

/** The helper whose turn it is on a day away. */
function helperOn(rules: HandsRules, day: IsoDay): Helper | null {
  const first = rules.trips.filter((t) => t.from <= day && day <= t.to).map((t) => t.from).sort()[0]; // prettier-ignore
  if (!first) return null;
  return rules.helpers.find((h) => h.minutes > 0 && daysBetween(first, day) % h.everyDays === 0) ?? null;
}
