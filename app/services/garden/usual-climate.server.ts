import { climatePlaces } from "~/catalogue/catalogue.server";
import { placeClimate, type PlaceClimate } from "~/core/weather";
import type { GardenRow } from "~/db/garden/garden.server";
import { seaKmOf } from "./sea-distance.server";

let kept: { key: string; climate: PlaceClimate } | undefined;

/** The usual months of the garden's place, drawn from places that are known; worked out once. */
export function usualClimate({
  latitude,
  longitude,
  heightM,
}: Pick<GardenRow, "latitude" | "longitude" | "heightM">): PlaceClimate {
  // prettier-ignore
  const key = `${latitude} ${longitude} ${heightM}`;
  if (kept?.key !== key) {
    const place = { latitude, longitude, heightM, seaKm: seaKmOf(latitude, longitude) };
    kept = { key, climate: placeClimate(climatePlaces(), place) };
  }
  return kept.climate;
}
