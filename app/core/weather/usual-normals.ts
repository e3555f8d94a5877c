import type { DailyWeather } from "./daily-weather";
import { normalsFromSeries, roughNormals, type ClimateNormals } from "./normals";
import { normalsOfPlace, type PlaceClimate } from "./place-climate";

/**
 * The usual weather of a place as well as it is known: from its own record, else drawn from places that are known, else
 * guessed from the latitude alone.
 *
 * @param usual - drawn from the table; null where that is not at hand
 */
export function usualNormals(
  observed: readonly DailyWeather[],
  usual: PlaceClimate | null,
  latitude: number,
): ClimateNormals {
  return normalsFromSeries(observed) ?? (usual ? normalsOfPlace(usual) : roughNormals(latitude));
}
