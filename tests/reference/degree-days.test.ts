import { describe, expect, test } from "vitest";
import { averageDegreeDays, dailyDegreeDays, degreeDaysAbove } from "~/core/weather";

/** The definition itself: the mean excess of a sine wave over the threshold, integrated in 20,000 steps. */
function integrated(minC: number, maxC: number, thresholdC: number): number {
  const steps = 20_000;
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const t = (minC + maxC) / 2 + ((maxC - minC) / 2) * Math.sin((2 * Math.PI * (i + 0.5)) / steps);
    sum += Math.max(0, t - thresholdC);
  }
  return sum / steps;
}

describe("single-sine degree-days against the published formula's own integral (Baskerville & Emin 1969, from memory)", () => {
  const cases: [number, number, number, number][] = [];
  for (const minC of [-8, 0, 4, 9.5, 12, 18])
    for (const range of [0, 0.4, 6, 11, 19])
      for (const baseC of [1.7, 7.2, 10, 15.6]) cases.push([minC, minC + range, baseC, baseC + 17]);
  test.each(cases)("%d to %d °C, base %d, upper %d", (minC, maxC, baseC, upperC) => {
    expect(degreeDaysAbove(minC, maxC, baseC)).toBeCloseTo(integrated(minC, maxC, baseC), 5);
    const cut = integrated(minC, maxC, baseC) - integrated(minC, maxC, upperC);
    expect(dailyDegreeDays(minC, maxC, baseC, upperC)).toBeCloseTo(cut, 5);
  });
});

describe("worked by hand", () => {
  test("5 to 15 °C over 10: half the wave counts, A/π = 5/π", () =>
    expect(degreeDaysAbove(5, 15, 10)).toBeCloseTo(5 / Math.PI, 12));
  test("12 to 24 °C over 10: all of it counts, mean − base", () => expect(degreeDaysAbove(12, 24, 10)).toBe(8));
  test("2 to 9 °C over 10: none", () => expect(degreeDaysAbove(2, 9, 10)).toBe(0));
  test("mean 10, half-range 10, base 5: θ = −30°, (5(π/2 + π/6) + 10 cos 30°)/π", () =>
    expect(degreeDaysAbove(0, 20, 5)).toBeCloseTo(
      (5 * ((2 * Math.PI) / 3) + 10 * Math.cos(Math.PI / 6)) / Math.PI,
      12,
    ));
  test("simple average, handbook example: base 10, upper 30, 8 to 34 °C gives 10", () =>
    expect(averageDegreeDays(8, 34, 10, 30)).toBe(10));
});

test("sine and average agree where the whole day lies between base and upper", () => {
  for (const [minC, maxC] of [
    [11, 19],
    [14, 29],
    [20, 20],
  ] as const)
    // prettier-ignore
    expect(dailyDegreeDays(minC, maxC, 10, 30)).toBeCloseTo(averageDegreeDays(minC, maxC, 10, 30), 12);
});

test("warmer never counts less", () => {
  for (let t = -5; t < 35; t += 0.5)
    expect(dailyDegreeDays(t + 0.5, t + 9, 10, 30)).toBeGreaterThanOrEqual(dailyDegreeDays(t, t + 8.5, 10, 30));
});

test.each([
  [9, 8, 10],
  [NaN, 8, 10],
  [1, Infinity, 10],
])("%d to %d over %d is refused", (a, b, c) =>
  // prettier-ignore
  expect(() => degreeDaysAbove(a, b, c)).toThrow(RangeError),
);
