import { cumulativeStdNormalProbability, mean, standardDeviation } from "simple-statistics";
import { expect, test } from "vitest";
import { normalCdf, normalDraw, seeded } from "~/core/statistics";

test("Φ matches the integral of the bell to 1.5e-7, the bound of the formula (Abramowitz & Stegun 7.1.26, from memory)", () => {
  const step = 1e-4;
  let integral = 0.5;
  for (let z = 0; z < 4; z += step) {
    const mid = z + step / 2;
    integral += (step * Math.exp(-0.5 * mid * mid)) / Math.sqrt(2 * Math.PI);
    if (Math.round(z / step) % 2500 === 0) expect(Math.abs(normalCdf(z + step) - integral)).toBeLessThan(1.5e-7);
  }
});

test("Φ agrees with simple-statistics to its two-decimal table", () => {
  for (let z = -3; z <= 3; z += 0.25) expect(normalCdf(z)).toBeCloseTo(cumulativeStdNormalProbability(z), 3);
});

test("symmetry and ends", () => {
  expect(normalCdf(0)).toBeCloseTo(0.5, 8);
  expect(normalCdf(1.3) + normalCdf(-1.3)).toBeCloseTo(1, 12);
  expect([normalCdf(Infinity), normalCdf(-Infinity)]).toEqual([1, 0]);
});

test("the seeded stream repeats, stays in [0, 1) and is even; its normal draws have mean 0 and spread 1", () => {
  const [a, b] = [seeded(42), seeded(42)];
  const draws = Array.from({ length: 20_000 }, a);
  expect(draws.slice(0, 50)).toEqual(Array.from({ length: 50 }, b));
  expect(Math.min(...draws)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...draws)).toBeLessThan(1);
  expect(mean(draws)).toBeCloseTo(0.5, 1);
  const normals = Array.from({ length: 20_000 }, () => normalDraw(a));
  expect(Math.abs(mean(normals))).toBeLessThan(0.03);
  expect(Math.abs(standardDeviation(normals) - 1)).toBeLessThan(0.03);
});
