import { integer, sqliteTable, text } from "drizzle-orm/sqlite-core";

/** What the household's door is locked with: one row once a passphrase was set. */
export const door = sqliteTable("door", {
  id: integer().primaryKey(),
  /** Argon2id, with its salt and costs, as the package writes it. */
  passphraseHash: text().notNull(),
  /** What cookies are signed with. */
  cookieSecret: text().notNull(),
  setAt: text().notNull(),
});

/** A phone or computer that gave the passphrase; it stays in until it is dropped or long unseen. */
export const device = sqliteTable("device", {
  id: text().primaryKey(),
  name: text().notNull(),
  /** SHA-256 of what the device shows: the file alone lets nobody in. */
  tokenHash: text().notNull().unique(),
  firstAt: text().notNull(),
  seenAt: text().notNull(),
  endedAt: text(),
});

export type DeviceRow = typeof device.$inferSelect;
