import { mkdirSync } from "node:fs";
import path from "node:path";
import { drizzle } from "drizzle-orm/better-sqlite3";
import { theGarden } from "./garden/garden.server";
import { broughtUpToDate } from "./migrate.server";
import type { Db } from "./db.server";
import * as schema from "./schema/index.server";

export type { Db };

/**
 * Opens a garden's file (or ":memory:") and brings it to today's schema.
 *
 * @throws {Error} when a migration fails, or would leave rows without their parent; the file is then as before
 */
export function openGarden(file: string): Db {
  if (file !== ":memory:") mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  const sqlite = broughtUpToDate(file);
  sqlite.pragma("journal_mode = WAL");
  sqlite.pragma("busy_timeout = 5000");
  sqlite.pragma("foreign_keys = ON");
  return drizzle({ client: sqlite, schema, casing: "snake_case" });
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
  const row = theGarden(db);
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
