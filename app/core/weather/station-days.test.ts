import { expect, test } from "vitest";
import { hoursOfDay } from "../calendar";
import { dewPoint, stationDays, type StationReading } from ".";

const ZONE = "Europe/London";
const day = (date: string, change: (n: number) => Partial<StationReading> = () => ({})): StationReading[] =>
  hoursOfDay(date, ZONE).map((at, n) => ({ at: at.toISOString(), airC: 10 + 5 * Math.sin((n - 8) / 4), humidity: 0.8, rainMm: n === 3 ? 1.25 : 0, windKmh: 10 + n, ...change(n) })); // prettier-ignore
const UNTIL = "2026-12-31";

test("a day of hourly readings gives its low and high, rain in all, strongest wind, mean dew point", () => {
  const { days, refused, leftOut } = stationDays(day("2026-09-19"), ZONE, UNTIL);
  expect([refused, leftOut]).toEqual([[], []]);
  const readings = day("2026-09-19");
  expect(days).toHaveLength(1);
  expect(days[0]).toMatchObject({ day: "2026-09-19", minC: Math.min(...readings.map((r) => r.airC)), maxC: Math.max(...readings.map((r) => r.airC)), rainMm: 1.3, windKmh: 33 }); // prettier-ignore
  expect(days[0]!.dewPointC).toBeCloseTo(readings.reduce((s, r) => s + dewPoint(r.airC, 0.8), 0) / 24, 1);
});

test.each([["2026-03-29", 23], ["2026-10-25", 25]])("the day the clocks change is a whole day: %s has %d hours", (date, hours) => {
  const readings = day(date);
  expect(readings).toHaveLength(hours);
  expect(stationDays(readings, ZONE, UNTIL).days.map((d) => d.day)).toEqual([date]);
}); // prettier-ignore

test("a jump of 40 °C is not believed, whether for an hour, for six, or for the whole day", () => {
  const jump = (from: number, to: number) => stationDays([...day("2026-09-18"), ...day("2026-09-19", (n) => (n >= from && n < to ? { airC: 52 } : {}))], ZONE, UNTIL, () => 10); // prettier-ignore
  const hour = jump(12, 13);
  expect(hour.refused).toHaveLength(1);
  expect(hour.refused[0]!.why).toMatch(/52 °C is far from what is usual/);
  expect(hour.days).toHaveLength(2);
  expect(hour.days[1]!.maxC).toBeLessThan(16);
  const six = jump(9, 15);
  expect(six.days.map((d) => d.day)).toEqual(["2026-09-18"]);
  expect(six.leftOut).toEqual([{ day: "2026-09-19", why: "18 of 24 hours have a good reading" }]);
  expect(jump(0, 24).days.map((d) => d.day)).toEqual(["2026-09-18"]);
});

test("a jump that stays within what can be is told by its suddenness", () => {
  const { refused } = stationDays(
    day("2026-09-19", (n) => (n === 12 ? { airC: 33 } : {})),
    ZONE,
    UNTIL,
    () => 10,
  );
  expect(refused).toMatchObject([{ why: expect.stringMatching(/^jumped from .* to 33 °C$/) as string }]);
});

test("a first reading that is far from all the rest is left out", () => {
  const { refused, days } = stationDays(
    day("2026-09-19", (n) => (n === 0 ? { airC: 50 } : {})),
    ZONE,
    UNTIL,
  );
  expect(refused).toHaveLength(1);
  expect(days[0]!.maxC).toBeLessThan(16);
});

test("impossible figures, figures told twice with two values, gaps and a thermometer that never moves make no day", () => {
  const why = (readings: StationReading[]) => {
    const found = stationDays(readings, ZONE, UNTIL);
    return [found.days.length, found.refused[0]?.why ?? found.leftOut[0]?.why];
  };
  expect(why(day("2026-09-19", (n) => (n === 5 ? { airC: NaN } : {})))).toEqual([1, "NaN °C cannot be"]);
  expect(why(day("2026-09-19", (n) => (n === 5 ? { airC: 140 } : {})))).toEqual([1, "140 °C cannot be"]);
  const [first] = day("2026-09-19");
  expect(why([...day("2026-09-19"), { ...first!, airC: first!.airC - 3 }])).toEqual([
    1,
    "told twice, with two figures",
  ]);
  expect(why([...day("2026-09-19"), ...day("2026-09-19")])).toEqual([1, undefined]);
  expect(why(day("2026-09-19").slice(0, 12))).toEqual([0, "12 of 24 hours have a good reading"]);
  expect(why(day("2026-09-19", () => ({ airC: 7 })))).toEqual([0, "the thermometer never moved"]);
});

test("a day that is not over is not taken; the order of readings does not matter", () => {
  expect(stationDays(day("2026-09-19"), ZONE, "2026-09-19").days).toEqual([]);
  expect(stationDays([...day("2026-09-19")].reverse(), ZONE, UNTIL)).toEqual(
    stationDays(day("2026-09-19"), ZONE, UNTIL),
  );
  expect(stationDays([], ZONE, UNTIL)).toEqual({ days: [], refused: [], leftOut: [] });
});
