import { z } from "zod";
import { IsoDay } from "../calendar";

/** One day of weather. Low and high in °C; rain in mm; wind is the strongest of the day, km/h. */
export const DailyWeather = z
  .object({
    day: IsoDay,
    minC: z.number().min(-70, "colder than any place on earth").max(50),
    maxC: z.number().min(-70).max(60, "hotter than any place on earth"),
    rainMm: z.number().min(0).max(2000).nullable(),
    windKmh: z.number().min(0).max(410).nullable(),
  })
  .refine((d) => d.maxC >= d.minC, { error: "the high is below the low", path: ["maxC"] });
export type DailyWeather = z.infer<typeof DailyWeather>;
