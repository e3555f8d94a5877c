import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { roughNormals, skyTrack, soilOutlook, type DailyWeather } from "../weather";
import {
  COVERS,
  frozenOdds,
  isDug,
  liesInTheGround,
  nightOddsBelow,
  pickBan,
  soilOddsBelow,
  stormOdds,
  survival,
} from ".";

const today = "2026-10-05";
const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const sky = (change: (n: number) => Partial<DailyWeather>) =>
  skyTrack(
    [],
    Array.from({ length: 40 }, (_, i) => ({ day: addDays(today, i - 28), minC: 11, maxC: 19, rainMm: 0, windKmh: 35, ...change(i - 28) })), // prettier-ignore
    roughNormals(52),
    addDays(today, -40),
    today,
    addDays(today, 40),
  );

test("a cover takes its gain off the odds for its own night and bed only", () => {
  const cold = sky((n) => (n >= 1 ? { minC: 0 } : {}));
  const bare = nightOddsBelow(cold, "open", 0, 5);
  const covered = nightOddsBelow(cold, "open", 0, 5, (evening) =>
    evening === addDays(today, 2) ? COVERS.fleece.gainC : 0,
  );
  expect(covered[2]!.bedMinC).toBeCloseTo(bare[2]!.bedMinC + 2, 9);
  expect(covered[2]!.odds).toBeLessThan(0.4 * bare[2]!.odds);
  for (const n of [0, 1, 3, 4]) expect(covered[n]).toEqual(bare[n]);
  for (const { gainC, hail, heat } of Object.values(COVERS)) expect(gainC + hail + heat).toBeGreaterThan(0);
});

test("covered beans outlive a light frost that takes bare ones", () => {
  const frost = sky((n) => (n === 3 ? { minC: -1 } : {}));
  const bare = survival(crop("bean_bush"), frost, "open", 8);
  const covered = survival(crop("bean_bush"), frost, "open", 8, { shield: () => COVERS["double fleece"] });
  expect(bare.sound[4]!).toBeLessThan(0.5);
  expect(covered.sound[4]!).toBeGreaterThan(0.85);
});

test("lasting cold above freezing harms what chills and leaves the hardy alone; one cold day does not", () => {
  const spell = sky((n) => (n >= 2 ? { minC: 4, maxC: 9 } : {}));
  const basil = survival(crop("basil"), spell, "open", 10);
  expect(basil.threats.some((t) => t.kind === "chill")).toBe(true);
  expect(basil.threats.filter((t) => t.kind === "chill").length).toBeLessThanOrEqual(2);
  expect(survival(crop("kale_leaf"), spell, "open", 10).threats).toEqual([]);
  const day = sky((n) => (n === 4 ? { minC: 4, maxC: 9 } : {}));
  expect(survival(crop("basil"), day, "open", 10).threats.some((t) => t.kind === "chill")).toBe(false);
});

test("roots in the soil chill by the soil, which lags the air", () => {
  const spell = sky((n) => (n >= 1 ? { minC: 2, maxC: 8 } : { minC: 13, maxC: 21 }));
  const soil = soilOutlook(spell, 12);
  const root = survival(crop("sweet_potato_root"), spell, "open", 12, { soil });
  const day = root.threats.find((t) => t.kind === "chill")?.lastDayBefore;
  // The air is below 12.8 °C from tomorrow; the soil only days later.
  expect(day && day > addDays(today, 3)).toBe(true);
  expect(soilOddsBelow(soil[0]!, 12.8)).toBeLessThan(0.1);
  expect(soilOddsBelow(soil[11]!, 12.8)).toBeGreaterThan(0.9);
});

test("the ground freezes after days of frost, not after one night; only what is dug minds", () => {
  const odds = (track: ReturnType<typeof sky>) => soilOutlook(track, 12).map(frozenOdds);
  expect(Math.max(...odds(sky((n) => (n === 3 ? { minC: -8, maxC: 4 } : {}))))).toBeLessThan(0.02);
  expect(odds(sky((n) => (n >= -8 ? { minC: -9, maxC: -3 } : {})))[10]!).toBeGreaterThan(0.9);
  expect([isDug(crop("carrot")), isDug(crop("kale_leaf")), liesInTheGround(crop("parsnip"))]).toEqual([
    true,
    false,
    true,
  ]);
});

test("hail by the service's own odds spoils leaf and fruit in the open, not in the tunnel", () => {
  const hail = sky((n) => (n === 2 ? { hailOdds: 0.8 } : {}));
  expect(stormOdds(hail, 4)[2]).toMatchObject({ hailOdds: 0.8, thunderOdds: 0 });
  const lettuce = survival(crop("lettuce_cca"), hail, "open", 6);
  expect(lettuce.threats).toMatchObject([{ kind: "hail", lastDayBefore: addDays(today, 2), odds: 0.8 }]);
  expect(survival(crop("lettuce_cca"), hail, "tunnel", 6).threats).toEqual([]);
  expect(survival(crop("carrot"), hail, "open", 6).sound[5]).toBeCloseTo(1, 2);
});

const spray = (treatedOn: string, intervalDays: number, product = "soap") => ({ treatedOn, intervalDays, product });

test("a treatment bans picking for the label's days and not one more; the longest of several holds", () => {
  const ban = (day: string, ...treatments: ReturnType<typeof spray>[]) => pickBan(treatments, day)?.until;
  expect(ban("2026-10-05", spray("2026-10-01", 7))).toBe("2026-10-08");
  expect(ban("2026-10-07", spray("2026-10-01", 7))).toBe("2026-10-08");
  expect(ban("2026-10-08", spray("2026-10-01", 7))).toBeUndefined();
  expect(ban("2026-10-05", spray("2026-10-01", 7), spray("2026-09-20", 21, "copper"))).toBe("2026-10-11");
  expect(ban("2026-10-01", spray("2026-10-01", 0))).toBeUndefined();
  expect(ban("2026-09-30", spray("2026-10-01", 7))).toBeUndefined();
  expect(ban("2026-12-30", spray("2026-12-28", 14))).toBe("2027-01-11");
});
