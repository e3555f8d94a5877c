import { sayFiguresOf, type UnitSystem } from "~/core/units";
import { sayFigure } from "./figure";

const MONTH = "(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)(?:uary|ruary|ch|il|e|y|ust|tember|ober|ember)?";
const DAYS = new RegExp(String.raw`(?<![\w.])(\d{1,2})(–| to )(\d{1,2}) (${MONTH})(?!\w)`, "g");
const DAY = new RegExp(String.raw`(?<![\w.])(\d{1,2}) (${MONTH})(?: (\d{4}))?(?!\w)`, "g");

/** The month before the day. */
const monthFirst = (text: string) =>
  text
    .replace(DAYS, "$4 $1$2$3")
    .replace(DAY, (_, day: string, month: string, year?: string) => `${month} ${day}${year ? `, ${year}` : ""}`);

const CLOCK = /(?<![\w.:])([01]?\d|2[0-3]):([0-5]\d)(?![\d:])/g;

/** A time of the day by the household's clock: "06:30", "6:30 am". */
export function sayClock(clock: string, units: UnitSystem): string {
  if (units === "metric") return clock;
  return clock.replace(CLOCK, (_, hour: string, minute: string) => {
    const past = minute === "00" ? "" : `:${minute}`;
    return `${Number(hour) % 12 || 12}${past} ${Number(hour) < 12 ? "am" : "pm"}`;
  });
}

/**
 * Words in the household's units order of day and month, and clock: "2 °C colder" → "4 °F colder",
 * "20 May 2026" → "May 20, 2026", "18:30" → "6:30 pm".
 *
 * @param text - a sentence made of metric measures
 */
export function sayInUnits(text: string, units: UnitSystem): string {
  if (units === "metric" || !/\d/.test(text)) return text;
  return sayClock(monthFirst(sayFiguresOf(text, sayFigure(units))), units);
}

/** Parts that are no words: numbers of data, sources, what somebody typed. */
const NO_WORDS = new Set(["id", "keys", "path", "standing", "kind", "unit", "value", "name", "varieties", "at", "bed", "bedName", "variety", "note", "notes", "clock", "leaveAt", "backAt"]); // prettier-ignore

/** The same for every text of a page's data. */
export function inUnits<T>(value: T, units: UnitSystem): T {
  if (units === "metric") return value;
  if (typeof value === "string") return sayInUnits(value, units) as T;
  if (Array.isArray(value)) return value.map((v: unknown) => inUnits(v, units)) as T;
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, NO_WORDS.has(key) ? (v as unknown) : inUnits(v as unknown, units)])) as T; // prettier-ignore
}
