import { addDays, dayOfYear, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { dailyDegreeDays, normalDegreeDays, type ClimateNormals, type DailyWeather } from "../weather";

/** Days after the turn of the year within which growth has begun wherever the crop grows at all. */
const LATEST_DAYS = 240;

/** Buds rest until so many days after midwinter whatever the warmth: winter chill has to be had first. Our judgement. */
export const REST_DAYS = 30;

/** What stood the winter shoots once the days are so long, hours, and warm enough. Our judgement. */
export const BOLTS_FROM_HOURS = 12.3;

/**
 * When a perennial's new growth or blossom begins, worked out from the heat since midwinter: the record where there
 * is one, the usual of the date beyond it.
 *
 * @param turn - the day its year turned
 * @param observed - record by day
 * @returns the day; `LATEST_DAYS` after the turn where the heat never comes
 * @throws {RangeError} for a crop that is no perennial: a caller's mistake
 */
export function workedOutStart(
  crop: Crop,
  turn: IsoDay,
  normals: ClimateNormals,
  observed: ReadonlyMap<IsoDay, DailyWeather>,
): IsoDay {
  if (!crop.perennial) throw new RangeError(`crop: ${crop.id} is no perennial`);
  const { baseC, degreeDays } = crop.perennial;
  const upperC = crop.degreeDays.calendar ? 30 : crop.degreeDays.upperC;
  let heat = 0;
  for (let i = REST_DAYS; i < LATEST_DAYS; i++) {
    const day = addDays(turn, i);
    const seen = observed.get(day);
    heat += seen
      ? dailyDegreeDays(seen.minC, seen.maxC, baseC, upperC)
      : normalDegreeDays(normals, dayOfYear(day), baseC, upperC);
    if (heat >= degreeDays) return day;
  }
  return addDays(turn, LATEST_DAYS);
}

/**
 * The start that fits what was picked: nobody picks before the first fruit could be there.
 *
 * @param start - worked out
 * @param firstPickOn - of the season, if any
 */
export function startBefore(crop: Crop, start: IsoDay, firstPickOn: IsoDay | null): IsoDay {
  if (!firstPickOn) return start;
  const latest = addDays(firstPickOn, -Math.round(crop.packet.low));
  return daysBetween(latest, start) > 0 ? latest : start;
}
