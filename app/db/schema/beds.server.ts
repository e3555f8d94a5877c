import { sql } from "drizzle-orm";
import { check, index, integer, real, sqliteTable, text, uniqueIndex } from "drizzle-orm/sqlite-core";
import { START_EVENTS } from "~/core/crops";
import { MATTERS } from "~/core/garden";
import { SLOTS } from "~/core/hands";
import { BED_KINDS } from "~/core/hazards";
import { END_REASONS, SEASON_CROPS, START_STANDINGS } from "~/core/seasons";

export const bed = sqliteTable("bed", {
  id: text().primaryKey(),
  name: text().notNull(),
  kind: text({ enum: BED_KINDS }).notNull(),
  /** Order along the footpath. */
  position: integer().notNull(),
});

/** What stands where. Its years and crops are its seasons. */
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
    /** Metres of row, where it was told so; they count, and `plants` is what stood in them by the crop's spacing then. */
    lengthM: real(),
    /** How and when it came to stand here: its age counts from this. */
    cameBy: text({ enum: START_EVENTS }).notNull(),
    cameOn: text().notNull(),
    packetLow: integer(),
    packetHigh: integer(),
    schoolOption: text(),
    /** Kept for its seed, not for the kitchen. */
    forSeed: integer({ mode: "boolean" }).notNull().default(false),
    /** Day the bed is wanted for something else. */
    bedNeededOn: text(),
    /** How much it matters to the household against the others. */
    matters: text({ enum: MATTERS }).notNull().default("usual"),
    /** What the household eats of it in a week, g; empty: all that comes. */
    eatsGrams: real(),
  },
  (t) => [index("planting_bed").on(t.bedId), check("planting_plants", sql`${t.plants} > 0`)],
);

/** One crop of a planting: from its start to its end. A planting has one that is open, or none. */
export const season = sqliteTable(
  "season",
  {
    id: text().primaryKey(),
    plantingId: text()
      .notNull()
      .references(() => planting.id, { onDelete: "cascade" }),
    /** First day whose looks and picks belong to it. */
    opensOn: text().notNull(),
    crop: text({ enum: SEASON_CROPS }).notNull().default("main"),
    startEvent: text({ enum: START_EVENTS }).notNull(),
    startedOn: text().notNull(),
    /** Set when the start is vague: it lies between `startedOn` and this day. */
    startedTo: text(),
    /** Told by the gardener, or worked out from the climate until it is. */
    startStanding: text({ enum: START_STANDINGS }).notNull().default("told"),
  },
  (t) => [uniqueIndex("season_opens").on(t.plantingId, t.opensOn)],
);

/** An end of a season, an event of its own: a corrected pick leaves it, an undo takes it back. */
export const seasonEnd = sqliteTable(
  "season_end",
  {
    id: text().primaryKey(),
    seasonId: text()
      .notNull()
      .references(() => season.id, { onDelete: "cascade" }),
    endedOn: text().notNull(),
    reason: text({ enum: END_REASONS }).notNull(),
    /** The pick that told it, if one did. */
    pickId: text(),
    loggedAt: text().notNull(),
    withdrawnAt: text(),
  },
  (t) => [index("season_end_season").on(t.seasonId), index("season_end_pick").on(t.pickId)],
);

/** A day on which the household wants a planting picked, or does not. */
export const wantedDay = sqliteTable(
  "wanted_day",
  {
    id: text().primaryKey(),
    plantingId: text()
      .notNull()
      .references(() => planting.id, { onDelete: "cascade" }),
    day: text().notNull(),
    /** Part of the day; null for any. */
    slot: text({ enum: SLOTS }),
    /** It is not to be picked on that day. */
    isRuledOut: integer({ mode: "boolean" }).notNull().default(false),
  },
  (t) => [uniqueIndex("wanted_day_once").on(t.plantingId, t.day)],
);

/** What the household changed in the plan, to be undone and done again. */
export const planEdit = sqliteTable("plan_edit", {
  /** In the order they were made. */
  number: integer().primaryKey({ autoIncrement: true }),
  /** Null where it is of no one planting. */
  plantingId: text().references(() => planting.id, { onDelete: "cascade" }),
  madeAt: text().notNull(),
  /** JSON: each day as it was asked for before and after; or rows of tables, with what it was in words. */
  changes: text().notNull(),
  isUndone: integer({ mode: "boolean" }).notNull().default(false),
});

/** What was done or left out of what is due beside picking. */
export const actMark = sqliteTable(
  "act_mark",
  {
    /** Of the act, as the core names it. */
    key: text().notNull(),
    day: text().notNull(),
    isSkipped: integer({ mode: "boolean" }).notNull(),
    madeAt: text().notNull(),
  },
  (t) => [uniqueIndex("act_mark_once").on(t.key, t.day)],
);

/** A treatment of a planting; the interval is that of the product's own label. */
export const treatment = sqliteTable(
  "treatment",
  {
    id: text().primaryKey(),
    seasonId: text()
      .notNull()
      .references(() => season.id, { onDelete: "cascade" }),
    product: text().notNull(),
    treatedOn: text().notNull(),
    intervalDays: integer().notNull(),
    loggedAt: text().notNull(),
    /** Typed by mistake: kept, but it bans nothing. */
    withdrawnAt: text(),
  },
  (t) => [index("treatment_season").on(t.seasonId), check("treatment_interval", sql`${t.intervalDays} >= 0`)],
);

export type BedRow = typeof bed.$inferSelect;
export type PlantingRow = typeof planting.$inferSelect;
export type SeasonRow = typeof season.$inferSelect;
export type SeasonEndRow = typeof seasonEnd.$inferSelect;
