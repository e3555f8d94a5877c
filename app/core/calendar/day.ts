import { z } from "zod";

/** A day of the garden's own calendar, "2026-09-20". Days that do not exist (31 June) are refused. */
export const IsoDay = z.iso.date({ error: "That is not a day in the calendar. Write it like 2026-05-03." });
export type IsoDay = z.infer<typeof IsoDay>;

/** Days earlier than this, or later than that, are slips of a date or of a clock. */
export const FIRST_DAY = "1950-01-01";
export const LAST_DAY = "2199-12-31";

/** A day that a garden's record may speak of. */
export const RecordDay = IsoDay.refine(
  (d) => d >= FIRST_DAY && d <= LAST_DAY,
  "That year cannot be right. Write it like 2026-05-03.",
);

const MS_PER_DAY = 86_400_000;

/** Days asked for before: a garden asks for the same few hundred over and over. */
const numbers = new Map<IsoDay, number>();
const days = new Map<number, IsoDay>();
const MOST_KEPT = 20_000;

function remember(day: IsoDay, number: number): void {
  if (numbers.size >= MOST_KEPT) {
    numbers.clear();
    days.clear();
  }
  numbers.set(day, number);
  days.set(number, day);
}

/**
 * Days since 1 January 1970 of a calendar day, free of clock changes.
 *
 * @param day - ISO day, "2026-09-20"
 * @returns whole number, may be negative
 * @throws {RangeError} when `day` is not an ISO day: a caller's mistake
 */
export function dayNumber(day: IsoDay): number {
  const known = numbers.get(day);
  if (known !== undefined) return known;
  const ms = Date.parse(`${day}T00:00:00Z`);
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day) || Number.isNaN(ms)) throw new RangeError(`day: ${day} is not an ISO day`);
  remember(day, ms / MS_PER_DAY);
  return ms / MS_PER_DAY;
}

/**
 * Calendar day of a day number.
 *
 * @param number - whole days since 1 January 1970
 * @returns ISO day
 * @throws {RangeError} for a part of a day: a caller's mistake
 */
export function isoDay(number: number): IsoDay {
  const known = days.get(number);
  if (known !== undefined) return known;
  // A part of a day would be remembered as the number of that day.
  if (!Number.isInteger(number)) throw new RangeError(`number: ${number} is no whole day`);
  const day = new Date(number * MS_PER_DAY).toISOString().slice(0, 10);
  remember(day, number);
  return day;
}

/** The day `days` after `day` (before it when negative). */
export function addDays(day: IsoDay, days: number): IsoDay {
  return isoDay(dayNumber(day) + days);
}

/** Whole days from `from` to `to`; negative when `to` is earlier. */
export function daysBetween(from: IsoDay, to: IsoDay): number {
  return dayNumber(to) - dayNumber(from);
}

/** Day of the week, Monday 0 to Sunday 6. */
export function weekday(day: IsoDay): number {
  return (((dayNumber(day) + 3) % 7) + 7) % 7;
}

/** Day of the year, 1 January = 1, to 366. */
export function dayOfYear(day: IsoDay): number {
  return daysBetween(`${day.slice(0, 4)}-01-01`, day) + 1;
}

/**
 * Today in the garden, whatever the server's own clock zone.
 *
 * @param now - the instant, passed in since the core has no clock
 * @param timeZone - IANA name, "Europe/Dublin"
 * @throws {RangeError} when the zone is unknown
 */
export function dayInZone(now: Date, timeZone: string): IsoDay {
  const parts = new Intl.DateTimeFormat("en-CA", { timeZone, year: "numeric", month: "2-digit", day: "2-digit" });
  return parts.format(now);
}
