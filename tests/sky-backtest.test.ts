import { expect, test } from "vitest";
import { brier, frostCalls, readSeries, reliability, unmeasured } from "../scripts/sky-backtest";

const series = readSeries("node_modules/vega-datasets/data/seattle-weather.csv");
const SEEDS = [201, 202, 203, 204];

test("Seattle 2015, errors measured on 2012 to 2014: what is said comes, within 8 points, and better than climatology", () => {
  const calls = SEEDS.flatMap((seed) => frostCalls(series, seed));
  for (const r of reliability(calls).filter((d) => d.cases >= 150))
    expect(Math.abs(r.said - r.came), `decile ${r.decile}: said ${r.said}, came ${r.came}`).toBeLessThan(0.08);
  const skill = (of: typeof calls) => 1 - brier(of, (c) => c.odds) / brier(of, (c) => c.climatology);
  expect(skill(calls)).toBeGreaterThan(0.45);
  const guessed = SEEDS.flatMap((seed) => frostCalls(series, seed, unmeasured));
  expect(skill(calls)).toBeGreaterThan(skill(guessed) + 0.05);
});

test("a file that cannot be learnt from is refused in a sentence", () => {
  expect(() => readSeries("node_modules/vega-datasets/data/seattle-weather-hourly-normals.csv")).toThrow(
    /No column for/,
  );
});
