import { asc, eq, isNull } from "drizzle-orm";
import type { Db } from "../db.server";
import { container, type ContainerRow } from "../schema/index.server";

export type { ContainerRow };

/** Containers in use, lightest first. */
export function containersInUse(db: Db): ContainerRow[] {
  return db.select().from(container).where(isNull(container.goneAt)).orderBy(asc(container.tareGrams)).all();
}

export function containerById(db: Db, id: string): ContainerRow | undefined {
  return db.select().from(container).where(eq(container.id, id)).get();
}

export function insertContainers(db: Db, rows: (typeof container.$inferInsert)[]): void {
  db.insert(container).values(rows).run();
}

/** Out of use: its weighings keep the empty weight it had. */
export function retireContainer(db: Db, id: string): boolean {
  const { changes } = db.update(container).set({ goneAt: new Date().toISOString() }).where(eq(container.id, id)).run(); // prettier-ignore
  return changes > 0;
}
