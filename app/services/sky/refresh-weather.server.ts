import { httpForecast, httpStation } from "~/adapters/http-weather.server";
import { USUAL_PATIENCE, type Patience } from "~/adapters/fetch-text.server";
import { addDays, dayOfYear, instantOf, localMoment, type IsoDay } from "~/core/calendar";
import { borneOut, stationDays, type DailyWeather } from "~/core/weather";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allFeeds, feedOf, updateFeed, type FeedKind, type FeedRow } from "~/db/sky/feeds.server";
import { saveForecast } from "~/db/sky/forecasts.server";
import { observedDays, saveObserved } from "~/db/sky/weather.server";
import { WeatherUnreachable } from "~/ports/weather-unreachable";
import { gardenNow, todayOf } from "../garden/clock.server";
import { normalsOf } from "../garden/normals.server";
import { standIns } from "./stand-ins.server";

/** A good answer is good for this long; after a failure it is asked again sooner. */
const FRESH_MS = 30 * 60_000;
const AGAIN_MS = 2 * 60_000;
/** Farther back than this a station is not asked. */
const MOST_DAYS_BACK = 60;
/** Weather this far from the garden's usual, on the mean of its days, is in another unit: our judgement. */
const UNLIKELY_C = 15;

const underWay = new WeakMap<Db, Map<string, Promise<void>>>();
const lastTry = new WeakMap<Db, Map<string, number>>();

/** A feed and, in the demo, the day of its clock: another day is another question. */
const askedFor = (kind: FeedKind, row: GardenRow) => `${kind} ${row.demoDay ?? ""}`;

/** Asks the feeds that are due, without anybody waiting for it. */
export function refreshInBackground(db: Db, row: GardenRow): void {
  for (const feed of allFeeds(db)) if (isDue(db, row, feed)) void refreshFeed(db, row, feed.kind, USUAL_PATIENCE);
}

/** Asks all feeds and waits, but no longer than `patience` allows. */
export async function refreshWeather(db: Db, row: GardenRow, patience: Patience = USUAL_PATIENCE): Promise<void> {
  const feeds = allFeeds(db);
  await Promise.all(feeds.map((feed) => refreshFeed(db, row, feed.kind, patience)));
}

function isDue(db: Db, row: GardenRow, feed: FeedRow): boolean {
  const tried = lastTry.get(db)?.get(askedFor(feed.kind, row));
  if (tried === undefined) return true;
  return Date.now() - tried >= (feed.lastError ? AGAIN_MS : FRESH_MS);
}

/** One asking at a time; whoever comes meanwhile waits for the same answer. */
function refreshFeed(db: Db, row: GardenRow, kind: FeedKind, patience: Patience): Promise<void> {
  const running = underWay.get(db) ?? new Map<string, Promise<void>>();
  underWay.set(db, running);
  const asked = askedFor(kind, row);
  const known = running.get(asked);
  if (known) return known;
  const tries = lastTry.get(db) ?? new Map<string, number>();
  lastTry.set(db, tries.set(asked, Date.now()));
  const asking = ask(db, row, kind, patience).finally(() => running.delete(asked));
  running.set(asked, asking);
  return asking;
}

async function ask(db: Db, row: GardenRow, kind: FeedKind, patience: Patience): Promise<void> {
  const now = gardenNow(row).toISOString();
  const note = (change: Partial<FeedRow>) => updateFeed(db, kind, { lastTriedAt: now, ...change });
  try {
    const feed = feedOf(db, kind);
    if (!feed) return;
    const said =
      kind === "forecast" ? await askForecast(db, row, feed, patience) : await askStation(db, row, feed, patience);
    note({ lastOkAt: now, lastError: null, lastNote: said || null });
  } catch (error) {
    if (!(error instanceof WeatherUnreachable)) console.error(error);
    try {
      note({ lastError: error instanceof WeatherUnreachable ? error.message : "Reading it failed on our side." });
    } catch {
      // The garden's file was closed meanwhile: there is nobody left to tell.
    }
  }
}

async function addressOf(row: GardenRow, feed: FeedRow): Promise<{ name: string; url: string }> {
  if (feed.mode === "address") return { name: new URL(feed.url!).host, url: feed.url! };
  const simulated = await standIns(row);
  return feed.kind === "forecast"
    ? { name: "simulated forecast service", url: simulated.forecastUrl }
    : { name: "simulated station", url: simulated.stationUrl };
}

async function askForecast(db: Db, row: GardenRow, feed: FeedRow, patience: Patience): Promise<string> {
  const { name, url } = await addressOf(row, feed);
  const issue = await httpForecast(name, url, patience).newest(gardenNow(row));
  refuseOtherUnits(db, row, issue.days);
  const issuedOn = localMoment(new Date(issue.issuedAt), row.timeZone).slice(0, 10);
  const days = issue.days.filter((d) => d.day >= issuedOn);
  if (days.length === 0) throw new WeatherUnreachable("Its newest forecast speaks of days gone by only.");
  if (issuedOn > addDays(todayOf(row), 1))
    throw new WeatherUnreachable(`It says that it was issued on ${issuedOn}, a day still to come.`);
  saveForecast(db, {
    source: name,
    issuedAt: new Date(issue.issuedAt).toISOString(),
    issuedOn,
    days,
    hours: issue.hours,
  });
  return sayLeftOut(issue.leftOut);
}

async function askStation(db: Db, row: GardenRow, feed: FeedRow, patience: Patience): Promise<string> {
  const { name, url } = await addressOf(row, feed);
  const today = todayOf(row);
  const from = firstMissing(db, today);
  if (from >= today) return "";
  const report = await httpStation(name, url, patience).readings(
    instantOf(`${from}T00:00`, row.timeZone),
    gardenNow(row),
  );
  const normals = normalsOf(db, row);
  const usualC = (at: Date) => {
    const doy = dayOfYear(localMoment(at, row.timeZone).slice(0, 10));
    return (normals.minC[doy]! + normals.maxC[doy]!) / 2;
  };
  const { days, refused, leftOut } = stationDays(report.readings, row.timeZone, today, usualC);
  const wanted = days.filter((d) => d.day >= from);
  // Where nearly nothing is believed, the reason may be the unit: that is worth saying.
  if (wanted.length === 0 && report.readings.length > 24)
    refuseAsOtherUnits(
      report.readings.map((r) => r.airC),
      usualC(gardenNow(row)),
    );
  refuseOtherUnits(db, row, wanted);
  saveObserved(db, wanted, name);
  return sayLeftOut([
    ...report.leftOut,
    ...(refused.length > 0 ? [`${refused.length} readings are not believed (${refused[0]!.why}).`] : []),
    ...leftOut.filter((d) => d.day >= from).map((d) => `${d.day} is left out: ${d.why}.`),
  ]);
}

/** The day after the last observed one before a gap of the last weeks. */
function firstMissing(db: Db, today: IsoDay): IsoDay {
  const seen = new Set(observedDays(db).map((d) => d.day));
  for (let back = MOST_DAYS_BACK; back > 0; back--) if (!seen.has(addDays(today, -back))) return addDays(today, -back);
  return today;
}

/** Degrees of the other kind pass every limit in a mild season: they are known by how far all days are from the usual. */
function refuseOtherUnits(db: Db, row: GardenRow, days: readonly DailyWeather[]): void {
  if (days.length === 0 || borneOut(days, observedDays(db))) return;
  const normals = normalsOf(db, row);
  const off = days.reduce((sum, d) => {
    const doy = dayOfYear(d.day);
    return sum + (d.minC + d.maxC - normals.minC[doy]! - normals.maxC[doy]!) / 2;
  }, 0);
  refuseMean(off / days.length);
}

function refuseAsOtherUnits(airs: readonly number[], usualC: number): void {
  refuseMean(airs.reduce((sum, c) => sum + c, 0) / airs.length - usualC);
}

function refuseMean(mean: number): void {
  if (Math.abs(mean) > UNLIKELY_C)
    throw new WeatherUnreachable(
      `Its days are ${Math.round(Math.abs(mean))} °C ${mean > 0 ? "warmer" : "colder"} than usual here, all of them: it seems to tell °${mean > 0 ? "F as °C" : "C as °F"}. Is it right? Note yesterday by hand below, and what goes on from it is believed.`,
    );
}

const sayLeftOut = (sentences: readonly string[]) =>
  sentences.length > 3 ? `${sentences.slice(0, 3).join(" ")} And ${sentences.length - 3} more.` : sentences.join(" ");
