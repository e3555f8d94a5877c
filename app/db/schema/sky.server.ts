import { index, integer, real, sqliteTable, text, uniqueIndex } from "drizzle-orm/sqlite-core";
import { SLOTS, type Skill } from "~/core/hands";
import { COVER_KINDS } from "~/core/hazards";
import { bed } from "./beds.server";

/** Figures of one day of weather, as `DailyWeather` of the core. */
const figures = {
  minC: real().notNull(),
  maxC: real().notNull(),
  rainMm: real(),
  windKmh: real(),
  dewPointC: real(),
  cloudShare: real(),
};

/** The record: what the station, a file or the household saw. */
export const weatherDay = sqliteTable(
  "weather_day",
  {
    day: text().notNull(),
    ...figures,
    /** File, station or "by hand". */
    source: text().notNull(),
    importedAt: text().notNull(),
  },
  (t) => [uniqueIndex("weather_day_once").on(t.day)],
);

/** A forecast as it was issued; all are kept, so that their errors can be measured. */
export const forecastIssue = sqliteTable(
  "forecast_issue",
  {
    id: text().primaryKey(),
    source: text().notNull(),
    issuedAt: text().notNull(),
    /** Day of issue in the garden's own calendar. */
    issuedOn: text().notNull(),
    fetchedAt: text().notNull(),
    /** Hours of the first days as JSON, when the service tells them; dropped once they are past. */
    hours: text(),
  },
  (t) => [uniqueIndex("forecast_issue_once").on(t.source, t.issuedAt), index("forecast_issue_day").on(t.issuedOn)],
);

export const forecastDay = sqliteTable(
  "forecast_day",
  {
    issueId: text()
      .notNull()
      .references(() => forecastIssue.id, { onDelete: "cascade" }),
    day: text().notNull(),
    ...figures,
    thunderOdds: real(),
    hailOdds: real(),
  },
  (t) => [uniqueIndex("forecast_day_once").on(t.issueId, t.day)],
);

/** Where weather is fetched from, and how the last tries went. */
export const weatherFeed = sqliteTable("weather_feed", {
  kind: text({ enum: ["forecast", "station"] }).primaryKey(),
  /** The simulated stand-in that ships with the app, or an address. */
  mode: text({ enum: ["stand-in", "address"] }).notNull(),
  url: text(),
  lastOkAt: text(),
  lastTriedAt: text(),
  /** Why the last try failed, in a sentence; empty when it went well. */
  lastError: text(),
  /** Readings or days that were not believed at the last good fetch, in a sentence. */
  lastNote: text(),
});

/** A bed covered for a night. */
export const coverNight = sqliteTable(
  "cover_night",
  {
    bedId: text()
      .notNull()
      .references(() => bed.id, { onDelete: "cascade" }),
    evening: text().notNull(),
    cover: text({ enum: COVER_KINDS }).notNull(),
  },
  (t) => [uniqueIndex("cover_night_once").on(t.bedId, t.evening)],
);

export const trip = sqliteTable(
  "trip",
  {
    id: text().primaryKey(),
    name: text().notNull(),
    fromDay: text().notNull(),
    toDay: text().notNull(),
    /** Hour of leaving on the first day and of being back on the last; empty = away all day. */
    leaveAt: text(),
    backAt: text(),
    /** Event of an imported calendar, so that taking the file in again changes and does not double. */
    calendarKey: text(),
  },
  (t) => [uniqueIndex("trip_calendar").on(t.calendarKey)],
);

/** Time taken by something else, from an imported calendar; moments of the garden's own clock. */
export const busyTime = sqliteTable(
  "busy_time",
  {
    id: text().primaryKey(),
    name: text().notNull(),
    fromAt: text().notNull(),
    toAt: text().notNull(),
    calendarKey: text().notNull(),
  },
  (t) => [uniqueIndex("busy_calendar").on(t.calendarKey)],
);

/** Minutes of free hands by part of the day, Monday 0 to Sunday 6. */
export const slotMinutes = sqliteTable(
  "slot_minutes",
  {
    weekday: integer().notNull(),
    slot: text({ enum: SLOTS }).notNull(),
    minutes: integer().notNull(),
  },
  (t) => [uniqueIndex("slot_minutes_once").on(t.weekday, t.slot)],
);

/** Minutes of one day that differ from its weekday's. */
export const dayMinutes = sqliteTable(
  "day_minutes",
  {
    day: text().notNull(),
    slot: text({ enum: SLOTS }).notNull(),
    minutes: integer().notNull(),
  },
  (t) => [uniqueIndex("day_minutes_once").on(t.day, t.slot)],
);

/** Somebody who comes while the household is away. */
export const helper = sqliteTable("helper", {
  id: text().primaryKey(),
  name: text().notNull(),
  minutes: integer().notNull(),
  everyDays: integer().notNull(),
  /** Crop ids as JSON; empty list = any that the skills allow. */
  cropIds: text({ mode: "json" }).$type<string[]>().notNull(),
  skills: text({ mode: "json" }).$type<Skill[]>().notNull(),
});

/** Events of the calendar feed as they were published last: what calendars out there still show. */
export const feedEvent = sqliteTable("feed_event", {
  uid: text().primaryKey(),
  /** JSON of the event. */
  content: text().notNull(),
  /** Its last day. */
  day: text().notNull(),
  sequence: integer().notNull(),
  changedAt: text().notNull(),
  isCancelled: integer({ mode: "boolean" }).notNull().default(false),
});
