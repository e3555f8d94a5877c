import { z } from "zod";
import { RecordDay } from "../calendar";

/** A share or odds that a service may or may not tell. */
const share = z.number().min(0).max(1).nullish();

/** One day of weather. Low and high in °C; rain in mm; wind is the strongest of the day, km/h. */
export const DailyWeather = z
  .object({
    day: RecordDay,
    minC: z.number().min(-70, "colder than any place on earth").max(50, "warmer than any night on earth"),
    maxC: z.number().min(-70, "colder than any place on earth").max(60, "hotter than any place on earth"),
    rainMm: z.number().min(0, "rain below zero").max(2000, "more rain than ever fell in a day").nullable(),
    windKmh: z.number().min(0, "wind below zero").max(410, "stronger than any gust on record").nullable(),
    /** Dew point of the day, °C. */
    dewPointC: z.number().min(-80).max(40).nullish(),
    /** Share of the night's sky under cloud. */
    cloudShare: share,
    thunderOdds: share,
    hailOdds: share,
  })
  .refine((d) => d.maxC >= d.minC, { error: "the high is below the low", path: ["maxC"] });
export type DailyWeather = z.infer<typeof DailyWeather>;
