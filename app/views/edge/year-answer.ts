import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import type { Catalogue } from "~/core/crops";
import { cropCalendar } from "~/core/life";
import { DailyWeather, monthlyNormals, normalsFromSeries, roughNormals } from "~/core/weather";

const YearInput = z.object({
  latitude: z.number().min(-90).max(90),
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
export function yearAnswer(input: unknown, catalogue: Catalogue) {
  const { latitude, from, months, observed, crops } = YearInput.parse(input);
  const unknown = crops?.find((id) => !catalogue.some((c) => c.id === id));
  if (unknown !== undefined) throw new RangeError(`crops: no crop “${unknown}”`);
  const normals = normalsFromSeries(observed) ?? (months ? monthlyNormals(months) : roughNormals(latitude));
  return {
    climate: normals.years > 0 ? "record" : months ? "months" : "rough guess from the latitude",
    crops: catalogue
      .filter((c) => !crops || crops.includes(c.id))
      .map((crop) => ({ id: crop.id, name: crop.name, lives: cropCalendar(crop, { normals, latitude }, from) })),
  };
}
