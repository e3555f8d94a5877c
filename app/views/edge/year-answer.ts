import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import type { Catalogue } from "~/core/crops";
import { cropCalendar } from "~/core/life";
import { DailyWeather, monthlyNormals, placeClimate, usualNormals, type ClimatePlace } from "~/core/weather";

const YearInput = z.object({
  latitude: z.number().min(-90).max(90),
  /** With them the climate is drawn from places that are known. */
  longitude: z.number().min(-180).max(180).optional(),
  seaKm: z.number().min(0).max(3000).default(100),
  heightM: z.number().min(-450).max(5500).nullable().default(null),
  /** Starts on or after this day. */
  from: IsoDay,
  /** Mean daily low and high of January to December, °C. */
  months: z.array(z.tuple([z.number().min(-60).max(50), z.number().min(-60).max(60)])).length(12).optional(), // prettier-ignore
  observed: z.array(DailyWeather).default([]),
  /** Crop ids; left out: all. */
  crops: z.array(z.string()).optional(),
});

/**
 * The verb `year`: a place → each crop's usual starts and the life that follows each: first pick, end, what a plant gives.
 *
 * @throws {z.ZodError} for input of the wrong shape
 * @throws {RangeError} for an unknown crop
 */
export function yearAnswer(input: unknown, catalogue: Catalogue, places: readonly ClimatePlace[]) {
  const { latitude, longitude, seaKm, heightM, from, months, observed, crops } = YearInput.parse(input);
  const unknown = crops?.find((id) => !catalogue.some((c) => c.id === id));
  if (unknown !== undefined) throw new RangeError(`crops: no crop “${unknown}”`);
  const usual = longitude === undefined ? null : placeClimate(places, { latitude, longitude, seaKm, heightM });
  const normals = months && observed.length === 0 ? monthlyNormals(months) : usualNormals(observed, usual, latitude);
  return {
    climate:
      normals.years > 0
        ? "record"
        : months
          ? "months"
          : usual
            ? "drawn from places that are known"
            : "rough guess from the latitude",
    crops: catalogue
      .filter((c) => !crops || crops.includes(c.id))
      .map((crop) => ({ id: crop.id, name: crop.name, lives: cropCalendar(crop, { normals, latitude }, from) })),
  };
}
