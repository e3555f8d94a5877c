import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { roughNormals, skyTrack } from "../weather";
import { rainOutlook, survival } from ".";

const today = "2026-07-10";
const sky = (maxC: (n: number) => number, rainMm: (n: number) => number) =>
  skyTrack(
    [],
    Array.from({ length: 14 }, (_, i) => ({ day: addDays(today, i - 3), minC: 14, maxC: maxC(i - 3), rainMm: rainMm(i - 3), windKmh: 10 })), // prettier-ignore
    roughNormals(50),
    addDays(today, -30),
    today,
    addDays(today, 40),
  );
const crop = (id: string) => catalogue().find((c) => c.id === id)!;

test("heat opens heads that have formed, and leaves roots alone", () => {
  const hot = sky((n) => (n >= 2 && n <= 5 ? 33 : 22), () => 0); // prettier-ignore
  const broccoli = survival(crop("broccoli_head"), hot, "open", 10);
  expect(broccoli.threats.filter((t) => t.kind === "heat").length).toBeGreaterThanOrEqual(3);
  expect(broccoli.sound[8]!).toBeLessThan(0.6);
  expect(broccoli.sound[1]!).toBeGreaterThan(0.95);
  expect(survival(crop("carrot"), hot, "open", 10).threats).toEqual([]);
  expect(survival(crop("broccoli_head"), hot, "open", 10, { nearlyOn: () => 0 }).sound[8]!).toBeCloseTo(1, 6);
});

test("a soaking is news for three days; dry runs count from each day, and unknown rain is not dry", () => {
  const wet = sky(() => 22, (n) => (n === -1 ? 22 : n === 4 ? 8 : 0)); // prettier-ignore
  const rain = rainOutlook(wet, 14);
  expect(rain.soakedDaysAgo).toBe(1);
  expect(rain.dryRun.slice(0, 6)).toEqual([4, 3, 2, 1, 0, 6]);
  expect(rain.dryRun[13]).toBeNull();
  expect(rainOutlook(sky(() => 22, () => 2), 5)).toEqual({ soakedDaysAgo: null, dryRun: [0, 0, 0, 0, 0] }); // prettier-ignore
});
