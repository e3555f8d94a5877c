import { integer, real, sqliteTable, text, uniqueIndex } from "drizzle-orm/sqlite-core";
import { UNIT_SYSTEMS } from "~/core/units";

/** The household's garden: one row. */
export const garden = sqliteTable("garden", {
  id: integer().primaryKey(),
  name: text().notNull(),
  latitude: real().notNull(),
  longitude: real().notNull(),
  /** Above the sea; empty where nobody said. */
  heightM: real(),
  timeZone: text().notNull(),
  unitSystem: text({ enum: UNIT_SYSTEMS }).notNull(),
  /** Rounds in a week, at most; empty: as many as pay. */
  roundsAWeek: integer(),
  /** What does not keep, kg that the kitchen can deal with in a day; empty: all of it. */
  kitchenKg: real(),
  /** What of it can wait, kg that fridge and cool larder hold; empty: nothing. */
  fridgeKg: real(),
  /** Racks to cure and dry on, m²; empty: enough. */
  racksM2: real("racks_m2"),
  /** Set in the demo only: its clock stands until it is stepped. */
  demoDay: text(),
});

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

export type GardenRow = typeof garden.$inferSelect;
export type VarietyRow = typeof variety.$inferSelect;
