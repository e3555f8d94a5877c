import { expect, test } from "vitest";
import { handsLeft, handsOn, type HandsRules } from ".";

const usual = { morning: 30, midday: 0, evening: 40 };
const rules: HandsRules = { minutesByWeekday: Array<typeof usual>(7).fill(usual), exceptions: [], busy: [], trips: [], helpers: [] }; // prettier-ignore
const left = (clock: string, ...used: { minutes: number; until: string }[]) =>
  handsLeft(handsOn(rules, "2026-08-10"), { clock, used }).slots;

test("early in the morning all of today's minutes are still there", () => {
  expect(left("05:00")).toEqual(usual);
  expect(left("07:00")).toEqual(usual);
});

test("a slot gone by is gone; of the one that runs at most the time left of it", () => {
  expect(left("09:50")).toEqual({ ...usual, morning: 10 });
  expect(left("12:00")).toEqual({ ...usual, morning: 0 });
  expect(left("20:45")).toEqual({ morning: 0, midday: 0, evening: 15 });
  expect(left("23:59")).toEqual({ morning: 0, midday: 0, evening: 0 });
});

test("the minutes of a finished round are not offered again the same day, in the part of the day it took them from", () => {
  expect(left("07:00", { minutes: 12, until: "06:50" })).toEqual({ ...usual, morning: 18 });
  expect(left("07:00", { minutes: 50, until: "06:58" })).toEqual({ morning: 0, midday: 0, evening: 20 });
  expect(left("19:00", { minutes: 30, until: "08:00" })).toEqual({ morning: 0, midday: 0, evening: 40 });
  expect(left("18:30", { minutes: 25, until: "18:20" })).toEqual({ morning: 0, midday: 0, evening: 15 });
  // At noon nothing was free: it comes off the evening.
  expect(left("13:00", { minutes: 15, until: "12:30" })).toEqual({ morning: 0, midday: 0, evening: 25 });
  expect(left("19:00", { minutes: 500, until: "18:00" }, { minutes: 5, until: "23:50" }).evening).toBe(0);
});
