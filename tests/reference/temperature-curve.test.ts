import { readFileSync } from "node:fs";
import { mean, rootMeanSquare } from "simple-statistics";
import { expect, test } from "vitest";
import { addDays, sunTimes } from "~/core/calendar";
import { temperatureAt, type CurveDay } from "~/core/weather";

/** Hourly normals of Seattle 1981–2010, local standard time, from vega-datasets (NOAA): real hours to hold the curve against. */
const rows = readFileSync("node_modules/vega-datasets/data/seattle-weather-hourly-normals.csv", "utf8")
  .trim()
  .split("\n")
  .slice(1)
  .map((line) => line.split(","))
  .map(([at, , c]) => ({ day: at!.slice(0, 10), hour: Number(at!.slice(11, 13)), airC: Number(c) }));

const PLACE = { latitude: 47.45, longitude: -122.31 };
const days = [...new Set(rows.map((r) => r.day))].filter((d) => rows.filter((r) => r.day === d).length === 24);
const PST_MS = 8 * 3_600_000;

function curveOf(day: string): CurveDay {
  const sun = sunTimes(day, PLACE.latitude, PLACE.longitude);
  if (sun.status !== "ok") throw new Error("the sun rises in Seattle");
  const airs = rows.filter((r) => r.day === day).map((r) => r.airC);
  return { minC: Math.min(...airs), maxC: Math.max(...airs), riseMs: +sun.riseAt, setMs: +sun.setAt };
}

test("the curve through each even day's low and high meets the hourly normals of Seattle, closer than a plain cosine", () => {
  const curves = new Map(days.map((d) => [d, curveOf(d)]));
  const misses: number[] = [];
  const plain: number[] = [];
  for (const r of rows) {
    const about = [-1, 0, 1].map((k) => curves.get(addDays(r.day, k)));
    // The lag of the low was fitted on the odd days.
    if (about.some((c) => !c) || Number(r.day.slice(8)) % 2 === 1) continue;
    const ms = Date.parse(`${r.day}T${String(r.hour).padStart(2, "0")}:00:00Z`) + PST_MS;
    misses.push(temperatureAt(about as CurveDay[], ms)! - r.airC);
    const { minC, maxC } = about[1]!;
    plain.push((minC + maxC) / 2 - ((maxC - minC) / 2) * Math.cos((2 * Math.PI * (r.hour - 3)) / 24) - r.airC);
  }
  console.log(`hourly curve against ${misses.length} hours: bias ${mean(misses).toFixed(2)}, RMS ${rootMeanSquare(misses).toFixed(2)} °C; plain cosine RMS ${rootMeanSquare(plain).toFixed(2)} °C`); // prettier-ignore
  expect(misses.length).toBeGreaterThan(4000);
  expect(Math.abs(mean(misses))).toBeLessThan(0.5);
  expect(rootMeanSquare(misses)).toBeLessThan(0.5);
  expect(rootMeanSquare(misses)).toBeLessThan(0.75 * rootMeanSquare(plain));
});

const hour = (h: number) => h * 3_600_000;
const even = (minC: number, maxC: number, day: number): CurveDay => ({ minC, maxC, riseMs: hour(24 * day + 6), setMs: hour(24 * day + 18) }); // prettier-ignore

test("worked by hand from the published form: low 10 at 7:00, high 20 at 14:52, sunset, and half the night", () => {
  const two = [even(10, 20, 0), even(8, 20, 1)];
  const at = (h: number) => temperatureAt(two, hour(h))!;
  // Low an hour after sunrise; the high half of (12 + 2 · 1.86) h later.
  expect(at(7)).toBeCloseTo(10, 6);
  expect(at(7 + 7.86)).toBeCloseTo(20, 6);
  // Sunset is 11 h after the low: 10 + 10 sin(π · 11 / 15.72) = 18.10.
  expect(at(18)).toBeCloseTo(10 + 10 * Math.sin((Math.PI * 11) / 15.72), 6);
  expect(at(18)).toBeCloseTo(18.1, 1);
  // Half the night of 13 h: 8 + 10.10 · (e^−1.1 − e^−2.2) / (1 − e^−2.2).
  const sunset = at(18);
  expect(at(18 + 6.5)).toBeCloseTo(8 + ((sunset - 8) * (Math.exp(-1.1) - Math.exp(-2.2))) / (1 - Math.exp(-2.2)), 6);
  expect(at(31)).toBeCloseTo(8, 6);
});

test("it never leaves the span between the lows and the high, and says nothing beyond its days", () => {
  const days = [even(4, 15, 0), even(-2, 9, 1), even(5, 6, 2)];
  for (let h = 7; h < 66; h += 0.25) {
    const c = temperatureAt(days, hour(h))!;
    expect(c).toBeGreaterThanOrEqual(-2 - 1e-9);
    expect(c).toBeLessThanOrEqual(15 + 1e-9);
  }
  expect(temperatureAt(days, hour(2))).toBeUndefined();
  expect(temperatureAt(days, hour(70))).toBeUndefined();
  expect(temperatureAt([], hour(10))).toBeUndefined();
});
