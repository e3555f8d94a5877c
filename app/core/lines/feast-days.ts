import { addDays, dayNumber, isoDay, type IsoDay } from "../calendar";
import { lastOfMonth, oneDay, two, yearOf, type DaySetting, type DaySpan } from "./day-setting";

/** Feasts on the nth weekday of a month (Monday 0; −1 the last), as they are kept in the United States. */
const NTH: readonly [RegExp, number, number, number][] = [
  [/memorial day/i, 5, 0, -1],
  [/labou?r day/i, 9, 0, 1],
  [/mother/i, 5, 6, 2],
  [/father/i, 6, 6, 3],
  [/thanksgiving/i, 11, 3, 4],
  [/columbus day/i, 10, 0, 2],
  [/presidents/i, 2, 0, 3],
];
/** Names of feasts, as a pattern. */
export const FEASTS = "(?:memorial day|labou?r day|mother'?s'? day|father'?s'? day|thanksgiving|columbus day|presidents'? day|easter|good friday|christmas(?: day)?|boxing day|halloween|new year(?:'s day)?|st\\.? patrick'?s day|valentine'?s day|independence day|the fourth of july)"; // prettier-ignore

/** Sunday of Easter by the Gregorian rule (the anonymous computus, as in Meeus, Astronomical Algorithms; from memory). */
export function easterOf(year: number): IsoDay {
  const [a, b, c] = [year % 19, Math.floor(year / 100), year % 100];
  const h = (19 * a + b - Math.floor(b / 4) - Math.floor((b - Math.floor((b + 8) / 25) + 1) / 3) + 15) % 30;
  const l = (32 + 2 * (b % 4) + 2 * Math.floor(c / 4) - h - (c % 4)) % 7;
  const m = Math.floor((a + 11 * h + 22 * l) / 451);
  const n = h + l - 7 * m + 114;
  return `${year}-${two(Math.floor(n / 31))}-${two((n % 31) + 1)}`;
}

const FIXED: readonly [RegExp, string][] = [
  [/christmas/i, "12-25"],
  [/boxing/i, "12-26"],
  [/halloween/i, "10-31"],
  [/new year/i, "01-01"],
  [/patrick/i, "03-17"],
  [/valentine/i, "02-14"],
  [/independence|fourth of july/i, "07-04"],
];

function nthWeekday(year: number, [, month, day, nth]: (typeof NTH)[number]): IsoDay {
  if (nth > 0) {
    const first = dayNumber(`${year}-${two(month)}-01`);
    return isoDay(first + ((day - ((first + 3) % 7) + 7) % 7) + 7 * (nth - 1));
  }
  const last = dayNumber(lastOfMonth(year, month));
  return isoDay(last - ((((last + 3) % 7) - day + 7) % 7));
}

/** The day of a feast: in the year told, else the latest that has been. */
export function feast([text]: RegExpExecArray, { today, order }: DaySetting): DaySpan | undefined {
  const nth = NTH.find(([name]) => name.test(text));
  // Elsewhere they fall on other days, or are not kept.
  if (nth && order === "day first") return undefined;
  const fixed = FIXED.find(([name]) => name.test(text))?.[1];
  const on = (year: number) =>
    nth
      ? nthWeekday(year, nth)
      : fixed
        ? `${year}-${fixed}`
        : addDays(easterOf(year), /good friday/i.test(text) ? -2 : 0);
  const told = /(?:19|20)\d\d|['’]\d\d/.exec(text)?.[0];
  if (told) return oneDay(on(Number(told.replace(/\D/g, "").padStart(4, "20"))));
  return oneDay(on(yearOf(today)) <= today ? on(yearOf(today)) : on(yearOf(today) - 1));
}
