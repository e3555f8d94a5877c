import { integer, sqliteTable, text } from "drizzle-orm/sqlite-core";

/** What the household's door is locked with: one row once a passphrase was set. */
export const door = sqliteTable("door", {
  id: integer().primaryKey(),
  /** Argon2id, with its salt and costs, as the package writes it. */
  passphraseHash: text().notNull(),
  /** What cookies are signed with. */
  cookieSecret: text().notNull(),
  setAt: text().notNull(),
  /** Who uses this machine itself, which is asked for no passphrase; null where nobody said. */
  person: text(),
});

/** A phone or computer that gave the passphrase; it stays in until it is dropped or long unseen. */
export const device = sqliteTable("device", {
  id: text().primaryKey(),
  name: text().notNull(),
  /** Whose it is; null where nobody said. */
  person: text(),
  /** SHA-256 of what the device shows: the file alone lets nobody in. */
  tokenHash: text().notNull().unique(),
  firstAt: text().notNull(),
  seenAt: text().notNull(),
  endedAt: text(),
});

/** A link that shows a helper the sheet of one trip: it opens until the trip's last day, whenever that comes to be. */
export const helperLink = sqliteTable("helper_link", {
  id: text().primaryKey(),
  /** Who it is for, as the household says. */
  name: text().notNull(),
  /** SHA-256 of what the link carries: the file alone opens nothing. */
  tokenHash: text().notNull().unique(),
  /** A trip that is taken out takes its links with it. */
  tripId: text().notNull(),
  madeAt: text().notNull(),
  endedAt: text(),
});

export type DeviceRow = typeof device.$inferSelect;
