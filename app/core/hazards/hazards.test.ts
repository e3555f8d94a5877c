import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { roughNormals, skyTrack, type DailyWeather } from "../weather";
import { addDays } from "../calendar";
import { FREEZE_CLASSES, nightOddsBelow, stormOdds, survival } from ".";

const today = "2026-09-19";
const crop = (id: string) => catalogue().find((c) => c.id === id)!;
function trackOf(change: (n: number) => Partial<DailyWeather>) {
  const forecast = Array.from({ length: 12 }, (_, n) => ({
    day: addDays(today, n),
    minC: 9,
    maxC: 18,
    rainMm: 0,
    windKmh: 35,
    ...change(n),
  }));
  return skyTrack([], forecast, roughNormals(52), "2026-09-01", today, "2026-11-01");
}

test("freeze classes at the usual limits: light 32, moderate 28, severe 24 °F (national weather services, from memory)", () => {
  const celsius = (f: number) => ((f - 32) * 5) / 9;
  expect(FREEZE_CLASSES.light).toBeCloseTo(celsius(32), 1);
  expect(FREEZE_CLASSES.moderate).toBeCloseTo(celsius(28), 1);
  expect(FREEZE_CLASSES.severe).toBeCloseTo(celsius(24), 1);
});

test("a middle forecast at the threshold is an even chance; colder beds and colder forecasts are likelier", () => {
  const odds = (minC: number, kind: "open" | "low" | "wall") =>
    nightOddsBelow(
      trackOf((n) => (n === 3 ? { minC } : {})),
      kind,
      0,
      5,
    )[2]!.odds;
  expect(odds(0, "open")).toBeCloseTo(0.5, 6);
  expect(odds(0, "low")).toBeGreaterThan(odds(0, "open"));
  expect(odds(0, "wall")).toBeLessThan(odds(0, "open"));
  expect(odds(-2, "open")).toBeGreaterThan(odds(-1, "open"));
});

test("the low of a date belongs to the night before it", () => {
  const nights = nightOddsBelow(
    trackOf((n) => (n === 4 ? { minC: -4 } : {})),
    "open",
    0,
    6,
  );
  expect(nights.reduce((best, n) => (n.odds > best.odds ? n : best)).evening).toBe(addDays(today, 3));
});

test("a clear calm dry night falls further than a windy or wet one", () => {
  const low = (change: Partial<DailyWeather>) => nightOddsBelow(trackOf(() => ({ minC: 2, ...change })), "low", 0, 3)[1]!.bedMinC; // prettier-ignore
  const calm = low({ windKmh: 5 });
  expect(calm).toBeCloseTo(2 - 1.2 - 1.2, 9);
  expect(low({ windKmh: 40 })).toBeCloseTo(2 - 1.2, 9);
  expect(low({ windKmh: 22.5 })).toBeCloseTo(2 - 1.2 - 0.6, 9);
  expect(low({ windKmh: 5, rainMm: 6 })).toBeCloseTo(2 - 1.2, 9);
  expect(low({ windKmh: 5, cloudShare: 0.5 })).toBeCloseTo(2 - 1.2 - 0.6, 9);
  expect(low({ windKmh: 5, dewPointC: 2 })).toBeGreaterThan(calm);
  expect(low({ rainMm: null, windKmh: null })).toBeCloseTo(2 - 1.2, 9);
});

test("frost takes tender crops and leaves kale; survival never rises", () => {
  const track = trackOf((n) => (n === 4 ? { minC: -3 } : {}));
  const beans = survival(crop("bean_bush"), track, "open", 12);
  const kale = survival(crop("kale_leaf"), track, "open", 12);
  expect(beans.sound[3]).toBeGreaterThan(0.95);
  expect(beans.sound[4]).toBeLessThan(0.2);
  expect(kale.sound[4]).toBeGreaterThan(0.95);
  expect(beans.threats[0]).toMatchObject({ kind: "frost", lastDayBefore: addDays(today, 3) });
  for (let n = 1; n < 12; n++) expect(beans.sound[n]!).toBeLessThanOrEqual(beans.sound[n - 1]!);
});

test("a gale drops peaches but not carrots, and a tunnel shelters", () => {
  const track = trackOf((n) => (n === 2 ? { windKmh: 90 } : {}));
  expect(stormOdds(track, 5)[2]!.gustOdds).toBeGreaterThan(0.95);
  expect(survival(crop("peach"), track, "tree", 6).sound[3]).toBeLessThan(0.7);
  expect(survival(crop("peach"), track, "tree", 6).sound[2]).toBeGreaterThan(0.995);
  expect(survival(crop("carrot"), track, "open", 6).sound[3]).toBeGreaterThan(0.99);
  expect(survival(crop("tomato_large"), track, "tunnel", 6).sound[3]).toBeCloseTo(1, 6);
});
