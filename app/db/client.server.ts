import { mkdirSync } from "node:fs";
import path from "node:path";
import Database from "better-sqlite3";
import { drizzle, type BetterSQLite3Database } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import * as schema from "./schema.server";

export type Db = BetterSQLite3Database<typeof schema> & { $client: Database.Database };

const MIGRATIONS = path.resolve(process.env.AKMEDON_MIGRATIONS ?? "app/db/migrations");

/**
 * Opens a garden's file (or ":memory:") and brings it to today's schema.
 *
 * @throws {Error} when a migration would leave rows without their parent; the file is then as before
 */
export function openGarden(file: string): Db {
  if (file !== ":memory:") mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  const sqlite = new Database(file);
  sqlite.pragma("journal_mode = WAL");
  sqlite.pragma("busy_timeout = 5000");
  const db = drizzle({ client: sqlite, schema, casing: "snake_case" });
  sqlite.pragma("foreign_keys = OFF"); // a table rebuild must not cascade
  migrate(db, { migrationsFolder: MIGRATIONS });
  const orphans = sqlite.pragma("foreign_key_check") as unknown[];
  if (orphans.length > 0) throw new Error(`${orphans.length} rows lost their parent in a migration`);
  sqlite.pragma("foreign_keys = ON");
  return db;
}

let opened: Db | undefined;

/**
 * The garden this server was started for: the one file named by AKMEDON_GARDEN.
 *
 * @throws {Error} when the demo is pointed at a household's file, or the other way round
 */
export function requestDb(): Db {
  if (opened) return opened;
  const file = process.env.AKMEDON_GARDEN ?? "garden.sqlite";
  const db = openGarden(file);
  const row = db.select().from(schema.garden).get();
  const wantsDemo = process.env.AKMEDON_DEMO === "1";
  if (row && (row.demoDay !== null) !== wantsDemo) {
    db.$client.close();
    throw new Error(
      wantsDemo ? `${file} is a household's garden; the demo leaves it alone.` : `${file} is the demo's garden.`,
    );
  }
  opened = db;
  return opened;
}
