import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { eq } from "drizzle-orm";
import { fieldErrors } from "~/core/issues";
import type { Db } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { forecastDay, forecastIssue, weatherDay, weatherFeed, type GardenRow } from "~/db/schema/index.server";
import type { StandInMode } from "~/adapters/simulated/modes";
import { stepDemoClock } from "~/services/garden/clock.server";
import { FeedForm, setFeed } from "~/services/sky/feeds.server";
import { HandWeatherForm, noteWeather } from "~/services/sky/hand-weather.server";
import { importWeather } from "~/services/sky/import-weather.server";
import { refreshInBackground, refreshWeather } from "~/services/sky/refresh-weather.server";
import { skyPage } from "~/services/sky/sky-page.server";
import { standIns } from "~/services/sky/stand-ins.server";
import { demoGarden, smallGarden } from "./garden-fixture";

const PATIENCE = { timeoutMs: 400, retries: 1, waitMs: 10 };
let db: Db;
let garden: GardenRow;

beforeEach(() => ({ db, garden } = demoGarden()));
afterEach(async () => {
  (await standIns(garden)).mode = "as usual";
});

/** A day passes; the feeds are asked with the stand-ins in a state. */
async function nextDay(mode: StandInMode): Promise<GardenRow> {
  stepDemoClock(db, 1);
  (await standIns(garden)).mode = mode;
  const now = theGarden(db)!;
  await refreshWeather(db, now, PATIENCE);
  return now;
}
const observedOn = (day: string) => db.select().from(weatherDay).where(eq(weatherDay.day, day)).get();
const feed = (kind: "forecast" | "station") => db.select().from(weatherFeed).where(eq(weatherFeed.kind, kind)).get()!;

test("a day passes: the station's day is on record, the new forecast is in the archive, its age is told", async () => {
  const now = await nextDay("as usual");
  expect(observedOn("2026-09-19")).toMatchObject({ minC: 9.4, maxC: 20.6, source: "simulated station" });
  const { sources } = skyPage(db, now, null);
  expect(sources.forecast.newest).toMatchObject({
    source: "simulated forecast service",
    issued: "Sun 20 Sep 07:00",
    stale: false,
  });
  expect([sources.forecast.error, sources.station.error]).toEqual([null, null]);
});

test.each([
  ["down", /answers 503/],
  ["slow", /did not answer within 0.4 seconds/],
  ["half a document", /breaks off/],
] as const)(
  "%s: the page stands on the last good data and says why and how old; nothing enters the record",
  async (mode, words) => {
    const before = db.select().from(forecastIssue).all().length;
    const now = await nextDay(mode);
    expect(observedOn("2026-09-19")).toBeUndefined();
    expect(db.select().from(forecastIssue).all()).toHaveLength(before);
    const { sources, days, cards } = skyPage(db, now, null);
    expect(sources.forecast.error).toMatch(words);
    expect(sources.station.error).toMatch(words);
    expect(sources.forecast.newest).toMatchObject({ age: "30 h old", stale: true });
    expect(days[0]!.source).toBe("forecast");
    expect(cards.some((c) => c.kind === "frost")).toBe(true);
    // Well again: both catch up, the missed day too.
    (await standIns(garden)).mode = "as usual";
    await refreshWeather(db, now, PATIENCE);
    expect(observedOn("2026-09-19")?.minC).toBe(9.4);
    expect(feed("forecast").lastError).toBeNull();
  },
);

test("°F told as °C are known by how far all days are from the usual: neither forecast nor record takes them", async () => {
  const now = await nextDay("wrong units");
  expect(feed("forecast").lastError).toMatch(/\d\d °C warmer than usual here, all of them: it seems to tell °F as °C/);
  expect(feed("station").lastError).toMatch(/it seems to tell °F as °C/);
  expect(observedOn("2026-09-19")).toBeUndefined();
  expect(Math.max(...skyPage(db, now, null).days.map((d) => d.maxC))).toBeLessThan(30);
});

test("figures that are no numbers: the forecast is refused, the station's half of readings makes no day", async () => {
  await nextDay("not numbers");
  expect(feed("forecast").lastError).toMatch(/No day of it can be used/);
  expect(feed("station").lastNote).toMatch(/readings are no readings.*2026-09-19 is left out: 12 of 24 hours/);
  expect(observedOn("2026-09-19")).toBeUndefined();
});

test("days told twice with two figures are left out and said; the issue before still speaks of them", async () => {
  const now = await nextDay("days twice");
  expect(feed("forecast").lastNote).toMatch(/2026-09-22: told twice, with different figures/);
  const newest = db.select().from(forecastIssue).all().sort((a, b) => a.issuedAt.localeCompare(b.issuedAt)).at(-1)!; // prettier-ignore
  const told = db.select().from(forecastDay).where(eq(forecastDay.issueId, newest.id)).all().map((d) => d.day); // prettier-ignore
  expect(told).not.toContain("2026-09-22");
  expect(told).toContain("2026-09-23");
  const day = skyPage(db, now, null).days.find((d) => d.day === "2026-09-22")!;
  expect(day.source).toBe("forecast");
  expect(day.minC).toBeGreaterThan(0);
  expect(observedOn("2026-09-19")).toBeDefined();
});

test("days missing from a forecast and hours missing from a station: the gaps are the usual weather and no record", async () => {
  const now = await nextDay("days missing");
  expect(observedOn("2026-09-19")).toBeUndefined();
  expect(feed("station").lastNote).toMatch(/6 of 24 hours have a good reading|2026-09-19 is left out/);
  expect(skyPage(db, now, null).days.every((d) => Number.isFinite(d.minC))).toBe(true);
});

test("a station that jumps 40 °C for six hours a day puts no day on record, and says what it did not believe", async () => {
  await nextDay("jumping 40 °C");
  expect(observedOn("2026-09-19")).toBeUndefined();
  expect(feed("station").lastNote).toMatch(
    /readings are not believed \(.* °C.*\).*2026-09-19 is left out: 18 of 24 hours/,
  );
  const highs = db.select().from(weatherDay).all().filter((d) => d.day >= "2026-09-01").map((d) => d.maxC); // prettier-ignore
  expect(Math.max(...highs)).toBeLessThan(32);
});

test("the clocks change while the demo runs on: every day is on record once, none is missing", async () => {
  stepDemoClock(db, 30);
  for (let n = 0; n < 8; n++) await nextDay("as usual");
  const days = db.select().from(weatherDay).all().map((d) => d.day).filter((d) => d >= "2026-10-20").sort(); // prettier-ignore
  expect(days).toEqual([
    "2026-10-20",
    "2026-10-21",
    "2026-10-22",
    "2026-10-23",
    "2026-10-24",
    "2026-10-25",
    "2026-10-26",
  ]);
});

test("asking in the background asks once, and not again until it is due", async () => {
  stepDemoClock(db, 1);
  const now = theGarden(db)!;
  refreshInBackground(db, now);
  refreshInBackground(db, now);
  await refreshWeather(db, now, PATIENCE);
  const issues = () =>
    db
      .select()
      .from(forecastIssue)
      .all()
      .filter((i) => i.issuedOn === "2026-09-20").length;
  expect(issues()).toBe(1);
  const tried = feed("forecast").lastTriedAt;
  refreshInBackground(db, now);
  expect(feed("forecast").lastTriedAt).toBe(tried);
});

test("a page does not wait for a slow service: it is shown first, the answer comes later", async () => {
  stepDemoClock(db, 1);
  (await standIns(garden)).mode = "slow";
  const now = theGarden(db)!;
  refreshInBackground(db, now);
  const view = skyPage(db, now, null);
  expect(view.sources.forecast).toMatchObject({ error: null, newest: { age: "30 h old" } });
  expect(feed("forecast").lastTriedAt).toBeNull();
  // The asking under way is the one that is waited for here; it ends with its own patience.
  await refreshWeather(db, now, PATIENCE);
  expect(feed("forecast").lastError).toMatch(/did not answer within 4 seconds/);
}, 60_000);

test("the archive keeps one issue for each day gone by", async () => {
  for (let n = 0; n < 3; n++) await nextDay("as usual");
  const days = db.select().from(forecastIssue).all().map((i) => i.issuedOn).filter((d) => d < "2026-09-22"); // prettier-ignore
  expect(new Set(days).size).toBe(days.length);
  expect(days.length).toBeGreaterThan(90);
});

test("an address is kept as typed; a household cannot take the demo's made-up weather; a bad address is refused", async () => {
  expect(
    FeedForm.safeParse({ kind: "forecast", mode: "address", url: "weather please" }).error?.issues[0]?.message,
  ).toMatch(/http:\/\//);
  expect(FeedForm.safeParse({ kind: "forecast", mode: "address", url: "file:///etc/passwd" }).success).toBe(false);
  const own = smallGarden();
  expect(setFeed(own.db, false, { kind: "station", mode: "stand-in", url: "" })).toMatchObject({ status: "refused" });
  const { forecastUrl } = await standIns(garden);
  expect(setFeed(own.db, false, { kind: "forecast", mode: "address", url: forecastUrl })).toEqual({ status: "set" });
  await refreshWeather(own.db, own.garden, PATIENCE);
  // The household's clock is today's; the stand-in's weather ends in 2027.
  expect(own.db.select().from(forecastIssue).all()).toHaveLength(1);
  setFeed(own.db, false, { kind: "forecast", mode: "none", url: "" });
  expect(own.db.select().from(weatherFeed).all()).toEqual([]);
  expect(own.db.select().from(forecastIssue).all()).toHaveLength(1);
});

test("weather by hand: a day gone by stays as noted whatever a station says; a day to come is a forecast", async () => {
  const note = (fields: object) => {
    const form = HandWeatherForm.safeParse({
      day: "2026-09-18",
      low: "−1,5",
      high: "12",
      rain: "",
      gust: "",
      ...fields,
    });
    return form.success ? noteWeather(db, garden, form.data) : { status: "refused", errors: fieldErrors(form.error) };
  };
  expect(note({})).toEqual({ status: "noted", as: "record" });
  expect(observedOn("2026-09-18")).toMatchObject({ minC: -1.5, maxC: 12, source: "by hand" });
  await nextDay("as usual");
  expect(observedOn("2026-09-18")?.minC).toBe(-1.5);
  expect(note({ day: "2026-09-21", low: "2", high: "9" })).toEqual({ status: "noted", as: "forecast" });
  expect(note({ day: "2026-09-22", low: "3", high: "8" })).toEqual({ status: "noted", as: "forecast" });
  const told = db
    .select()
    .from(forecastDay)
    .all()
    .filter((d) => d.maxC === 9 || d.maxC === 8);
  expect(told).toHaveLength(2);
  expect(note({ low: "20", high: "10" })).toMatchObject({
    errors: { high: "The high is below the low: check the figure." },
  });
  expect(note({ low: "cold" })).toMatchObject({ errors: { low: "Write the low as a number." } });
  expect(note({ rain: "-4" })).toMatchObject({ errors: { rain: expect.stringMatching(/below zero/) as string } });
  expect(note({ day: "2026-02-30" })).toMatchObject({ errors: { day: expect.stringMatching(/not a day/) as string } });
});

test("a forecast and a station's readings come in as JSON files too; damaged ones change nothing", async () => {
  const { forecastUrl, stationUrl } = await standIns(garden);
  const ask = async (url: string) => (await fetch(`${url}?as-of=2026-09-19T06:00:00Z`)).text();
  const [forecast, readings] = [await ask(forecastUrl), await ask(stationUrl)];
  const own = smallGarden();
  const counts = () => [own.db.select().from(weatherDay).all().length, own.db.select().from(forecastDay).all().length];
  expect(await importWeather(own.db, own.garden, readings.slice(0, 500), "x.json", {})).toMatchObject({
    status: "refused",
  });
  expect(await importWeather(own.db, own.garden, "[]", "x.json", {})).toMatchObject({ status: "refused" });
  expect(counts()).toEqual([0, 0]);
  // For a household whose today is later, days of September are the record.
  vi.setSystemTime(new Date("2026-11-29T08:00:00Z"));
  expect(await importWeather(own.db, own.garden, readings, "readings.json", {})).toMatchObject({
    status: "taken",
    forecast: 0,
  });
  expect(counts()[0]).toBeGreaterThan(80);
  expect(await importWeather(db, garden, forecast, "forecast.json", {})).toMatchObject({
    status: "taken",
    observed: 0,
    forecast: 11,
  });
});
