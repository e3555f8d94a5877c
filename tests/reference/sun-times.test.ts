import { Body, Observer, SearchAltitude, SearchRiseSet } from "astronomy-engine";
import { expect, test } from "vitest";
import { sunTimes, twilight } from "~/core/calendar";

/** Widest difference allowed, minutes. Measured over these cases: 1.2 (the tests print the widest). */
const TOLERANCE_MINUTES = 2;
let widest = 0;

const places: [string, number, number][] = [
  ["52° north", 52.4, -0.6],
  ["the equator", 0, 36.8],
  ["south of the equator", -36.8, 174.8],
  ["the west", 47.6, -122.3],
  ["the north", 60.2, 24.9],
];
const days = ["2026-01-15", "2026-03-20", "2026-06-21", "2026-09-23", "2026-12-21", "2028-02-29"];

test.each(places.flatMap(([name, lat, lon]) => days.map((day) => [name, day, lat, lon] as const)))(
  "rise and set at %s on %s match astronomy-engine",
  (_, day, lat, lon) => {
    const ours = sunTimes(day, lat, lon);
    if (ours.status !== "ok") throw new Error("the sun rises there");
    const midnight = new Date(Date.parse(`${day}T00:00:00Z`) - (lon / 360) * 86_400_000);
    const observer = new Observer(lat, lon, 0);
    for (const [direction, at] of [
      [1, ours.riseAt],
      [-1, ours.setAt],
    ] as const) {
      const theirs = SearchRiseSet(Body.Sun, observer, direction, midnight, 1)?.date;
      const minutes = Math.abs(+at - +(theirs ?? NaN)) / 60_000;
      widest = Math.max(widest, minutes);
      expect(minutes).toBeLessThan(TOLERANCE_MINUTES);
    }
  },
);

test.each(places.flatMap(([name, lat, lon]) => days.map((day) => [name, day, lat, lon] as const)))(
  "civil twilight at %s on %s matches astronomy-engine",
  (_, day, lat, lon) => {
    const ours = twilight(day, lat, lon);
    const midnight = new Date(Date.parse(`${day}T00:00:00Z`) - (lon / 360) * 86_400_000);
    const observer = new Observer(lat, lon, 0);
    const dawn = SearchAltitude(Body.Sun, observer, 1, midnight, 1, -6)?.date;
    const dusk = SearchAltitude(Body.Sun, observer, -1, midnight, 1, -6)?.date;
    if (!ours || !dawn || !dusk) throw new Error("there is twilight there");
    expect(Math.abs(+ours.dawnAt - +dawn) / 60_000).toBeLessThan(TOLERANCE_MINUTES);
    expect(Math.abs(+ours.duskAt - +dusk) / 60_000).toBeLessThan(TOLERANCE_MINUTES);
  },
);

test("the widest difference is told", () => {
  console.log(
    `sunrise and sunset: widest difference ${widest.toFixed(2)} min over ${places.length * days.length * 2} cases`,
  );
  expect(widest).toBeGreaterThan(0);
});

test("midsummer in the far north has neither rise nor twilight", () => {
  expect(sunTimes("2026-06-21", 78.2, 15.6).status).toBe("no rise or set");
  expect(twilight("2026-06-21", 78.2, 15.6)).toBeUndefined();
});
test.each([[91, 0], [0, 181], [NaN, 0]])("%d, %d is not on the globe", (lat, lon) => expect(() => sunTimes("2026-06-21", lat, lon)).toThrow(RangeError)); // prettier-ignore
