import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, dayOfYear } from "../calendar";
import { normalCdf } from "../statistics";
import { normalDegreeDays, roughNormals, skyTrack, thermalSumOn } from "../weather";
import {
  beliefAfter,
  development,
  knownLooks,
  normalHeat,
  passedOn,
  priorOf,
  requirementAt,
  requirementFromDays,
  stageCoordinate,
} from ".";

const normals = roughNormals(52);

test("the heat of a span is the sum of its normal days, a part of a day counting in part", () => {
  let sum = 0;
  for (let i = 0; i < 10; i++) {
    const doy = dayOfYear(addDays("2026-06-01", i));
    sum += normalDegreeDays(normals, doy, 10, 30);
  }
  expect(normalHeat(normals, "2026-06-01", 10, 10, 30)).toBeCloseTo(sum, 9);
  const nine = normalHeat(normals, "2026-06-01", 9, 10, 30);
  expect(normalHeat(normals, "2026-06-01", 9.5, 10, 30)).toBeCloseTo(nine + (sum - nine) / 2, 9);
});

test("the plants' own spread is two thirds of the packet's, and gardens differ a little more", () => {
  const { median, logSpread } = requirementFromDays(normals, "2026-05-10", 45, 60, 7.2, 32);
  const low = normalHeat(normals, "2026-05-10", 45, 7.2, 32);
  const high = normalHeat(normals, "2026-05-10", 60, 7.2, 32);
  expect(median).toBeCloseTo(Math.sqrt(low * high), 9);
  const packet = Math.log(high / low) / (2 * 1.2816);
  expect(logSpread).toBeCloseTo(Math.hypot(0.68 * packet, 0.03, 0.3 / (high / 60)), 9);
  expect(logSpread).toBeGreaterThan(0.6 * packet);
  expect(logSpread).toBeLessThan(1.1 * packet);
});

test("the same packet needs less heat in a colder spring, since its days are local days", () => {
  const heat = (from: string) => requirementFromDays(normals, from, 50, 60, 7.2, 32).median;
  expect(heat("2026-04-01")).toBeLessThan(heat("2026-06-01"));
});

test("a cold spell cannot make the requirement vanish", () =>
  expect(requirementFromDays(normals, "2026-12-20", 1, 2, 15, 32).median).toBeGreaterThanOrEqual(3));
test.each([[0, 5], [9, 5], [-1, 5], [NaN, 5]])("%d to %d days is no range", (low, high) => expect(() => requirementFromDays(normals, "2026-05-01", low, high, 10, 30)).toThrow(RangeError)); // prettier-ignore

const bean = catalogue().find((c) => c.id === "bean_bush")!;
const track = skyTrack([], [], normals, "2026-06-01", "2026-07-25", "2026-10-01");
const dev = development(bean, track, normals, { startedOn: "2026-06-01" });

test("the prior sums to one and is centred on the packet", () => {
  const prior = priorOf(dev);
  expect(prior.weight.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
  const mean = prior.weight.reduce((sum, w, k) => sum + w * Math.log(requirementAt(prior, k)), 0);
  expect(mean).toBeCloseTo(Math.log(dev.requirement.median), 6);
});

test("days that are told are used in place of the crop's heat", () => {
  const slower = development(bean, track, normals, { startedOn: "2026-06-01", days: { low: 70, high: 80 } });
  expect(slower.requirement.median).toBeGreaterThan(dev.requirement.median);
});

test("the posterior is the prior times the likelihood: the ratio of two grid points by hand", () => {
  const looks = knownLooks(bean, [{ cueId: "pod_thickness", readingId: "6_9", takenOn: "2026-07-25" }]);
  const prior = priorOf(dev, thermalSumOn(dev.thermal, "2026-07-25"));
  const { posterior } = beliefAfter(dev, looks, "2026-07-25");
  const logistic = (x: number) => 1 / (1 + Math.exp(-x));
  // Slope of a decisive cue; borders nearly|ready at 1.5 and ready|past at 2.5.
  const slope = 2 * Math.log(20.95);
  const by = (k: number) => {
    const sigma = stageCoordinate(
      thermalSumOn(dev.thermal, "2026-07-25") / requirementAt(prior, k),
      dev.nearlyFrom,
      dev.closes,
    );
    return logistic(slope * (sigma - 1.5)) - logistic(slope * (sigma - 2.5));
  };
  const [a, b] = [120, 150];
  const wanted = (prior.weight[a]! * by(a)) / (prior.weight[b]! * by(b));
  expect(posterior.weight[a]! / posterior.weight[b]! / wanted).toBeGreaterThan(0.97);
  expect(posterior.weight[a]! / posterior.weight[b]! / wanted).toBeLessThan(1.03);
});

test("the stage coordinate crosses its halves at the borders of the states", () => {
  expect(stageCoordinate(0.88, 0.88, 1.1)).toBeCloseTo(0.5, 12);
  expect(stageCoordinate(1, 0.88, 1.1)).toBeCloseTo(1.5, 12);
  expect(stageCoordinate(1.1, 0.88, 1.1)).toBeCloseTo(2.5, 12);
  for (let u = 0.2; u < 2; u += 0.01)
    expect(stageCoordinate(u + 0.01, 0.88, 1.1)).toBeGreaterThanOrEqual(stageCoordinate(u, 0.88, 1.1));
});

test("a tunnel's warmth brings the date forward", () => {
  const ready = (extraC: number) => {
    const warm = development(bean, track, normals, { startedOn: "2026-06-01", days: { low: 60, high: 70 }, extraC });
    return warm.thermal.sum[40]!;
  };
  expect(ready(4)).toBeGreaterThan(ready(0));
});

test("the forecast's error at five nodes comes to the exact mixture of normals", () => {
  const p = priorOf(dev);
  for (const i of [30, 60, 80, 100]) {
    const heat = dev.thermal.sum[i]!;
    const spread = dev.thermal.spread[i]!;
    let exact = 0;
    for (let k = 0; k < p.weight.length; k++) {
      const lead = heat - 1.05 * requirementAt(p, k);
      exact += p.weight[k]! * (spread > 0 ? normalCdf(lead / spread) : lead >= 0 ? 1 : 0);
    }
    expect(Math.abs(passedOn(dev, p, 1.05, i) - exact), `day ${i}`).toBeLessThan(0.02);
  }
});
