import { readFileSync } from "node:fs";
import { expect, test } from "vitest";
import { seeded } from "~/core/statistics";
import { readWeatherCsv } from "./weather-csv.server";

const SEATTLE = readFileSync("node_modules/vega-datasets/data/seattle-weather.csv", "utf8");

test("the Seattle file: columns found, temperature and rain plain, wind asked for", () => {
  const first = readWeatherCsv(SEATTLE, {});
  expect(first).toMatchObject({
    status: "units unclear",
    ask: ["wind"],
    known: { temperature: "C", rain: "mm" },
    days: 1461,
  });
  const read = readWeatherCsv(SEATTLE, { wind: "m/s" });
  if (read.status !== "read") throw new Error(read.status);
  expect(read.days).toHaveLength(1461);
  expect(read.days[1]).toEqual({ day: "2012-01-02", minC: 2.8, maxC: 10.6, rainMm: 10.9, windKmh: 4.5 * 3.6 });
});

test("°F, inches and mph in the headers are turned into °C, mm and km/h; semicolons and tabs are understood", () => {
  for (const sep of [";", "\t", ","]) {
    const text = ["Date|Low (°F)|High (°F)|Rain (in)|Gust (mph)", "2026-05-01|41|59|0.5|20", "2026-05-02|32|50||"]
      .join("\n")
      .replace(/\|/g, sep);
    const read = readWeatherCsv(text, {});
    if (read.status !== "read") throw new Error(JSON.stringify(read));
    expect(read.days[0]).toEqual({
      day: "2026-05-01",
      minC: 5,
      maxC: 15,
      rainMm: 12.7,
      windKmh: expect.closeTo(32.18688, 6) as number,
    });
    expect(read.days[1]).toMatchObject({ minC: 0, maxC: 10, rainMm: null, windKmh: null });
  }
});

test("a short file that says no unit is asked about, not guessed", () => {
  expect(readWeatherCsv("date,min,max\n2026-05-01,38,45", {})).toMatchObject({
    status: "units unclear",
    ask: ["temperature"],
  });
  expect(readWeatherCsv("date,min,max\n2026-05-01,58,75", {})).toMatchObject({
    status: "read",
    units: { temperature: "F" },
  });
});

test.each([
  ["an empty file", "", /empty/],
  ["no columns for low and high", "date,rain,wind\n2026-05-01,1,2", /low and high/],
  ["the wrong separator", "date|x:temp_min/temp_max\n2026-05-01 3 9", /one column|No column/],
  ["a first line only", "date,temp_min_c,temp_max_c\n", /no days/],
  [
    "dates that do not exist",
    "date,tmin_c,tmax_c\n2026-02-30,1,2\n2026-13-01,1,2\n2026-06-31,1,2",
    /2026-02-30.*not a date/,
  ],
  [
    "the high below the low",
    "date,tmin_c,tmax_c\n2026-05-01,9,2\n2026-05-02,9,2\n2026-05-03,9,1",
    /high is below the low/,
  ],
  [
    "temperatures of no place on earth",
    "date,tmin_c,tmax_c\n2026-05-01,-300,2\n2026-05-02,-300,2\n2026-05-03,-300,2",
    /colder than any place/,
  ],
  [
    "text for numbers",
    "date,tmin_c,tmax_c\n2026-05-01,cold,warm\n2026-05-02,cold,warm\n2026-05-03,x,y",
    /not a number/,
  ],
])("%s is refused in a sentence", (_, text, words) => {
  const read = readWeatherCsv(text, {});
  expect(read.status).toBe("refused");
  if (read.status === "refused") expect(read.sentence).toMatch(words);
});

test("10,000 lines of rubbish are refused, with or without a good first line", () => {
  const random = seeded(5);
  const rubbish = Array.from({ length: 10_000 }, () =>
    Array.from({ length: 5 }, () => String.fromCharCode(33 + Math.floor(random() * 90))).join(""),
  ).join("\n");
  expect(readWeatherCsv(rubbish, {}).status).toBe("refused");
  expect(readWeatherCsv(`date,tmin_c,tmax_c\n${rubbish}`, { rain: "mm", wind: "km/h" }).status).toBe("refused");
});

test("a few bad lines in a long file are left out and told; a day given twice counts once", () => {
  const good = Array.from(
    { length: 100 },
    (_, i) => `2026-${String(1 + Math.floor(i / 28)).padStart(2, "0")}-${String(1 + (i % 28)).padStart(2, "0")},3,9`,
  );
  const read = readWeatherCsv(["date,tmin_c,tmax_c", ...good, "2026-01-01,4,8", "nonsense,1,2"].join("\n"), {});
  if (read.status !== "read") throw new Error(read.status);
  expect(read.days).toHaveLength(100);
  expect(read.skipped).toEqual([
    "line 102: 2026-01-01 is there twice",
    "line 103: “nonsense” is not a date like 2026-05-03",
  ]);
});
