import fc from "fast-check";
import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { chillHours, monthlyNormals, normalChillHours } from "../weather";
import { usualChill, workedOutStart } from ".";

const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const TURN = "2026-01-01";
/** Usual lows and highs by month, °C: a winter with frosts, and one without. */
const WINTRY = [[-1, 5], [-1, 6], [2, 10], [4, 14], [8, 18], [11, 21], [13, 23], [13, 23], [10, 19], [7, 14], [3, 9], [0, 6]] as const; // prettier-ignore
const MILD = [[9, 17], [9, 18], [10, 19], [12, 21], [14, 23], [17, 26], [19, 28], [19, 29], [17, 27], [15, 24], [12, 20], [10, 17]] as const; // prettier-ignore
const wintry = monthlyNormals(WINTRY, 3);
const mild = monthlyNormals(MILD, 2.5);
const peach = crop("peach");
const { chill: _, ...life } = peach.life;
const startOf = (of: typeof peach, normals: typeof wintry) => workedOutStart(of, TURN, normals, new Map());

test("chill hours: a day between 0 and 7 °C is one whole, a frozen or a warm one is none", () => {
  expect(chillHours(1, 6)).toBe(24);
  expect(chillHours(-8, -2)).toBe(0);
  expect(chillHours(9, 18)).toBe(0);
  expect(chillHours(3.6, 10.8)).toBeCloseTo(12, 9);
  expect(chillHours(4, 4)).toBe(24);
});

test("never below none or above a day, and a colder day above freezing never gives less", () => {
  fc.assert(
    fc.property(
      fc.double({ min: -30, max: 30, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      (low, range) => {
        // prettier-ignore
        const hours = chillHours(low, low + range);
        expect(hours).toBeGreaterThanOrEqual(0);
        expect(hours).toBeLessThanOrEqual(24);
        if (low > 1) expect(chillHours(low - 1, low - 1 + range)).toBeGreaterThanOrEqual(hours - 1e-9);
      },
    ),
  );
});

// From memory of EXT: a thousand hours and more in a cool temperate winter, a hundred or two in a frost-free one.
test("a cool winter gives over a thousand hours, a frost-free one under two hundred", () => {
  expect(usualChill(TURN, wintry)).toBeGreaterThan(1000);
  expect(usualChill(TURN, mild)).toBeLessThan(200);
  expect(normalChillHours(mild, 200)).toBe(0);
});

test("where the winter gives its chill a peach flowers as its heat says; where it does not, late", () => {
  const needless = { ...peach, life };
  expect(startOf(peach, wintry)).toBe(startOf(needless, wintry));
  expect(startOf(peach, mild) > startOf(needless, mild)).toBe(true);
  const modest = { ...peach, life: { ...peach.life, chill: { ...peach.life.chill!, hours: 50 } } };
  expect(startOf(modest, mild) < startOf(peach, mild)).toBe(true);
});

test("a winter that was told counts, not the usual one", () => {
  const cold = new Map(
    Array.from({ length: 90 }, (_, i) => {
      const day = new Date(Date.UTC(2025, 10, 1 + i)).toISOString().slice(0, 10);
      return [day, { day, minC: 1, maxC: 7, rainMm: null, windKmh: null }] as const;
    }),
  );
  expect(workedOutStart(peach, TURN, mild, cold) < startOf(peach, mild)).toBe(true);
});
