import { integer, primaryKey, real, sqliteTable, text } from "drizzle-orm/sqlite-core";

/*
 * What would otherwise be added up from all years at every reading. Triggers of the database keep these tables up, in
 * the transaction that changes what they are summed from: see the migration “sums”. A migration that rebuilds one of
 * their sources has to make its triggers anew.
 */

/** The harvest of a pick over all its lots: movements of the harvest kinds. */
export const pickSum = sqliteTable("pick_sum", {
  pickId: text().primaryKey(),
  /** Empty where nothing was ever weighed. */
  grams: real(),
  /** Empty where nothing was ever counted. */
  pieces: integer(),
  /** Of the grams, those that were guessed. */
  estimatedGrams: real().notNull(),
  /** Of the pieces without a weight, those that were guessed. */
  estimatedPieces: integer().notNull(),
  /** Grams of what was weighed and not counted. */
  gramsOnly: real().notNull(),
  /** Of the grams, those never fit for use; and of them those that were guessed. */
  spoiltGrams: real().notNull(),
  spoiltEstimatedGrams: real().notNull(),
  spoiltPieces: integer().notNull(),
});

/** What a season gave in a calendar year: its picks that stand and brought something. */
export const seasonSum = sqliteTable(
  "season_sum",
  {
    seasonId: text().notNull(),
    year: text().notNull(),
    firstOn: text().notNull(),
    lastOn: text().notNull(),
    picks: integer().notNull(),
    grams: real().notNull(),
    pieces: integer().notNull(),
    estimatedGrams: real().notNull(),
    gramsOnly: real().notNull(),
    spoiltGrams: real().notNull(),
    spoiltEstimatedGrams: real().notNull(),
    spoiltPieces: integer().notNull(),
  },
  (t) => [primaryKey({ columns: [t.seasonId, t.year] })],
);

/** Raised by every write to a source that is read whole: what was worked out of it stands while its number is the same. */
export const sourceRevision = sqliteTable("source_revision", {
  source: text({ enum: ["weather", "forecasts"] }).primaryKey(),
  number: integer().notNull(),
});
