import { groupBy } from "es-toolkit";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allBeds } from "~/db/beds/beds.server";
import { allPlantings } from "~/db/beds/plantings.server";
import { seasonsWithEnds } from "~/db/beds/seasons.server";
import { inUnits } from "~/views/words";
import { bedsView } from "~/views/beds/beds-view";
import { todayOf } from "../garden/clock.server";
import { cropsOf } from "../garden/household-crops.server";

/** Beds along the footpath and what stands, rests, or stood in each. */
export function bedsPage(db: Db, garden: GardenRow) {
  const seasons = groupBy(seasonsWithEnds(db), (s) => s.plantingId);
  const plantings = allPlantings(db).map((p) => ({ ...p, seasons: seasons[p.id] ?? [] }));
  const view = bedsView(allBeds(db), plantings, cropsOf(db), { today: todayOf(garden), units: garden.unitSystem });
  return inUnits(view, garden.unitSystem);
}
