import { redirect } from "react-router";
import { requestDb, type Db } from "~/db/client.server";
import { theGarden, type GardenRow } from "~/db/garden/garden.server";
import { settleSeasons } from "./settle-seasons.server";

/** The open file and its garden, its seasons settled for today; before set-up, the way to it. */
export function knownGarden(): { db: Db; garden: GardenRow } {
  const db = requestDb();
  const garden = theGarden(db);
  if (!garden) throw redirect("/setup");
  settleSeasons(db, garden);
  return { db, garden };
}
