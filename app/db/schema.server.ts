import { sql } from "drizzle-orm";
import { START_EVENTS } from "~/core/crops";
import { BED_KINDS } from "~/core/hazards";
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

/** Daily weather of the station, and the newest forecast. */
export const weatherDay = sqliteTable(
  "weather_day",
  {
    day: text().notNull(),
    kind: text({ enum: ["observed", "forecast"] }).notNull(),
    minC: real().notNull(),
    maxC: real().notNull(),
    rainMm: real(),
    windKmh: real(),
    /** File or service it came from. */
    source: text().notNull(),
    importedAt: text().notNull(),
  },
  (t) => [uniqueIndex("weather_day_kind").on(t.day, t.kind)],
);

export const trip = sqliteTable("trip", {
  id: text().primaryKey(),
  name: text().notNull(),
  fromDay: text().notNull(),
  toDay: text().notNull(),
});

/** Minutes of free hands, Monday 0 to Sunday 6. */
export const weekdayMinutes = sqliteTable("weekday_minutes", {
  weekday: integer().primaryKey(),
  minutes: integer().notNull(),
});

export type PlantingRow = typeof planting.$inferSelect;
export type PickRow = typeof pick.$inferSelect;
export type ContainerRow = typeof container.$inferSelect;
export type GardenRow = typeof garden.$inferSelect;
export type VarietyRow = typeof variety.$inferSelect;
