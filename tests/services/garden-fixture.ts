import { openGarden, type Db } from "~/db/client.server";
import { addBed } from "~/services/beds.server";
import { theGarden } from "~/services/clock.server";
import { setUpGarden } from "~/services/set-up-garden.server";
import { planting, type GardenRow } from "~/db/schema.server";

/** A household's garden in memory: one bed, courgettes and carrots. */
export function smallGarden(): { db: Db; garden: GardenRow } {
  const db = openGarden(":memory:");
  setUpGarden(db, { name: "Back garden", latitude: 52, longitude: 0, timeZone: "Europe/London", unitSystem: "metric" });
  const bed = addBed(db, { name: "Long bed", kind: "raised" });
  if (bed.status !== "added") throw new Error(bed.sentence);
  const facts = { bedId: bed.bedId, startEvent: "sown" as const, plants: 4 };
  db.insert(planting).values({ id: "courgette", cropId: "courgette", startedOn: "2026-05-10", ...facts }).run(); // prettier-ignore
  db.insert(planting).values({ id: "carrot", cropId: "carrot", startedOn: "2026-05-20", ...facts, plants: 60 }).run(); // prettier-ignore
  return { db, garden: theGarden(db)! };
}
