import { addDays, type IsoDay } from "../calendar";
import type { DailyWeather } from "./daily-weather";

/** How far a mean may move within so many days, °C: our judgement. A reading in the other degrees lies further off. */
const STEP_C = [9, 9, 12];

const meanOf = ({ minC, maxC }: Pick<DailyWeather, "minC" | "maxC">) => (minC + maxC) / 2;

/**
 * Whether days, however far from the usual, are borne out by days on record close to one of them: real cold and heat come
 * by steps.
 */
export function borneOut(days: readonly DailyWeather[], record: readonly DailyWeather[]): boolean {
  const known = new Map<IsoDay, number>(record.map((d) => [d.day, meanOf(d)]));
  return days.some((d) =>
    STEP_C.some((most, apart) =>
      [apart, -apart].some((n) => {
        const near = known.get(addDays(d.day, n));
        return near !== undefined && Math.abs(near - meanOf(d)) <= most;
      }),
    ),
  );
}
