import { sql } from "drizzle-orm";
import { START_EVENTS } from "~/core/crops";
import { SLOTS, type Skill } from "~/core/hands";
import { BED_KINDS, COVER_KINDS } from "~/core/hazards";
import { CONDITIONS, FATES } from "~/core/ledger";
import { UNIT_SYSTEMS } from "~/core/units";
import { check, index, integer, real, sqliteTable, text, uniqueIndex } from "drizzle-orm/sqlite-core";

/** The household's garden: one row. */
export const garden = sqliteTable("garden", {
  id: integer().primaryKey(),
  name: text().notNull(),
  latitude: real().notNull(),
  longitude: real().notNull(),
  timeZone: text().notNull(),
  unitSystem: text({ enum: UNIT_SYSTEMS }).notNull(),
  /** Set in the demo only: its clock stands until it is stepped. */
  demoDay: text(),
});

export const bed = sqliteTable("bed", {
  id: text().primaryKey(),
  name: text().notNull(),
  kind: text({ enum: BED_KINDS }).notNull(),
  /** Order along the footpath. */
  position: integer().notNull(),
});

export const planting = sqliteTable(
  "planting",
  {
    id: text().primaryKey(),
    bedId: text()
      .notNull()
      .references(() => bed.id),
    cropId: text().notNull(),
    variety: text().notNull().default(""),
    plants: integer().notNull(),
    startEvent: text({ enum: START_EVENTS }).notNull(),
    startedOn: text().notNull(),
    packetLow: integer(),
    packetHigh: integer(),
    schoolOption: text(),
    /** Kept for its seed, not for the kitchen. */
    forSeed: integer({ mode: "boolean" }).notNull().default(false),
    /** Day the bed is wanted for something else. */
    bedNeededOn: text(),
    /** Set when the planting is over. */
    finishedOn: text(),
  },
  (t) => [index("planting_bed").on(t.bedId), check("planting_plants", sql`${t.plants} > 0`)],
);

/** A cue read at a planting; one answer per cue and day. */
export const look = sqliteTable(
  "look",
  {
    id: text().primaryKey(),
    plantingId: text()
      .notNull()
      .references(() => planting.id, { onDelete: "cascade" }),
    cueId: text().notNull(),
    readingId: text().notNull(),
    takenOn: text().notNull(),
    takenAt: text().notNull(),
    /** How many were looked at; empty for one. */
    sampleOf: integer(),
    /** The measurement behind a reading of size, mm. */
    measuredMm: real(),
  },
  (t) => [uniqueIndex("look_once_a_day").on(t.plantingId, t.cueId, t.takenOn)],
);

/** Something counted at a planting: ready pieces in all, or leaves on a usual plant. */
export const countSeen = sqliteTable(
  "count_seen",
  {
    id: text().primaryKey(),
    plantingId: text()
      .notNull()
      .references(() => planting.id, { onDelete: "cascade" }),
    countedOn: text().notNull(),
    what: text({ enum: ["ready", "leaves"] }).notNull(),
    number: integer().notNull(),
  },
  (t) => [uniqueIndex("count_once_a_day").on(t.plantingId, t.what, t.countedOn)],
);

/** The household's own values of a crop, or a crop of its own: what differs from the one it is like. */
export const householdCrop = sqliteTable("household_crop", {
  cropId: text().primaryKey(),
  /** JSON, laid over the shipped crop (or over the one named in `like`). */
  patch: text().notNull(),
  savedAt: text().notNull(),
});

/** A variety as the household knows it. */
export const variety = sqliteTable(
  "variety",
  {
    id: text().primaryKey(),
    cropId: text().notNull(),
    name: text().notNull(),
    ripeColour: text(),
    sizeLowMm: real(),
    sizeHighMm: real(),
    packetLow: integer(),
    packetHigh: integer(),
  },
  (t) => [uniqueIndex("variety_name").on(t.cropId, t.name)],
);

/** The household's way where good gardeners differ. */
export const schoolChoice = sqliteTable(
  "school_choice",
  {
    cropId: text().notNull(),
    schoolId: text().notNull(),
    optionId: text().notNull(),
  },
  (t) => [uniqueIndex("school_once_a_crop").on(t.cropId, t.schoolId)],
);

/** A walk round the garden. */
export const round = sqliteTable("round", {
  id: text().primaryKey(),
  day: text().notNull(),
  startedAt: text().notNull(),
  finishedAt: text(),
});

/** What a round set out to do, fixed when it starts so that the list does not shift underfoot. */
export const errand = sqliteTable(
  "errand",
  {
    roundId: text()
      .notNull()
      .references(() => round.id, { onDelete: "cascade" }),
    plantingId: text()
      .notNull()
      .references(() => planting.id),
    position: integer().notNull(),
    part: text({ enum: ["first", "later"] }).notNull(),
    doing: text({ enum: ["pick", "look"] }).notNull(),
    expectedPieces: real().notNull(),
    expectedGrams: real().notNull(),
    minutes: real().notNull(),
    /** Passed by or looked at without a pick; a pick of the round closes it too. */
    doneAt: text(),
  },
  (t) => [uniqueIndex("errand_once").on(t.roundId, t.plantingId)],
);

/** One line of the ledger: what came of one planting on one call. */
export const pick = sqliteTable(
  "pick",
  {
    /** Made by the device that logs it, so that sending it twice writes it once. */
    id: text().primaryKey(),
    plantingId: text()
      .notNull()
      .references(() => planting.id),
    roundId: text().references(() => round.id),
    pickedOn: text().notNull(),
    outcome: text({ enum: ["picked", "nothing ready"] }).notNull(),
    /** Whether all that was ready came off. */
    tookAll: integer({ mode: "boolean" }).notNull(),
    grams: real(),
    pieces: integer(),
    /** True when the amount was guessed. */
    estimated: integer({ mode: "boolean" }).notNull().default(false),
    grossGrams: real(),
    containerId: text().references(() => container.id),
    containerCount: integer(),
    tareGrams: real(),
    condition: text({ enum: CONDITIONS }).notNull().default("sound"),
    fate: text({ enum: FATES }).notNull().default("eat now"),
    note: text().notNull().default(""),
    loggedAt: text().notNull(),
    /** Taken back by the gardener: kept, but out of every total. */
    withdrawnAt: text(),
  },
  (t) => [
    index("pick_planting").on(t.plantingId),
    index("pick_day").on(t.pickedOn),
    check("pick_grams", sql`${t.grams} is null or ${t.grams} >= 0`),
    check("pick_pieces", sql`${t.pieces} is null or ${t.pieces} >= 0`),
  ],
);

/** What a corrected line said before. */
export const pickCorrection = sqliteTable("pick_correction", {
  id: integer().primaryKey({ autoIncrement: true }),
  pickId: text()
    .notNull()
    .references(() => pick.id),
  correctedAt: text().notNull(),
  /** The earlier row as JSON. */
  earlier: text().notNull(),
});

/** A crate or basket with its empty weight. */
export const container = sqliteTable("container", {
  id: text().primaryKey(),
  name: text().notNull(),
  tareGrams: real().notNull(),
});

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

/** A treatment of a planting; the interval is that of the product's own label. */
export const treatment = sqliteTable(
  "treatment",
  {
    id: text().primaryKey(),
    plantingId: text()
      .notNull()
      .references(() => planting.id, { onDelete: "cascade" }),
    product: text().notNull(),
    treatedOn: text().notNull(),
    intervalDays: integer().notNull(),
    loggedAt: text().notNull(),
    /** Typed by mistake: kept, but it bans nothing. */
    withdrawnAt: text(),
  },
  (t) => [index("treatment_planting").on(t.plantingId), check("treatment_interval", sql`${t.intervalDays} >= 0`)],
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

export type PlantingRow = typeof planting.$inferSelect;
export type PickRow = typeof pick.$inferSelect;
export type ContainerRow = typeof container.$inferSelect;
export type GardenRow = typeof garden.$inferSelect;
export type VarietyRow = typeof variety.$inferSelect;
