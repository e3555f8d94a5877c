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
  // Each commit is on the disk before it is acknowledged: a power cut takes nothing that was said to be saved.
  sqlite.pragma("synchronous = FULL");
  sqlite.pragma("busy_timeout = 5000");
  sqlite.pragma("foreign_keys = ON");
  return drizzle({ client: sqlite, schema, casing: "snake_case" });
}

/** @throws {Error} when what stands in the file does not hold together */
function checkWhole(db: Db, file: string): void {
  const [{ quick_check: said } = { quick_check: "" }] = db.$client.pragma("quick_check(1)") as { quick_check: string }[]; // prettier-ignore
  if (said === "ok") return;
  db.$client.close();
  throw new Error(`${path.basename(file)} is damaged (${said}). Put back a copy of it, made by “./akmedon copy”.`);
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
  checkWhole(db, file);
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
