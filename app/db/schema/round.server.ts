import {
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
} from "drizzle-orm/sqlite-core";
import { planting } from "./beds.server";

/** A walk round the garden. */
export const round = sqliteTable("round", {
  id: text().primaryKey(),
  day: text().notNull(),
  startedAt: text().notNull(),
  /** Set by the start itself; what arrives before it leaves this empty. */
  listedAt: text(),
  finishedAt: text(),
  /** The round of the other, where two phones each began one without hearing of each other: that one counts. */
  joinedTo: text().references((): AnySQLiteColumn => round.id),
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
      .references(() => planting.id, { onDelete: "cascade" }),
    position: integer().notNull(),
    part: text({ enum: ["first", "later"] }).notNull(),
    doing: text({ enum: ["pick", "look"] }).notNull(),
    expectedPieces: real().notNull(),
    expectedGrams: real().notNull(),
    minutes: real().notNull(),
    /** Passed by or looked at without a pick; a pick of the round closes it too. */
    doneAt: text(),
    /** When it was last marked or unmarked, so that the latest word holds. */
    markedAt: text(),
  },
  (t) => [uniqueIndex("errand_once").on(t.roundId, t.plantingId)],
);

/** Stops of a round in the order that the household put them, as JSON: the list of their keys. */
export const roundOrder = sqliteTable(
  "round_order",
  {
    day: text().notNull(),
    /** Part of the day; empty for a round of the whole day. */
    slot: text().notNull(),
    stops: text().notNull(),
  },
  (t) => [primaryKey({ columns: [t.day, t.slot] })],
);

export type RoundRow = typeof round.$inferSelect;
export type ErrandRow = typeof errand.$inferSelect;
