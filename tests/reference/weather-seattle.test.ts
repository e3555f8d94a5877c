import { mean } from "simple-statistics";
import { expect, test } from "vitest";
import { addDays, dayOfYear } from "~/core/calendar";
import { normalsFromSeries, roughNormals, skyTrack, thermalSumOn, thermalTime } from "~/core/weather";
import { SEATTLE_DAYS } from "./seattle-days";

const days = SEATTLE_DAYS;

test("normals of the Seattle series are the mean of ±7 days over the years, by simple-statistics", () => {
  const normals = normalsFromSeries(days)!;
  expect(normals.years).toBe(4);
  const wanted = days.filter((d) => Math.abs(dayOfYear(d.day) - 200) <= 7);
  expect(wanted).toHaveLength(60);
  expect(normals.minC[200]).toBeCloseTo(mean(wanted.map((d) => d.minC)), 9);
  expect(normals.maxC[200]).toBeCloseTo(mean(wanted.map((d) => d.maxC)), 9);
});

test("a short series has no normals", () => expect(normalsFromSeries(days.slice(0, 200))).toBeUndefined());

test("the rough guess is warmest in July in the north, in January in the south", () => {
  const warmest = (latitude: number) =>
    roughNormals(latitude).maxC.indexOf(Math.max(...roughNormals(latitude).maxC.subarray(1)));
  expect(warmest(52)).toBeGreaterThan(180);
  expect(warmest(52)).toBeLessThan(230);
  expect(warmest(-35) < 40 || warmest(-35) > 350).toBe(true);
});

test("observed days come before the forecast, the forecast before the normals", () => {
  const normals = normalsFromSeries(days)!;
  const forecast = days
    .filter((d) => d.day >= "2014-06-11" && d.day <= "2014-06-15")
    .map((d) => ({ ...d, minC: 1, maxC: 2 }));
  const track = skyTrack(days, forecast, normals, "2014-06-01", "2014-06-12", "2014-06-20");
  expect(track.source.join(" ")).toBe([...Array<string>(12).fill("observed"), "forecast", "forecast", "forecast", ...Array<string>(5).fill("normal")].join(" ")); // prettier-ignore
  expect(track.maxC[12]).toBe(2);
  expect(track.maxC[19]).toBeCloseTo(normals.maxC[dayOfYear("2014-06-20")]!, 9);
  expect(() => skyTrack(days, [], normals, "2014-06-02", "2014-06-12", "2014-06-01")).toThrow(RangeError);
});

test("thermal time rises, is sure of the past and less sure the further it looks", () => {
  const normals = normalsFromSeries(days)!;
  const track = skyTrack(days, [], normals, "2014-05-01", "2014-06-12", "2014-08-01");
  const thermal = thermalTime(track, "2014-05-01", 10, 30);
  for (let i = 1; i < thermal.sum.length; i++) {
    expect(thermal.sum[i]!).toBeGreaterThanOrEqual(thermal.sum[i - 1]!);
    expect(thermal.spread[i]!).toBeGreaterThanOrEqual(thermal.spread[i - 1]!);
  }
  expect(thermal.spread[42]).toBe(0);
  expect(thermal.spread[43]).toBeGreaterThan(0);
  expect(thermalSumOn(thermal, "2014-04-30")).toBe(0);
  expect(thermalSumOn(thermal, addDays("2014-05-01", 5))).toBe(thermal.sum[5]);
});
