import { index, integer, real, sqliteTable, text, uniqueIndex } from "drizzle-orm/sqlite-core";
import { season } from "./beds.server";

/**
 * A cue read at a planting: one answer per cue and day, the latest, which has no reading once it was taken back; or
 * several side by side, each with the share of the pieces that read so (0: not any more).
 */
export const look = sqliteTable(
  "look",
  {
    id: text().primaryKey(),
    seasonId: text()
      .notNull()
      .references(() => season.id, { onDelete: "cascade" }),
    cueId: text().notNull(),
    readingId: text(),
    takenOn: text().notNull(),
    takenAt: text().notNull(),
    /** How many were looked at; empty for one. */
    sampleOf: integer(),
    /** The measurement behind a reading of size, mm. */
    measuredMm: real(),
    /** Share of the pieces that read so; empty where nobody said of how many. */
    share: real(),
  },
  (t) => [index("look_day").on(t.seasonId, t.cueId, t.takenOn)],
);

/** Something counted at a planting: ready pieces in all, or leaves on a usual plant. */
export const countSeen = sqliteTable(
  "count_seen",
  {
    id: text().primaryKey(),
    seasonId: text()
      .notNull()
      .references(() => season.id, { onDelete: "cascade" }),
    countedOn: text().notNull(),
    countedAt: text().notNull(),
    what: text({ enum: ["ready", "leaves"] }).notNull(),
    number: integer().notNull(),
  },
  (t) => [uniqueIndex("count_once_a_day").on(t.seasonId, t.what, t.countedOn)],
);

export type LookRow = typeof look.$inferSelect;
