import { readFileSync } from "node:fs";
import { quantile as theirQuantile } from "simple-statistics";
import { expect, test } from "vitest";
import { readWeatherCsv } from "~/adapters/weather-csv.server";
import { addDays } from "~/core/calendar";
import { quantile } from "~/core/statistics";
import { frostDates, type DailyWeather } from "~/core/weather";

const read = readWeatherCsv(readFileSync("node_modules/vega-datasets/data/seattle-weather.csv", "utf8"), {
  wind: "m/s",
});
if (read.status !== "read") throw new Error("the Seattle file is read");
const seattle = read.days;
const years = ["2012", "2013", "2014", "2015"];

/** Frosts of the winter that begins, or ends, at mid July of a year. */
function winter(year: string, limit: number, which: "first" | "last"): string[] {
  const [from, to] =
    which === "first" ? [`${year}-07-15`, `${+year + 1}-07-14`] : [`${+year - 1}-07-15`, `${year}-07-14`];
  return seattle.filter((d) => d.day >= from && d.day <= to && d.minC <= limit).map((d) => d.day).sort(); // prettier-ignore
}

/** Independently: days from mid July to the frost nearest to it, then the library's quantile. */
function independent(limit: number, p: number, which: "first" | "last"): string {
  const offsets = years.map((y) => {
    const frosts = winter(y, limit, which);
    return (Date.parse(which === "first" ? frosts[0]! : frosts.at(-1)!) - Date.parse(`${y}-07-15`)) / 86_400_000;
  });
  return addDays("2025-07-15", Math.round(theirQuantile(offsets, p))).slice(5);
}

const seasonsWith = (limit: number, which: "first" | "last") => years.filter((y) => winter(y, limit, which).length > 0).length; // prettier-ignore

test.each([0, -1, -2.2])(
  "first and last frost at or below %d °C in Seattle, 2012 to 2015, against simple-statistics",
  (limit) => {
    const dates = frostDates(seattle, limit, 47.6);
    expect([dates.first.seasons, dates.last.seasons]).toEqual([4, 4]);
    for (const which of ["first", "last"] as const) {
      // Winters without such a frost have no date for the library to take.
      if (dates[which].without > 0) {
        expect(dates[which].without).toBe(4 - seasonsWith(limit, which));
        continue;
      }
      // The median of four lies midway by both; at 10 and 90 % the library takes the outer ones, ours interpolates.
      const scale = (date: string) => Date.parse(`${which === "first" && date < "07-15" ? 2026 : which === "last" && date >= "07-15" ? 2024 : 2025}-${date}`) / 86_400_000; // prettier-ignore
      const near = (ours: string | null, theirs: string) => Math.abs(scale(ours!) - scale(theirs));
      expect(near(dates[which].p50, independent(limit, 0.5, which))).toBeLessThanOrEqual(1);
      const spread = near(independent(limit, 0.05, which), independent(limit, 0.95, which));
      expect(near(dates[which].p10, independent(limit, 0.1, which))).toBeLessThanOrEqual(0.3 * spread + 1);
      expect(near(dates[which].p90, independent(limit, 0.9, which))).toBeLessThanOrEqual(0.3 * spread + 1);
      expect(scale(dates[which].p10!)).toBeLessThanOrEqual(scale(dates[which].p50!));
      expect(scale(dates[which].p50!)).toBeLessThanOrEqual(scale(dates[which].p90!));
    }
  },
);

test("our quantile is type 7: worked by hand, and close to the library's on a long series", () => {
  expect(quantile([1, 2, 3, 4], 0.1)).toBeCloseTo(1.3, 9);
  expect(quantile([4, 1, 3, 2], 0.5)).toBeCloseTo(2.5, 9);
  expect(quantile([7], 0.9)).toBe(7);
  expect(quantile([1, Infinity, Infinity], 0.9)).toBe(Infinity);
  const lows = seattle.map((d) => d.minC);
  for (const p of [0.1, 0.25, 0.5, 0.9]) expect(Math.abs(quantile(lows, p) - theirQuantile(lows, p))).toBeLessThan(0.2);
  expect(() => quantile([], 0.5)).toThrow(RangeError);
  expect(() => quantile([1], 1.2)).toThrow(RangeError);
});

const at = (day: string, minC: number): DailyWeather => ({ day, minC, maxC: minC + 10, rainMm: null, windKmh: null });

test("a year that is half missing does not count; a year without frost counts as never", () => {
  const mild = seattle.map((d) => (d.day < "2014-01-01" ? d : { ...d, minC: 5 }));
  const dates = frostDates(mild, 0, 47.6);
  expect(dates.first).toMatchObject({ seasons: 4, without: 2, p90: null });
  expect(dates.first.p10).not.toBeNull();
  const holes = seattle.filter((d) => !d.day.startsWith("2013") || d.day.slice(5) < "03-01");
  expect(frostDates(holes, 0, 47.6).first.seasons).toBe(3);
  expect(frostDates([], 0, 47.6).first).toEqual({ p10: null, p50: null, p90: null, seasons: 0, without: 0 });
});

test("south of the equator the year turns in January", () => {
  const days = Array.from({ length: 730 }, (_, n) => addDays("2025-01-15", n));
  const south = days.map((day) => at(day, day.slice(5) >= "06-10" && day.slice(5) <= "08-20" ? -1 : 8));
  const dates = frostDates(south, 0, -36);
  expect(dates.first).toMatchObject({ p10: "06-10", p50: "06-10", p90: "06-10", seasons: 2, without: 0 });
  expect(dates.last).toMatchObject({ p50: "08-20", seasons: 2 });
  // As if it lay in the north, its one frost of the year would count in both halves of the same summer.
  expect(frostDates(south, 0, 36).first.p50).toBe("07-15");
});
