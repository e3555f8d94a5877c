import { z } from "zod";
import { Standing } from "../crops";

const twelve = (least: number, most: number) => z.array(z.number().min(least).max(most)).length(12);

/** A place whose usual months are known. */
export const ClimatePlace = z
  .object({
    name: z.string().min(2),
    latitude: z.number().min(-90).max(90),
    longitude: z.number().min(-180).max(180),
    heightM: z.number().min(-450).max(5500),
    /** To the nearest coast, km. */
    seaKm: z.number().min(0).max(3000),
    /** Mean daily low and high of January to December, °C. */
    lowsC: twelve(-60, 40),
    highsC: twelve(-50, 55),
    /** Days of January to December with 1 mm of rain or more. */
    rainDays: twelve(0, 31),
  })
  .refine((p) => p.lowsC.every((low, m) => low < p.highsC[m]!), "a low is above its high");
export type ClimatePlace = z.infer<typeof ClimatePlace>;

export const ClimateFile = z.object({ standing: Standing, places: z.array(ClimatePlace).min(150) });
