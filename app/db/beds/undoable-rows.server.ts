import { isEqual } from "es-toolkit";
import { z } from "zod";
import type { Db } from "../db.server";

/** Tables whose rows an act of the plan may change, and what tells their rows apart. */
const KEYS = {
  trip: ["id"],
  day_minutes: ["day", "slot"],
  cover_night: ["bed_id", "evening"],
  act_mark: ["key", "day"],
} as const;
const TABLES = ["trip", "day_minutes", "cover_night", "act_mark"] as const;
type Table = (typeof TABLES)[number];

const Row = z.record(z.string(), z.union([z.string(), z.number(), z.null()]));
type Row = z.infer<typeof Row>;

/** A row as it was before an act and after it; null where it was not there. */
export const RowChange = z.object({ table: z.enum(TABLES), before: Row.nullable(), after: Row.nullable() });
export type RowChange = z.infer<typeof RowChange>;

const keyOf = (table: Table, row: Row) => JSON.stringify(KEYS[table].map((column) => row[column]));
const whereKey = (table: Table) => KEYS[table].map((column) => `"${column}" = ?`).join(" and ");
const keysIn = (table: Table, row: Row) => KEYS[table].map((column) => row[column] ?? null);

function rowsOf(db: Db, table: Table): Map<string, Row> {
  const rows = z.array(Row).parse(db.$client.prepare(`select * from "${table}"`).all());
  return new Map(rows.map((row) => [keyOf(table, row), row]));
}

/** Does something, and tells what rows it changed. */
export function withChanges<T>(db: Db, act: () => T): { value: T; changes: RowChange[] } {
  const before = new Map(TABLES.map((table) => [table, rowsOf(db, table)]));
  const value = act();
  const changes = TABLES.flatMap((table): RowChange[] => {
    const [was, is] = [before.get(table)!, rowsOf(db, table)];
    return [...new Set([...was.keys(), ...is.keys()])].flatMap((key) => {
      const change = { table, before: was.get(key) ?? null, after: is.get(key) ?? null };
      return isEqual(change.before, change.after) ? [] : [change];
    });
  });
  return { value, changes };
}

/**
 * Puts rows back to what they were before or after an act, all of them or none.
 *
 * @returns false where one of them has been changed otherwise meanwhile
 */
export function putRows(db: Db, changes: readonly RowChange[], to: "before" | "after"): boolean {
  const from = to === "before" ? "after" : "before";
  const stands = ({ table, ...change }: RowChange) => {
    const of = change.before ?? change.after!;
    const now =
      db.$client.prepare(`select * from "${table}" where ${whereKey(table)}`).get(...keysIn(table, of)) ?? null;
    return isEqual(now, change[from]);
  };
  if (!changes.every(stands)) return false;
  for (const { table, ...change } of changes) {
    const row = change[to];
    db.$client.prepare(`delete from "${table}" where ${whereKey(table)}`).run(...keysIn(table, change.before ?? change.after!)); // prettier-ignore
    if (!row) continue;
    const columns = Object.keys(row);
    db.$client.prepare(`insert into "${table}" (${columns.map((c) => `"${c}"`).join(", ")}) values (${columns.map(() => "?").join(", ")})`).run(...Object.values(row)); // prettier-ignore
  }
  return true;
}
