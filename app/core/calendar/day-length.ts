import type { IsoDay } from "./day";
import { addDays } from "./day";
import { sunTimes } from "./sun-times";

/** Daylight of a day, hours from sunrise to sunset; a day without either has 24 in summer and 0 in winter. */
export function dayLength(day: IsoDay, latitude: number): number {
  const sun = sunTimes(day, latitude, 0);
  if (sun.status === "ok") return (sun.setAt.getTime() - sun.riseAt.getTime()) / 3_600_000;
  const month = Number(day.slice(5, 7));
  return month >= 4 && month <= 9 === latitude >= 0 ? 24 : 0;
}

/**
 * The first day on or after `from` with so much daylight.
 *
 * @returns `from` itself when it has it; undefined where no day of the year does
 */
export function dayOfLight(from: IsoDay, hours: number, latitude: number): IsoDay | undefined {
  for (let i = 0; i < 366; i++) {
    const day = addDays(from, i);
    if (dayLength(day, latitude) >= hours) return day;
  }
  return undefined;
}
