import { redirect } from "react-router";
import { requestDb, type Db } from "~/db/client.server";
import type { GardenRow } from "~/db/schema.server";
import { theGarden } from "./clock.server";

/** The open file and its garden; before set-up, the way to it. */
export function knownGarden(): { db: Db; garden: GardenRow } {
  const db = requestDb();
  const garden = theGarden(db);
  if (!garden) throw redirect("/setup");
  return { db, garden };
}
