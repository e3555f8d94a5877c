import type { Db } from "~/db/client.server";
import { container } from "~/db/schema.server";

/** Known containers, lightest first. */
export function containersOf(db: Db) {
  return db.select().from(container).all().sort((a, b) => a.tareGrams - b.tareGrams); // prettier-ignore
}
