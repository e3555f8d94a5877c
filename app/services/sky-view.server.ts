import { count, desc, max, min, sql } from "drizzle-orm";
import { addDays, dayAndMonth, localMoment, shortDay, sunTimes, twilight, weekday } from "~/core/calendar";
import { hazardCards } from "~/core/garden";
import { SLOTS, SKILLS } from "~/core/hands";
import { FREEZE_CLASSES, inTenths, nightOddsBelow } from "~/core/hazards";
import {
  HEAT_CARE_C,
  HEAT_STOP_C,
  errorAt,
  frostDates,
  heatSoFar,
  monthlyDegreeDays,
  trackIndex,
  type DateOdds,
} from "~/core/weather";
import type { Db } from "~/db/client.server";
import { busyTime, dayMinutes, helper, trip, weatherDay, weatherFeed, type GardenRow } from "~/db/schema.server";
import { bandsOf } from "./bands.server";
import { measuredErrorOf, newestForecast } from "./forecast-archive.server";
import { gardenNow } from "./garden-now.server";
import { handsRules } from "./garden-state.server";
import { cropsOf } from "./household-crops.server";
import { plannedGarden, type PlannedGarden } from "./outlook.server";

export type SkyView = ReturnType<typeof skyView>;

const WEEKDAYS = ["Mo", "Tu", "We", "Th", "Fr", "Sa", "Su"];
/** Odds that are worth a line in the strip. */
const SHOWN = 0.1;
/** Leads whose measured error is told, days. */
const TOLD_LEADS = [1, 3, 5, 7, 10];
/** Bases of the heat sums shown, °C: cool-season and warm-season crops (common practice). */
const HEAT_BASES = [5, 10];

/**
 * What is coming, for which bed, and when hands are free.
 *
 * @param shownDay - the day whose hours are wanted, if any
 */
export function skyView(db: Db, row: GardenRow, shownDay: string | null) {
  const planned = plannedGarden(db, row);
  const { outlook, today, plan } = planned;
  const rules = handsRules(db);
  const exceptions = new Set(db.select().from(dayMinutes).all().map((d) => d.day)); // prettier-ignore
  const shown = outlook.terms.find((t) => t.day === shownDay && t.hours);
  return {
    today,
    units: row.unitSystem,
    demo: row.demoDay !== null,
    days: daysOf(planned, exceptions),
    bands: bandsOf(planned),
    cards: hazardCards(outlook, plan.picks, row.unitSystem),
    shown: shown ? dayShown(planned, row, shown.day, exceptions) : null,
    trips: db
      .select()
      .from(trip)
      .all()
      .filter((t) => t.toDay >= today)
      .sort((a, b) => a.fromDay.localeCompare(b.fromDay))
      .map((t) => ({ ...t, from: shortDay(t.fromDay), to: shortDay(t.toDay) })),
    busy: busyAhead(db, today),
    week: rules.minutesByWeekday.map((slots) => SLOTS.map((slot) => slots[slot])),
    helpers: db.select().from(helper).all(),
    skills: SKILLS,
    crops: helperCrops(db, planned),
    sources: sourcesOf(db, row),
    record: recordOf(db, row, planned),
  };
}

function daysOf({ outlook, today }: PlannedGarden, exceptions: ReadonlySet<string>) {
  const { track } = outlook;
  const offset = trackIndex(track, today);
  const beds = [...new Map(outlook.plantings.map((p) => [p.bed.id, p.bed])).values()];
  const nights = beds.map((bed) => ({
    name: bed.name,
    nights: nightOddsBelow(track, bed.kind, FREEZE_CLASSES.light, outlook.days.length, outlook.coverGainC(bed.id)),
  }));
  return outlook.days.map((day, n) => {
    const at = offset + n;
    const terms = outlook.terms[n]!;
    const storm = outlook.storms[n]!;
    const worst = nights.map((b) => ({ name: b.name, odds: b.nights[n]!.odds })).sort((a, b) => b.odds - a.odds)[0];
    const called = track.source[at + 1] !== "normal";
    return {
      day,
      label: `${WEEKDAYS[weekday(day)]} ${Number(day.slice(8))}`,
      name: shortDay(day),
      source: track.source[at]!,
      minC: track.minC[at]!,
      maxC: track.maxC[at]!,
      missC: track.missMinC[at]!,
      rainMm: track.rainMm[at] ?? null,
      windKmh: track.windKmh[at] ?? null,
      /** Of the night after this day, in the coldest bed. */
      frost: called && worst && worst.odds >= SHOWN ? { odds: inTenths(worst.odds), bed: worst.name, strong: worst.odds >= 0.3 } : null, // prettier-ignore
      storm: stormWords(storm),
      leaves: leafWords(terms),
      hasHours: terms.hours !== undefined,
      away: terms.hands.away,
      helper: terms.hands.helper?.name ?? null,
      minutes: terms.minutes,
      because: terms.hands.because,
      own: exceptions.has(day),
    };
  });
}

/** The likeliest of what a storm brings; the card tells the rest. */
function stormWords(s: { gustOdds: number; soakOdds: number; hailOdds: number; thunderOdds: number }): string {
  const [worst] = (
    [
      ["gale", s.gustOdds],
      ["soaking", s.soakOdds],
      ["hail", s.hailOdds],
      ["thunder", s.thunderOdds],
    ] as const
  ).toSorted((a, b) => b[1] - a[1]);
  return worst && worst[1] >= 0.3 ? `${worst[0]} ${inTenths(worst[1])}` : "";
}

/** From when leaves are dry, in a word or a time. */
function leafWords(terms: PlannedGarden["outlook"]["terms"][number]): string {
  if (!terms.hours) return "";
  if (terms.wetAllDay) return terms.hours.rainHoursKnown ? "not at all" : "rain about";
  return terms.dryFrom ? terms.dryFrom.replace(/^0/, "") : "all day";
}

function dayShown({ outlook }: PlannedGarden, row: GardenRow, day: string, exceptions: ReadonlySet<string>) {
  const terms = outlook.terms.find((t) => t.day === day)!;
  return {
    day,
    name: shortDay(day),
    own: exceptions.has(day),
    slots: terms.hands.slots,
    because: terms.hands.because,
    hotSlots: terms.hotSlots,
    leaves: leafWords(terms),
    rainHoursKnown: terms.hours!.rainHoursKnown,
    light: lightWords(row, day),
    hours: terms.hours!.hours.map((h) => ({
      clock: h.clock,
      airC: Math.round(h.airC * 10) / 10,
      dewPointC: Math.round(h.dewPointC * 10) / 10,
      rainMm: Math.round(h.rainMm * 10) / 10,
      wet: h.leavesWet,
      stop: h.heatIndexC >= HEAT_STOP_C ? ("heat" as const) : h.thunderOdds >= 0.3 ? ("thunder" as const) : null,
      hot: h.heatIndexC >= HEAT_CARE_C,
      sun: h.sunIsUp,
    })),
  };
}

/** Sunrise, sunset and how long there is light to work by. */
function lightWords({ latitude, longitude, timeZone }: GardenRow, day: string): string {
  const sun = sunTimes(day, latitude, longitude);
  if (sun.status !== "ok") return "The sun neither rises nor sets.";
  const clock = (at: Date) => localMoment(at, timeZone).slice(11);
  const light = twilight(day, latitude, longitude);
  const dark = light ? `; light to work by from ${clock(light.dawnAt)} to ${clock(light.duskAt)}` : "";
  return `Sun ${clock(sun.riseAt)} to ${clock(sun.setAt)}${dark}.`;
}

/** Busy times ahead: how many, and the next few. */
function busyAhead(db: Db, today: string) {
  const ahead = db.select().from(busyTime).all().filter((b) => b.toAt > `${today}T00:00`).sort((a, b) => a.fromAt.localeCompare(b.fromAt)); // prettier-ignore
  return {
    count: ahead.length,
    next: ahead.slice(0, 3).map((b) => `${b.name}, ${shortDay(b.fromAt.slice(0, 10))} ${b.fromAt.slice(11)} to ${b.toAt.slice(11)}`), // prettier-ignore
  };
}

/** Crops that grow here, for a helper's list. */
function helperCrops(db: Db, { outlook }: PlannedGarden) {
  const growing = new Set(outlook.plantings.map((p) => p.crop.id));
  return cropsOf(db)
    .filter((c) => growing.has(c.id))
    .map((c) => ({ id: c.id, name: c.name }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** How long ago, as it is said. */
function ago(from: string | null, now: Date): string | null {
  if (!from) return null;
  const hours = (now.getTime() - Date.parse(from)) / 3_600_000;
  if (hours < 1) return `${Math.max(1, Math.round(hours * 60))} min old`;
  if (hours < 36) return `${Math.round(hours)} h old`;
  return `${Math.round(hours / 24)} days old`;
}

function sourcesOf(db: Db, row: GardenRow) {
  const now = gardenNow(row);
  const feeds = db.select().from(weatherFeed).all();
  const { newest } = newestForecast(db, localMoment(now, row.timeZone).slice(0, 10));
  const lastDay = db.select({ day: weatherDay.day, source: weatherDay.source }).from(weatherDay).orderBy(desc(weatherDay.day)).get(); // prettier-ignore
  const feed = (kind: "forecast" | "station") => {
    const set = feeds.find((f) => f.kind === kind);
    return {
      mode: set?.mode ?? ("none" as const),
      url: set?.url ?? "",
      error: set?.lastError ?? null,
      note: set?.lastNote ?? null,
    };
  };
  const issued = newest ? localMoment(new Date(newest.issuedAt), row.timeZone) : null;
  return {
    forecast: {
      ...feed("forecast"),
      newest: newest && issued ? { source: newest.source, issued: `${shortDay(issued.slice(0, 10))} ${issued.slice(11)}`, age: ago(newest.issuedAt, now)!, stale: now.getTime() - Date.parse(newest.issuedAt) > 26 * 3_600_000 } : null, // prettier-ignore
    },
    station: { ...feed("station"), last: lastDay ? { day: shortDay(lastDay.day), source: lastDay.source } : null },
  };
}

function recordOf(db: Db, row: GardenRow, { outlook, today }: PlannedGarden) {
  const observed = db.select().from(weatherDay).all();
  const span = db
    .select({ days: count(), from: min(weatherDay.day), to: max(weatherDay.day) })
    .from(weatherDay)
    .get();
  const error = measuredErrorOf(db, observed, row.latitude);
  const issues = db.get<{ n: number }>(sql`select count(distinct issued_on) as n from forecast_issue`).n;
  const year = today.slice(0, 4);
  const start = row.latitude >= 0 ? `${year}-01-01` : today.slice(5) >= "07-01" ? `${year}-07-01` : `${Number(year) - 1}-07-01`; // prettier-ignore
  return {
    days: span?.days ?? 0,
    from: span?.from ?? null,
    to: span?.to ?? null,
    normalYears: outlook.normalYears,
    issues,
    pairs: error.pairs,
    errors: TOLD_LEADS.map((lead) => {
      const at = errorAt(error, lead);
      return { lead, pairs: at.pairs, lowBias: at.minC.bias, low: at.minC.spread, high: at.maxC.spread };
    }),
    frost: [FREEZE_CLASSES.light, FREEZE_CLASSES.moderate].map((limit) => {
      const dates = frostDates(observed, limit, row.latitude);
      return {
        limitC: limit,
        last: sayDates(dates.last),
        first: sayDates(dates.first),
        seasons: Math.max(dates.last.seasons, dates.first.seasons),
      };
    }),
    heat: HEAT_BASES.map((base) => {
      const so = heatSoFar(observed, outlook.normals, start, today, base);
      return { base, sum: Math.round(so.sum), usual: Math.round(so.usual), daysAhead: Math.round(so.daysAhead), observedDays: so.observedDays, months: monthlyDegreeDays(outlook.normals, base).map(Math.round) }; // prettier-ignore
    }),
    yesterday: addDays(today, -1),
  };
}

/** "29 Sep", "16 Oct" …; null where too few years have seen it. */
function sayDates({ p10, p50, p90, seasons, without }: DateOdds) {
  const say = (date: string | null) => (date ? dayAndMonth(`2025-${date}`, "2025") : null);
  return { p10: say(p10), p50: say(p50), p90: say(p90), seasons, without };
}
