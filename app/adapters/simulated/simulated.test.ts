import { mean, standardDeviation } from "simple-statistics";
import { readFileSync } from "node:fs";
import { afterAll, expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { DailyWeather, stationDays } from "~/core/weather";
import { readWeatherCsv } from "../weather-csv.server";
import { httpForecast, httpStation } from "../http-weather.server";
import { startStandIns } from "./stand-ins.server";
import { USUAL_MISS, forecastDays, stationReadings } from "./told";
import { madeUpTruth, recordOf, replayTruth } from "./truth";

const PLACE = { latitude: 52.4, longitude: -0.6, timeZone: "Europe/London" };
const truth = madeUpTruth(11);
const PATIENCE = { timeoutMs: 300, retries: 1, waitMs: 10 };

test("every made-up day is possible weather, without gaps, and the same seed makes the same", () => {
  const days = recordOf(truth, "2017-01-01", "2026-12-31");
  expect(days).toHaveLength(3652);
  for (const day of days) expect(DailyWeather.safeParse(day).success, JSON.stringify(day)).toBe(true);
  const may = (seed: number) => recordOf(madeUpTruth(seed), "2024-05-01", "2024-05-31");
  expect(may(11)).toEqual(recordOf(truth, "2024-05-01", "2024-05-31"));
  expect(may(12)).not.toEqual(may(11));
});

test("the climate is cool and temperate: July warm, January cold, some rain on a third to a half of the days", () => {
  const days = recordOf(truth, "2019-01-01", "2025-12-31");
  const month = (m: string) => days.filter((d) => d.day.slice(5, 7) === m);
  expect(mean(month("07").map((d) => d.maxC))).toBeGreaterThan(20);
  expect(mean(month("01").map((d) => d.minC))).toBeLessThan(2);
  const wet = mean(days.map((d) => ((d.rainMm ?? 0) > 0 ? 1 : 0)));
  expect(wet).toBeGreaterThan(0.33);
  expect(wet).toBeLessThan(0.5);
});

test("forecasts miss by the error that is set, more the further they look", () => {
  const misses = (lead: number) =>
    Array.from({ length: 300 }, (_, n) => {
      const told = forecastDays(truth, addDays("2024-01-01", 3 * n), 11)[lead]!;
      return told.minC - truth.dayOf(told.day)!.minC;
    });
  for (const lead of [0, 4, 9]) {
    expect(mean(misses(lead))).toBeCloseTo(USUAL_MISS.biasC, 0);
    const sd = USUAL_MISS.atOnceC + USUAL_MISS.perDayC * lead;
    expect(standardDeviation(misses(lead)) / sd).toBeGreaterThan(0.85);
    expect(standardDeviation(misses(lead)) / sd).toBeLessThan(1.15);
  }
});

test("the station's hours make the day again: low, high, rain", () => {
  const from = "2026-09-15";
  const { days, refused, leftOut } = stationDays(
    stationReadings(truth, PLACE, from, "2026-09-28"),
    PLACE.timeZone,
    "2026-09-29",
  );
  expect([refused, leftOut]).toEqual([[], []]);
  for (const d of days) {
    const real = truth.dayOf(d.day)!;
    expect([d.minC, d.maxC]).toEqual([real.minC, real.maxC]);
    expect(Math.abs((d.rainMm ?? 0) - real.rainMm)).toBeLessThan(0.3);
    // An evening that cools below the day's dew point pulls its mean down.
    if (truth.dayOf(addDays(d.day, 1))!.minC > real.dewPointC)
      expect(Math.abs(d.dewPointC! - real.dewPointC)).toBeLessThan(0.5);
  }
  expect(days).toHaveLength(14);
});

test("a real series is replayed date by date, year after year", () => {
  const read = readWeatherCsv(readFileSync("node_modules/vega-datasets/data/seattle-weather.csv", "utf8"), {
    wind: "m/s",
  });
  if (read.status !== "read") throw new Error("read");
  const seattle = replayTruth("Seattle", read.days, 2024);
  expect(seattle.dayOf("2024-09-24")).toMatchObject({
    day: "2024-09-24",
    minC: read.days.find((d) => d.day === "2012-09-24")!.minC,
  });
  expect(seattle.dayOf("2026-01-01")!.maxC).toBe(read.days.find((d) => d.day === "2014-01-01")!.maxC);
  expect(seattle.dayOf("2028-02-29")).toBeDefined();
  expect(seattle.name).toBe("Seattle (replayed)");
  expect(() => replayTruth("short", read.days.slice(0, 90), 2024)).toThrow(RangeError);
});

const standIns = startStandIns(truth, PLACE, 11);
afterAll(async () => (await standIns).close());
const asOf = new Date("2026-09-20T06:00:00Z");
const service = async () => httpForecast("service", (await standIns).forecastUrl, PATIENCE);
const station = async () => httpStation("station", (await standIns).stationUrl, PATIENCE);

test("over HTTP: the newest issue of the garden's clock, with hours; the station's readings up to now", async () => {
  (await standIns).mode = "as usual";
  const issue = await (await service()).newest(asOf);
  expect(issue.issuedAt).toBe("2026-09-20T06:00:00.000Z");
  expect(issue.days.map((d) => d.day)).toEqual(Array.from({ length: 11 }, (_, n) => addDays("2026-09-20", n)));
  expect(issue.hours).toHaveLength(72);
  const { readings } = await (await station()).readings(new Date("2026-09-18T23:00:00Z"), asOf);
  expect(readings.at(-1)!.at).toBe("2026-09-20T06:00:00.000Z");
  expect(readings[0]!.at).toBe("2026-09-18T23:00:00.000Z");
});

test.each([
  ["down", /answers 503.*asked 2 times/],
  ["slow", /did not answer within 0.3 seconds.*asked 2 times/],
  ["half a document", /cannot be used: It breaks off/],
  ["not numbers", /cannot be used: No day of it can be used/],
] as const)("a service that is %s throws one sentence", async (mode, words) => {
  (await standIns).mode = mode;
  await expect((await service()).newest(asOf)).rejects.toThrow(words);
});

test("an address where nobody is, and one that answers no", async () => {
  await expect(httpForecast("nobody", "http://127.0.0.1:9/x", PATIENCE).newest(asOf)).rejects.toThrow(
    /cannot be reached/,
  );
  const { forecastUrl } = await standIns;
  await expect(httpForecast("wrong", forecastUrl.replace("/forecast", "/mode"), PATIENCE).newest(asOf)).rejects.toThrow(
    /answers 400: the address may be wrong/,
  );
});
