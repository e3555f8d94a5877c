import { eq } from "drizzle-orm";
import type { Db } from "./db.server";
import { sourceRevision } from "./schema/index.server";

/**
 * The state of the file as one text: it is another one after every write, by this process or by another. What was
 * worked out of the file stands while it is the same.
 */
export function revisionOf({ $client }: Db): string {
  const others = $client.pragma("data_version", { simple: true }) as number;
  const ours = $client.prepare("select total_changes()").pluck().get() as number;
  return `${others}/${ours}`;
}

type Source = typeof sourceRevision.$inferSelect.source;

/** The number of a source that is read whole: every write to it raises it, whoever writes. */
export function revisionOfSource(db: Db, source: Source): number {
  return db.select().from(sourceRevision).where(eq(sourceRevision.source, source)).get()?.number ?? 0;
}

/** Works something out of a source, and keeps it while nothing is written to it. */
export function keptWhile<T>(source: Source, work: (db: Db) => T): (db: Db) => T {
  const kept = new WeakMap<Db, { number: number; value: T }>();
  return (db) => {
    const number = revisionOfSource(db, source);
    const known = kept.get(db);
    if (known?.number === number) return known.value;
    const value = work(db);
    kept.set(db, { number, value });
    return value;
  };
}
