import type { UnitSystem } from "~/core/units";
import type { EntryAnswer, EntryBody } from "~/core/entries";
import { openGarden, type Db } from "~/db/client.server";
import { insertPlanting, updatePlanting, type PlantingRow } from "~/db/beds/plantings.server";
import { insertSeason } from "~/db/beds/seasons.server";
import { theGarden, type GardenRow } from "~/db/garden/garden.server";
import { addBed } from "~/services/beds/beds.server";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";
import { applyEntry } from "~/services/entries/apply-entry.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { setUpGarden } from "~/services/garden/set-up-garden.server";
import { checkView } from "~/views/check/check-view";

export interface GardenOfTest {
  db: Db;
  garden: GardenRow;
}

/** A household's garden in memory: one bed, courgettes and carrots. */
export function smallGarden(): GardenOfTest {
  const db = openGarden(":memory:");
  setUpGarden(db, { name: "Back garden", latitude: 52, longitude: 0, timeZone: "Europe/London", unitSystem: "metric" });
  const bed = addBed(db, { name: "Long bed", kind: "raised" });
  if (bed.status !== "saved") throw new Error(bed.sentence);
  plant(db, bed.bedId, { id: "courgette", cropId: "courgette", plants: 4 }, "2026-05-10");
  plant(db, bed.bedId, { id: "carrot", cropId: "carrot", plants: 60 }, "2026-05-20");
  return { db, garden: theGarden(db)! };
}

/** A planting that was sown, or came otherwise, with its first season. */
export function plant(
  db: Db,
  bedId: string,
  row: Pick<PlantingRow, "id" | "cropId" | "plants"> & Partial<PlantingRow>,
  startedOn: string,
): void {
  const cameBy = row.cameBy ?? "sown";
  insertPlanting(db, { ...row, bedId, cameBy, cameOn: startedOn });
  insertSeason(db, { id: `${row.id}/1`, plantingId: row.id, opensOn: startedOn, startEvent: cameBy, startedOn });
}

/** The demo's garden in memory. */
export function demoGarden(units: UnitSystem = "metric"): GardenOfTest {
  const db = openGarden(":memory:");
  plantDemoGarden(db, units);
  return { db, garden: theGarden(db)! };
}

/** Makes every planting another, for tests of one crop. */
export function makeAll(db: Db, change: Partial<PlantingRow>): void {
  for (const id of ["courgette", "carrot"]) updatePlanting(db, id, change);
}

let sent = 0;

/** Sends one entry as a device would. */
export function send(db: Db, body: EntryBody, about: { id?: string; at?: string; device?: string } = {}): EntryAnswer {
  const { id = crypto.randomUUID(), at = new Date(Date.parse("2026-08-20T08:00:00Z") + sent).toISOString(), device = "phone" } = about; // prettier-ignore
  return applyEntry(db, { ...body, id, device, sequence: ++sent, at });
}

/** The same, and its sentences by field when it is refused. */
export function refusal(answer: EntryAnswer): Record<string, string> {
  if (answer.status !== "refused") throw new Error(answer.status);
  return { ...answer.fields, sentence: answer.sentence };
}

/** The check of a planting as it stands. */
export function checkOf({ db, garden }: GardenOfTest, id: string) {
  return checkView(plannedGarden(db, garden), id)!;
}
