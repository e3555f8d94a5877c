import { expect, test } from "vitest";
import { addDays } from "../calendar";
import { borneOut } from ".";

const day = (n: number, meanC: number) => ({ day: addDays("2026-01-10", n), minC: meanC - 4, maxC: meanC + 4, rainMm: 0, windKmh: 0 }); // prettier-ignore
const told = [0, 1, 2, 3].map((n) => day(n, -26));

test("real cold is borne out by a day noted beside it, before or within, and by none far off or of another kind", () => {
  expect(borneOut(told, [day(-1, -20)])).toBe(true);
  expect(borneOut(told, [day(-2, -15)])).toBe(true);
  expect(borneOut(told, [day(3, -22)])).toBe(true);
  expect(borneOut(told, [day(-1, -12)])).toBe(false);
  expect(borneOut(told, [day(-3, -26)])).toBe(false);
  expect(borneOut(told, [])).toBe(false);
});

test("a week told in the other degrees is not, whatever the season", () => {
  for (const meanC of [-20, -5, 0, 8, 15, 25, 35]) {
    const record = [-3, -2, -1].map((n) => day(n, meanC));
    const other = [0, 1, 2].map((n) => day(n, meanC * 1.8 + 32));
    expect(borneOut(other, record)).toBe(false);
  }
});
