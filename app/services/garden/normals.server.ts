import { normalsFromSeries, usualNormals, type ClimateNormals, type PlaceClimate } from "~/core/weather";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { keptWhile } from "~/db/revision.server";
import { observedDays } from "~/db/sky/weather.server";
import { usualClimate } from "./usual-climate.server";

/** Normals of the garden's own record, worked out anew when the record changes; null where it does not cover a year. */
const ofRecord = keptWhile("weather", (db) => normalsFromSeries(observedDays(db)) ?? null);

/** The climate drawn from other places, where the garden's own record is too short to tell it. */
export function usualWhereUnknown(db: Db, row: GardenRow): PlaceClimate | null {
  return ofRecord(db) ? null : usualClimate(row);
}

/** The usual weather of the garden as well as it is known. */
export function normalsOf(db: Db, row: GardenRow): ClimateNormals {
  return ofRecord(db) ?? usualNormals([], usualClimate(row), row.latitude);
}
