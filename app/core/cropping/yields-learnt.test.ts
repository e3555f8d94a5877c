import fc from "fast-check";
import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { yieldSpread } from "../life";
import { shrinkTo } from "../statistics";
import { asTheCatalogueSays, settingRate, yieldLearnt } from ".";

const courgette = catalogue().find((c) => c.id === "courgette")!;
const season = (ratio: number, variety = "striped") => ({ variety, logRatio: Math.log(ratio) });
const factor = (...seasons: ReturnType<typeof season>[]) => yieldLearnt(courgette, seasons, "striped").factor;

test("with no season closed a crop bears as the catalogue says", () =>
  expect(yieldLearnt(courgette, [], "striped")).toEqual(asTheCatalogueSays(courgette)));

test("a good season raises what is expected, less than it was itself; more of them bring it nearer", () => {
  const once = factor(season(1.8));
  const thrice = factor(season(1.8), season(1.8), season(1.8));
  expect(once).toBeGreaterThan(1.1);
  expect(once).toBeLessThan(thrice);
  expect(thrice).toBeLessThan(1.8);
});

test("another variety teaches too, but less", () => {
  const other = factor(season(0.5, "round"));
  expect(other).toBeLessThan(1);
  expect(other).toBeGreaterThan(factor(season(0.5)));
});

test("the doubt shrinks with every season and never below what each season brings anew", () => {
  const doubt = (n: number) =>
    yieldLearnt(
      courgette,
      Array.from({ length: n }, () => season(1)),
      "striped",
    ).logSpread;
  const all = [0, 1, 2, 5, 40].map(doubt);
  expect(all).toEqual([...all].sort((a, b) => b - a));
  expect(doubt(40)).toBeGreaterThan(Math.sqrt(0.5) * yieldSpread(courgette));
});

test("what was learnt of earlier seasons is where a season's own picks begin", () => {
  const prior = yieldLearnt(courgette, [season(2), season(2)], "striped");
  expect(settingRate(prior, { picks: [] }, () => 0, "2026-08-10").factor).toBeCloseTo(prior.factor, 9);
});

// The closed form against a plain sum over a grid of the shared mean and the group's own.
test("two levels shrink as a sum over a grid does", () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ group: fc.constantFrom("a", "b", "c"), value: fc.double({ min: -1, max: 1, noNaN: true }) }), { minLength: 1, maxLength: 6 }), // prettier-ignore
      (values) => {
        const of = { shared: 0.2, group: 0.1, noise: 0.3 };
        const grid = Array.from({ length: 161 }, (_, i) => -4 + i * 0.05);
        const density = (x: number, mean: number, variance: number) =>
          Math.exp(-((x - mean) ** 2) / (2 * variance)) / Math.sqrt(variance);
        const own = (group: string, theta: number) =>
          values.filter((v) => v.group === group).reduce((p, v) => p * density(v.value, theta, of.noise), 1);
        let weight = 0;
        let sum = 0;
        for (const shared of grid) {
          const others = ["b", "c"].map((g) =>
            grid.reduce((s, theta) => s + density(theta, shared, of.group) * own(g, theta), 0),
          );
          for (const theta of grid) {
            const p = density(shared, 0, of.shared) * density(theta, shared, of.group) * own("a", theta) * others[0]! * others[1]!; // prettier-ignore
            weight += p;
            sum += p * theta;
          }
        }
        expect(shrinkTo(values, "a", of).mean).toBeCloseTo(sum / weight, 3);
      },
    ),
    { numRuns: 15 },
  );
});
