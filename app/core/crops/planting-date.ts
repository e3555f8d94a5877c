import { isValid, parse } from "date-fns";
import { addDays, type IsoDay } from "../calendar";

/** Which of day and month a household writes first. */
export type DayOrder = "day first" | "month first";

const MONTH = "jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?"; // prettier-ignore
const NAMED = ["d MMM yyyy", "d MMMM yyyy", "MMM d yyyy", "MMMM d yyyy"];
const NUMBERS: Record<DayOrder, string[]> = {
  "day first": ["yyyy-MM-dd", "d.M.yyyy", "d/M/yyyy", "d-M-yyyy"],
  "month first": ["yyyy-MM-dd", "M/d/yyyy", "M-d-yyyy", "d.M.yyyy"],
};
const AGO =
  /^(\d{1,3}|a|an|one|two|three|four|five|six|seven|eight|nine|ten|twelve)\s+(day|week|month)s?\s+(?:ago|old)$/i;
const COUNTS: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, twelve: 12 }; // prettier-ignore
const UNIT_DAYS: Record<string, number> = { day: 1, week: 7, month: 30 };
const EARLIEST_YEAR = 1900;

const ISO = (date: Date) =>
  [date.getFullYear(), String(date.getMonth() + 1).padStart(2, "0"), String(date.getDate()).padStart(2, "0")].join("-");

/** The commas inside a date go, so that they part nothing else: "May 20, 2026". */
export const joinDates = (text: string): string =>
  text.replace(new RegExp(`\\b((?:${MONTH})\\.?\\s+\\d{1,2}(?:st|nd|rd|th)?),\\s+(\\d{4})\\b`, "gi"), "$1 $2");

/**
 * A date as typed. Without a year it is the latest such day not after today; numbers alone are read in the household's
 * order, in the other one only where theirs cannot be.
 *
 * @returns undefined for what is no day
 */
export function readPlantingDay(text: string, today: IsoDay, order: DayOrder): IsoDay | undefined {
  const tidy = text
    .trim()
    .replace(/(\d)(st|nd|rd|th)\b/i, "$1")
    .replace(/\bsept\b/i, "Sep")
    .replace(/\.(?=\s)/g, "");
  if (/^today$/i.test(tidy)) return today;
  if (/^yesterday$/i.test(tidy)) return addDays(today, -1);
  const ago = AGO.exec(tidy);
  if (ago)
    return addDays(today, -(COUNTS[ago[1]!.toLowerCase()] ?? Number(ago[1])) * UNIT_DAYS[ago[2]!.toLowerCase()]!);
  const other = order === "day first" ? "month first" : "day first";
  const year = Number(today.slice(0, 4));
  const asTyped = firstDay(tidy, [...NUMBERS[order], ...NAMED, ...NUMBERS[other]]);
  if (asTyped) return asTyped;
  const apart = /^\d{1,2}([/-])\d{1,2}$/.exec(tidy)?.[1] ?? " ";
  for (const y of [year, year - 1]) {
    const day = firstDay(`${tidy}${apart}${y}`, [...NUMBERS[order], ...NAMED, ...NUMBERS[other]]);
    if (day && day <= today) return day;
  }
  return undefined;
}

function firstDay(text: string, forms: readonly string[]): IsoDay | undefined {
  for (const form of forms) {
    const date = parse(text, form, new Date(2000, 0, 1));
    if (isValid(date) && date.getFullYear() > EARLIEST_YEAR) return ISO(date);
  }
  return undefined;
}
