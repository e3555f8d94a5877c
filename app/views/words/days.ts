import { dayNumber, daysBetween, weekday, type IsoDay } from "~/core/calendar";
import type { Slot } from "~/core/hands";

const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;
const MONTHS = "January February March April May June July August September October November December".split(" ");

/** Weekday in full, "Thursday". */
export function weekdayName(day: IsoDay): string {
  return WEEKDAYS[weekday(day)] ?? "";
}

/** "Th 24": the head of a column. */
export function columnDay(day: IsoDay): string {
  return `${weekdayName(day).slice(0, 2)} ${Number(day.slice(8))}`;
}

/** "Thu 24 Sep", with the year when it is not today's. */
export function shortDay(day: IsoDay, today: IsoDay): string {
  return `${weekdayName(day).slice(0, 3)} ${dayAndMonth(day, today)}`;
}

/** "10 May", with the year when it is not today's. For days long gone, whose weekday tells nothing. */
export function dayAndMonth(day: IsoDay, today: IsoDay): string {
  const [y, m, d] = day.split("-");
  const month = (MONTHS[Number(m) - 1] ?? "").slice(0, 3);
  return `${Number(d)} ${month}${y === today.slice(0, 4) ? "" : ` ${y}`}`;
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
  return shortDay(day, today);
}

const SLOT_WORDS: Record<Slot, string> = {
  morning: "in the morning",
  midday: "about midday",
  evening: "in the evening",
};

/** A part of the day as it stands behind a day: "in the morning". */
export const saySlot = (slot: Slot): string => SLOT_WORDS[slot];

/** The night after a day, "Wednesday night"; "tonight" for today's. */
export function sayNight(dayBefore: IsoDay, today: IsoDay): string {
  if (dayNumber(dayBefore) === dayNumber(today)) return "tonight";
  return `${daysBetween(today, dayBefore) < 7 ? weekdayName(dayBefore) : shortDay(dayBefore, today)} night`;
}

const EVENTS = { sown: "sown", planted: "planted", blossom: "in blossom", growth: "growing" } as const;

/** A start: "sown 10 May", "sown between 1 and 20 May", "in blossom about 10 April". */
export function sayStart(
  start: { startEvent: keyof typeof EVENTS; startedOn: IsoDay; startedTo: IsoDay | null; startStanding: string },
  today: IsoDay,
): string {
  const event = EVENTS[start.startEvent];
  const from = dayAndMonth(start.startedOn, today);
  if (start.startedTo) return `${event} between ${from} and ${dayAndMonth(start.startedTo, today)}`;
  if (start.startStanding === "told") return `${event} ${start.startEvent === "growth" || start.startEvent === "blossom" ? "from " : ""}${from}`; // prettier-ignore
  return `${event} from about ${from}, by the climate`;
}
