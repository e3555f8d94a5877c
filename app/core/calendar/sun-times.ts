import { getTimes } from "suncalc";
import type { IsoDay } from "./day";

/**
 * Sunrise and sunset (upper limb, standard refraction) at a place on a day.
 *
 * @param day - ISO day at the place
 * @param latitude - degrees, north positive, −90 to 90
 * @param longitude - degrees, east positive, −180 to 180
 * @returns instants, or `status: "no rise or set"` in polar day or night
 * @throws {RangeError} when the place is not on the globe
 * @source suncalc, after Meeus, Astronomical Algorithms; checked against astronomy-engine in tests/reference
 */
export function sunTimes(
  day: IsoDay,
  latitude: number,
  longitude: number,
): { status: "ok"; riseAt: Date; setAt: Date } | { status: "no rise or set" } {
  if (!(Math.abs(latitude) <= 90)) throw new RangeError(`latitude: ${latitude} is outside −90 to 90`);
  if (!(Math.abs(longitude) <= 180)) throw new RangeError(`longitude: ${longitude} is outside −180 to 180`);
  // Local solar noon of that day, so that the right day's rise and set are found at any longitude.
  const solarNoon = new Date(Date.parse(`${day}T12:00:00Z`) - (longitude / 360) * 86_400_000);
  const { sunrise, sunset } = getTimes(solarNoon, latitude, longitude);
  if (!sunrise || !sunset || Number.isNaN(+sunrise) || Number.isNaN(+sunset)) return { status: "no rise or set" };
  return { status: "ok", riseAt: sunrise, setAt: sunset };
}

/**
 * Civil twilight: when there is light enough to work before sunrise and after sunset (sun 6° below the horizon).
 *
 * @returns instants, or undefined where the sun does not cross that height
 */
export function twilight(day: IsoDay, latitude: number, longitude: number): { dawnAt: Date; duskAt: Date } | undefined {
  const solarNoon = new Date(Date.parse(`${day}T12:00:00Z`) - (longitude / 360) * 86_400_000);
  const { dawn, dusk } = getTimes(solarNoon, latitude, longitude);
  if (!dawn || !dusk || Number.isNaN(+dawn) || Number.isNaN(+dusk)) return undefined;
  return { dawnAt: dawn, duskAt: dusk };
}
