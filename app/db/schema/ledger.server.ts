import { sql } from "drizzle-orm";
import { index, integer, real, sqliteTable, text, type AnySQLiteColumn } from "drizzle-orm/sqlite-core";
import { CONDITIONS, FATES, MOVEMENT_KINDS } from "~/core/ledger";
import { season } from "./beds.server";
import { round } from "./round.server";

/** One call at one planting, and what it came to. What came off is its lots. */
export const pick = sqliteTable(
  "pick",
  {
    /** Made by the device that logs it, so that sending it twice writes it once. */
    id: text().primaryKey(),
    seasonId: text()
      .notNull()
      .references(() => season.id),
    roundId: text().references(() => round.id),
    pickedOn: text().notNull(),
    outcome: text({ enum: ["picked", "nothing ready"] }).notNull(),
    /** Whether all that was ready came off. */
    tookAll: integer({ mode: "boolean" }).notNull(),
    note: text().notNull().default(""),
    /** Who picked, where the device that logged it says so. */
    person: text(),
    loggedAt: text().notNull(),
    /** Taken back by the gardener: kept, but out of every total. */
    withdrawnAt: text(),
  },
  (t) => [
    index("pick_season").on(t.seasonId, t.pickedOn),
    index("pick_day").on(t.pickedOn),
    index("pick_round").on(t.roundId),
    index("pick_person")
      .on(t.person)
      .where(sql`${t.person} is not null`),
  ],
);

/** What a corrected line said before. */
export const pickCorrection = sqliteTable(
  "pick_correction",
  {
    id: integer().primaryKey({ autoIncrement: true }),
    pickId: text()
      .notNull()
      .references(() => pick.id),
    correctedAt: text().notNull(),
    /** The earlier line as JSON. */
    earlier: text().notNull(),
  },
  (t) => [index("pick_correction_pick").on(t.pickId)],
);

/** Something kept together from a pick on: where it goes and how it is. How much of it there is, its movements say. */
export const lot = sqliteTable(
  "lot",
  {
    id: text().primaryKey(),
    pickId: text()
      .notNull()
      .references(() => pick.id),
    condition: text({ enum: CONDITIONS }).notNull().default("sound"),
    fate: text({ enum: FATES }).notNull().default("eat now"),
    /** What stands on its crate. */
    label: text().notNull().default(""),
  },
  (t) => [index("lot_pick").on(t.pickId)],
);

/** A change of what is in a lot. What was written is never changed; a mistake is moved back. */
export const movement = sqliteTable(
  "movement",
  {
    id: integer().primaryKey({ autoIncrement: true }),
    lotId: text()
      .notNull()
      .references(() => lot.id),
    kind: text({ enum: MOVEMENT_KINDS }).notNull(),
    day: text().notNull(),
    /** Into the lot above zero, out of it below. */
    grams: real(),
    pieces: integer(),
    /** True when the amount was guessed. */
    estimated: integer({ mode: "boolean" }).notNull().default(false),
    fate: text({ enum: FATES }).notNull(),
    /** How it was when it moved: spoilt things are no harvest. */
    condition: text({ enum: CONDITIONS }).notNull(),
    /** The other lot of a split or a merge. */
    otherLotId: text().references((): AnySQLiteColumn => lot.id),
    loggedAt: text().notNull(),
  },
  (t) => [index("movement_lot").on(t.lotId)],
);

/** A lot on the scale: when it is picked, or later. The newest one holds. */
export const weighing = sqliteTable(
  "weighing",
  {
    id: text().primaryKey(),
    lotId: text()
      .notNull()
      .references(() => lot.id),
    weighedAt: text().notNull(),
    grossGrams: real().notNull(),
    netGrams: real().notNull(),
  },
  (t) => [index("weighing_lot").on(t.lotId)],
);

/** Containers of one kind that stood on the scale, with the empty weight they had then. */
export const weighingContainer = sqliteTable(
  "weighing_container",
  {
    weighingId: text()
      .notNull()
      .references(() => weighing.id, { onDelete: "cascade" }),
    containerId: text()
      .notNull()
      .references(() => container.id),
    count: integer().notNull(),
    tareGrams: real().notNull(),
  },
  (t) => [index("weighing_container_weighing").on(t.weighingId)],
);

/** A crate or basket with its empty weight. */
export const container = sqliteTable("container", {
  id: text().primaryKey(),
  name: text().notNull(),
  tareGrams: real().notNull(),
  /** No longer used: kept for the weighings it stood in. */
  goneAt: text(),
});

export type PickRow = typeof pick.$inferSelect;
export type LotRow = typeof lot.$inferSelect;
export type MovementRow = typeof movement.$inferSelect;
export type ContainerRow = typeof container.$inferSelect;
