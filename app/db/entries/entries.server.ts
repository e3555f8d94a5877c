import { and, asc, desc, eq, gte } from "drizzle-orm";
import type { Entry } from "~/core/entries";
import type { Db } from "../db.server";
import { entry, noteLine } from "../schema/index.server";

/** Whether an entry was applied before. */
export function isApplied(db: Db, id: string): boolean {
  return db.select({ id: entry.id }).from(entry).where(eq(entry.id, id)).get() !== undefined;
}

/** Keeps an entry as it came, so that it is never applied again. */
export function keepEntry(db: Db, given: Entry): void {
  const { id, device, sequence, at, kind } = given;
  const target = given.kind === "take back" ? given.target : null;
  db.insert(entry)
    .values({
      id,
      device,
      sequence,
      doneAt: at,
      kind,
      target,
      body: JSON.stringify(given),
      appliedAt: new Date().toISOString(),
    }) // prettier-ignore
    .run();
}

export function entryById(db: Db, id: string) {
  return db.select().from(entry).where(eq(entry.id, id)).get();
}

/** What one device sent, in its order. */
export function entriesOfDevice(db: Db, device: string) {
  return db.select().from(entry).where(eq(entry.device, device)).orderBy(asc(entry.sequence)).all();
}

/** The words that take an entry back or put it back, the latest first. */
export function takeBacksOf(db: Db, target: string) {
  return db
    .select()
    .from(entry)
    .where(and(eq(entry.target, target), eq(entry.kind, "take back")))
    .orderBy(desc(entry.doneAt), desc(entry.sequence))
    .all();
}

/** The bodies of the entries of one kind that were applied since, as JSON. */
export function bodiesOf(db: Db, kind: Entry["kind"], since: string): string[] {
  return db.select({ body: entry.body }).from(entry).where(and(eq(entry.kind, kind), gte(entry.appliedAt, since))).all().map(({ body }) => body); // prettier-ignore
}

export function insertNote(db: Db, row: typeof noteLine.$inferInsert): void {
  db.insert(noteLine).values(row).run();
}

export function withdrawNote(db: Db, id: string, putBack: boolean): void {
  db.update(noteLine).set({ withdrawnAt: putBack ? null : new Date().toISOString() }).where(eq(noteLine.id, id)).run(); // prettier-ignore
}

/** Notes of a planting that stand, the newest first. */
export function notesOf(db: Db, plantingId: string) {
  return db
    .select()
    .from(noteLine)
    .where(eq(noteLine.plantingId, plantingId))
    .orderBy(desc(noteLine.notedOn))
    .all()
    .filter((n) => n.withdrawnAt === null);
}
