import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { planAhead } from "./planned-garden.server";

/** What a page is drawn from, once the garden is planned; other requests are answered meanwhile. */
export async function whenPlanned<T>(db: Db, garden: GardenRow, page: () => T): Promise<T> {
  await planAhead(db, garden);
  return page();
}
