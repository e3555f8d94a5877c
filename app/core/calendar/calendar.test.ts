import { differenceInCalendarDays, getDayOfYear, getISODay, parseISO } from "date-fns";
import { expect, test } from "vitest";
import { IsoDay, addDays, dayInZone, dayNumber, dayOfYear, daysBetween, isoDay, weekday } from ".";

const DAYS = [
  "2024-02-28",
  "2024-02-29",
  "2024-12-31",
  "2025-01-01",
  "2025-03-30",
  "2025-10-26",
  "2026-09-19",
  "2028-03-01",
];

test.each(DAYS)("%s agrees with date-fns on weekday, day of the year and distances", (day) => {
  expect(weekday(day)).toBe(getISODay(parseISO(day)) - 1);
  expect(dayOfYear(day)).toBe(getDayOfYear(parseISO(day)));
  for (const other of DAYS)
    expect(daysBetween(other, day)).toBe(differenceInCalendarDays(parseISO(day), parseISO(other)));
  expect(isoDay(dayNumber(day))).toBe(day);
});

test("days cross months, years and clock changes", () => {
  expect(addDays("2026-12-31", 1)).toBe("2027-01-01");
  expect(addDays("2024-03-01", -1)).toBe("2024-02-29");
  expect(addDays("2025-10-25", 2)).toBe("2025-10-27");
});

test.each(["2026-02-29", "2026-13-01", "2026-06-31", "26-06-01", "yesterday", ""])("“%s” is not a day", (text) => {
  expect(IsoDay.safeParse(text).success).toBe(false);
});
test("a caller's slip is thrown", () => expect(() => dayNumber("soon")).toThrow(RangeError));

test("today is the garden's, on either side of midnight and of the world", () => {
  const now = new Date("2026-09-19T23:30:00Z");
  expect(dayInZone(now, "Europe/London")).toBe("2026-09-20");
  expect(dayInZone(now, "America/Los_Angeles")).toBe("2026-09-19");
  expect(dayInZone(now, "Pacific/Auckland")).toBe("2026-09-20");
  expect(() => dayInZone(now, "Garden/Shed")).toThrow(RangeError);
});
