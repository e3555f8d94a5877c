import { groupBy } from "es-toolkit";
import { addDays } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allBeds } from "~/db/beds/beds.server";
import { plantingCounts, plantingsSince } from "~/db/beds/plantings.server";
import { seasonsWithEnds } from "~/db/beds/seasons.server";
import { inUnits } from "~/views/words";
import { bedsView } from "~/views/beds/beds-view";
import { todayOf } from "../garden/clock.server";
import { cropsOf } from "../garden/household-crops.server";

/** What was over before this many days is of earlier years: shown for a bed where it is asked for. */
const EARLIER_DAYS = 500;

/**
 * Beds along the footpath and what stands, rests, or stood in each.
 *
 * @param earlierOf - bed whose earlier years are shown too
 */
export function bedsPage(db: Db, garden: GardenRow, earlierOf = "") {
  const today = todayOf(garden);
  const shown = plantingsSince(db, addDays(today, -EARLIER_DAYS), earlierOf);
  const seasons = groupBy(seasonsWithEnds(db, shown), (s) => s.plantingId);
  const plantings = shown.map((p) => ({ ...p, seasons: seasons[p.id] ?? [] }));
  const asked = { today, units: garden.unitSystem, everIn: plantingCounts(db), earlierOf };
  return inUnits(bedsView(allBeds(db), plantings, cropsOf(db), asked), garden.unitSystem);
}
