import { readPlantingLine, type PlantingLine } from "~/core/crops";
import { plantsInRow } from "~/core/life";
import { yearTurnOn } from "~/core/seasons";
import type { Db } from "~/db/client.server";
import { allBeds } from "~/db/beds/beds.server";
import { insertPlanting, plantingById } from "~/db/beds/plantings.server";
import { insertSeason } from "~/db/beds/seasons.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { todayOf } from "../garden/clock.server";
import { cropsOf } from "../garden/household-crops.server";
import { settlePlanting } from "../garden/settle-seasons.server";

export type UnderstoodLine = Extract<PlantingLine, { status: "understood" }> & { bedId: string; bedName: string };
export type LineOutcome =
  { status: "understood"; line: UnderstoodLine } | { status: "not understood"; sentence: string };

/** Understands a planting line of this garden; the bed may be named in it or be the one it was typed at. */
export function understandLine(db: Db, row: GardenRow, text: string, typedAtBed: string | undefined): LineOutcome {
  const line = readPlantingLine(cropsOf(db), text, todayOf(row), row.unitSystem === "us" ? "month first" : "day first"); // prettier-ignore
  if (line.status === "not understood") return line;
  const beds = allBeds(db);
  const wanted = line.bedName?.toLowerCase();
  const numbered = /^bed\s*(\d+)$/.exec(wanted ?? "");
  const found = wanted
    ? (beds.find((b) => b.name.toLowerCase() === wanted) ?? (numbered ? beds[Number(numbered[1]) - 1] : undefined))
    : beds.find((b) => b.id === typedAtBed);
  if (found) return { status: "understood", line: { ...line, bedId: found.id, bedName: found.name } };
  const names = beds.map((b) => b.name).join(", ");
  return {
    status: "not understood",
    sentence: wanted
      ? `No bed called “${line.bedName}”. There are: ${names || "none yet; add one first"}.`
      : "Say which bed, for example “, Long bed”.",
  };
}

/** Adds a planting that was understood, and opens its season. */
export function addPlanting(db: Db, row: GardenRow, line: UnderstoodLine): string {
  const id = crypto.randomUUID();
  const { bedId, variety, lengthM, startEvent, startedOn, crop } = line;
  const plants = lengthM === null ? line.plants : plantsInRow(crop, lengthM);
  db.transaction(() => {
    insertPlanting(db, { id, bedId, cropId: crop.id, variety, plants, lengthM, cameBy: startEvent, cameOn: startedOn });
    // What is seen of a perennial before it flowers belongs to the same year.
    const opensOn = crop.perennial ? yearTurnOn(startedOn, row.latitude) : startedOn;
    insertSeason(db, { id: `${id}/1`, plantingId: id, opensOn, startEvent, startedOn });
    settlePlanting(db, row, plantingById(db, id)!);
  });
  return id;
}
