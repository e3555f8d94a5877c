import { index, integer, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { planting } from "./beds.server";

/** An entry that was applied: its number is known, so that it is applied once. */
export const entry = sqliteTable(
  "entry",
  {
    id: text().primaryKey(),
    device: text().notNull(),
    sequence: integer().notNull(),
    /** When it was done in the garden, by the device's clock. */
    doneAt: text().notNull(),
    kind: text().notNull(),
    /** What it speaks of, where it takes something back. */
    target: text(),
    /** The entry as it came, as JSON. */
    body: text().notNull(),
    appliedAt: text().notNull(),
  },
  (t) => [
    index("entry_target").on(t.target),
    index("entry_device").on(t.device, t.sequence),
    index("entry_kind").on(t.kind, t.appliedAt),
  ],
);

/** A line written down in passing, of a planting or of the garden. */
export const noteLine = sqliteTable(
  "note_line",
  {
    id: text().primaryKey(),
    plantingId: text().references(() => planting.id, { onDelete: "cascade" }),
    notedOn: text().notNull(),
    text: text().notNull(),
    withdrawnAt: text(),
  },
  (t) => [index("note_line_planting").on(t.plantingId)],
);
