import fc from "fast-check";
import { expect, test } from "vitest";
import { readForecast, readStation } from "./weather-json.server";

const UNITS = { temperature: "C", rain: "mm", wind: "km/h" };
const DAY = { day: "2026-09-19", low: 9, high: 20, rain: 0, gust: 14 };
const forecast = (change: object = {}) =>
  JSON.stringify({ issuedAt: "2026-09-19T06:00:00Z", units: UNITS, days: [DAY], ...change });

test("a forecast is read with its units turned into °C, mm and km/h", () => {
  const text = forecast({
    units: { temperature: "F", rain: "in", wind: "mph" },
    days: [
      {
        day: "2026-09-19",
        low: 41,
        high: 59,
        rain: 0.5,
        gust: 20,
        dewPoint: 32,
        cloud: 0.4,
        thunderOdds: 0.1,
        hailOdds: 0,
      },
    ],
    hours: [{ at: "2026-09-19T06:00:00Z", temperature: 50, rain: 0 }],
  });
  const read = readForecast(text);
  if (read.status !== "read") throw new Error(read.sentence);
  expect(read.days).toEqual([{ day: "2026-09-19", minC: 5, maxC: 15, rainMm: 12.7, windKmh: expect.closeTo(32.187, 2) as number, dewPointC: 0, cloudShare: 0.4, thunderOdds: 0.1, hailOdds: 0 }]); // prettier-ignore
  expect(read.hours).toMatchObject([{ airC: 10, rainMm: 0, windKmh: null }]);
  expect(read.leftOut).toEqual([]);
});

test.each<[string, string, RegExp]>([
  ["nothing", "", /empty/],
  ["half a document", forecast().slice(0, 60), /breaks off or is not JSON/],
  ["a page instead", "<html>Busy</html>", /not JSON/],
  ["no units", JSON.stringify({ issuedAt: "2026-09-19T06:00:00Z", days: [DAY] }), /units/],
  ["units nobody knows", forecast({ units: { ...UNITS, temperature: "K" } }), /units\.temperature/],
  ["no instant of issue", forecast({ issuedAt: "yesterday" }), /issuedAt is not an instant/],
  ["no days", forecast({ days: [] }), /no day/],
  ["days that are none", forecast({ days: [{ ...DAY, low: "NaN" }] }), /No day of it can be used/],
  ["a list", "[1, 2]", /cannot be read/],
])("%s is refused in a sentence", (_, text, words) => {
  const read = readForecast(text);
  expect(read.status === "refused" ? read.sentence : "").toMatch(words);
});

test("one bad day is left out and said, the good ones stay; a day told twice alike counts once", () => {
  const days = [DAY, { ...DAY, day: "2026-09-20", low: null }, { ...DAY, day: "2026-09-21", high: 2 }, { ...DAY, day: "2026-09-31" }, { ...DAY, day: "2026-09-22" }, { ...DAY, day: "2026-09-22" }, { ...DAY, day: "2026-09-23" }, { ...DAY, day: "2026-09-23", low: -30 }]; // prettier-ignore
  const read = readForecast(forecast({ days, hours: [{ at: "noon" }] }));
  if (read.status !== "read") throw new Error(read.sentence);
  expect(read.days.map((d) => d.day)).toEqual(["2026-09-19", "2026-09-22"]);
  expect(read.leftOut).toHaveLength(5);
  expect(read.leftOut.join(" ")).toMatch(
    /high is below the low.*2026-09-23: told twice, with different figures.*1 hours cannot be read/s,
  );
});

test("readings of a station: what is no reading is counted out", () => {
  const good = { at: "2026-09-19T06:00:00Z", temperature: 9.5, humidity: 0.9, rain: 0.2, gust: 7 };
  const read = readStation(JSON.stringify({ units: UNITS, readings: [good, { ...good, temperature: "NaN" }, { ...good, humidity: 90 }, { ...good, at: "06:00" }, null] })); // prettier-ignore
  expect(read).toMatchObject({ status: "refused" });
  const four = readStation(JSON.stringify({ units: UNITS, readings: [good, { ...good, temperature: "NaN" }, { ...good, humidity: 90 }, { ...good, at: "06:00" }] })); // prettier-ignore
  if (four.status !== "read") throw new Error(four.sentence);
  expect(four.readings).toHaveLength(1);
  expect(four.leftOut).toEqual(["3 readings are no readings."]);
});

test("whatever is sent, the answer is a reading or a sentence, and no figure that is none gets through", () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.json(),
        fc.jsonValue().map((days) => forecast({ days: [days] })),
      ),
      (text) => {
        const read = readForecast(text);
        if (read.status === "refused") return read.sentence.length > 5;
        return read.days.every((d) => Number.isFinite(d.minC) && Number.isFinite(d.maxC));
      },
    ),
    { numRuns: 400, seed: 7 },
  );
});
