import { dayNumber, daysBetween, weekday, type IsoDay } from "./day";

const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;
const MONTHS = "January February March April May June July August September October November December".split(" ");

/** Weekday in full, "Thursday". */
export function weekdayName(day: IsoDay): string {
  return WEEKDAYS[weekday(day)] ?? "";
}

/** "Thu 24 Sep"; the year is added when it is not `year`. */
export function shortDay(day: IsoDay, year?: string): string {
  const [y, m, d] = day.split("-");
  const month = (MONTHS[Number(m) - 1] ?? "").slice(0, 3);
  return `${weekdayName(day).slice(0, 3)} ${Number(d)} ${month}${year && y !== year ? ` ${y}` : ""}`;
}

/** "10 May"; the year is added when it is not `year`. For days long gone, whose weekday tells nothing. */
export function dayAndMonth(day: IsoDay, year: string): string {
  return shortDay(day, year).slice(4);
}

/** "Sunday, 20 September". */
export function longDay(day: IsoDay): string {
  const [, m, d] = day.split("-");
  return `${weekdayName(day)}, ${Number(d)} ${MONTHS[Number(m) - 1]}`;
}

/**
 * A day as a gardener says it, seen from today: "today", "tomorrow", "Thursday" within the week,
 * "Thu 8 Oct" beyond; "yesterday" or the date for the past.
 */
export function sayDay(day: IsoDay, today: IsoDay): string {
  const ahead = daysBetween(today, day);
  if (ahead === 0) return "today";
  if (ahead === 1) return "tomorrow";
  if (ahead === -1) return "yesterday";
  if (ahead > 1 && ahead < 7) return weekdayName(day);
  return shortDay(day, today.slice(0, 4));
}

/** The night after a day, "Wednesday night"; "tonight" for today's. */
export function sayNight(dayBefore: IsoDay, today: IsoDay): string {
  if (dayNumber(dayBefore) === dayNumber(today)) return "tonight";
  return `${daysBetween(today, dayBefore) < 7 ? weekdayName(dayBefore) : shortDay(dayBefore)} night`;
}
