import { existsSync, linkSync, readFileSync, renameSync, rmSync, statSync } from "node:fs";
import path from "node:path";
import Database from "better-sqlite3";
import { drizzle } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import { z } from "zod";

const MIGRATIONS = path.resolve(process.env.AKMEDON_MIGRATIONS ?? "app/db/migrations");
const Journal = z.object({ entries: z.array(z.object({ when: z.number(), tag: z.string() })).min(1) });

/** What beside a database belongs to it. */
const ENDS = ["", "-wal", "-shm"];
const remove = (file: string) => ENDS.forEach((end) => rmSync(file + end, { force: true }));

/**
 * Opens a file at today's schema. Migrations run on a copy, which takes the file's place only when it is whole; the
 * file as it was stays beside it under the name of the first migration it had not seen.
 *
 * @throws {Error} in a sentence when it is from a newer version, or a migration fails; the file is then untouched
 */
export function broughtUpToDate(file: string): Database.Database {
  const known = Journal.parse(JSON.parse(readFileSync(path.join(MIGRATIONS, "meta/_journal.json"), "utf8"))).entries;
  if (file === ":memory:" || !existsSync(file) || statSync(file).size === 0) return migrated(new Database(file));
  const last = lastMigration(file);
  const pending = known.filter((m) => m.when > last);
  if (last > known.at(-1)!.when)
    throw new Error(`${path.basename(file)} was written by a newer Akmedon. Use that one, or the copy made before it.`);
  if (pending.length === 0) return new Database(file);
  migrateCopy(file, `${file}.before-${pending[0]!.tag}`);
  return new Database(file);
}

/** When the newest migration of a file was made; 0 for one that has seen none. */
function lastMigration(file: string): number {
  const sqlite = new Database(file);
  try {
    const there = sqlite.prepare("select 1 from sqlite_master where name = '__drizzle_migrations'").get();
    if (!there) return 0;
    return z
      .object({ last: z.number().nullable() })
      .parse(sqlite.prepare("select max(created_at) as last from __drizzle_migrations").get()).last ?? 0; // prettier-ignore
  } finally {
    sqlite.close();
  }
}

function migrateCopy(file: string, before: string): void {
  const copy = `${file}.migrating`;
  remove(copy);
  // Held to itself until the copy stands in its place: what another server wrote meanwhile would be lost.
  const source = heldAlone(file);
  try {
    source.prepare("vacuum into ?").run(copy);
    // What stands in the write-ahead log goes into the file, so that the copy kept of it is whole by itself.
    source.pragma("wal_checkpoint(TRUNCATE)");
    migrated(new Database(copy)).close();
    rmSync(before, { force: true });
    linkSync(file, before);
    for (const end of ENDS.slice(1)) rmSync(file + end, { force: true });
    renameSync(copy, file);
  } catch (error) {
    remove(copy);
    throw new Error(`${path.basename(file)} could not be brought up to date and is as it was: ${(error as Error).message}`, { cause: error }); // prettier-ignore
  } finally {
    source.close();
  }
}

const WAIT_FOR_OTHERS_MS = 1000;

/** @throws {Error} when another process has the file open */
function heldAlone(file: string): Database.Database {
  const sqlite = new Database(file, { timeout: WAIT_FOR_OTHERS_MS });
  try {
    sqlite.pragma("locking_mode = EXCLUSIVE");
    sqlite.exec("begin exclusive; commit");
    return sqlite;
  } catch (error) {
    sqlite.close();
    throw new Error(`${path.basename(file)} is in use: end the Akmedon that has it open, then start this one.`, { cause: error }); // prettier-ignore
  }
}

/** Keys off, migrate, check, and only then in use: a table rebuild must not cascade. */
function migrated(sqlite: Database.Database): Database.Database {
  try {
    sqlite.pragma("foreign_keys = OFF");
    migrate(drizzle({ client: sqlite, casing: "snake_case" }), { migrationsFolder: MIGRATIONS });
    const orphans = sqlite.pragma("foreign_key_check") as unknown[];
    if (orphans.length > 0) throw new Error(`${orphans.length} rows would lose their parent`);
    return sqlite;
  } catch (error) {
    sqlite.close();
    throw error;
  }
}
