import { addDays, dayOfYear, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import {
  chillHours,
  dailyDegreeDays,
  normalChillHours,
  normalDegreeDays,
  type ClimateNormals,
  type DailyWeather,
} from "../weather";

/** Days after the turn of the year within which growth has begun wherever the crop grows at all. */
const LATEST_DAYS = 240;

/** Buds rest until so many days after midwinter whatever the warmth and the chill they had: days are too short. Our judgement. */
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
  const chilledBy = chillFrom(crop, turn, normals, observed);
  const upperC = crop.degreeDays.calendar ? 30 : crop.degreeDays.upperC;
  let heat = 0;
  for (let i = REST_DAYS; i < LATEST_DAYS; i++) {
    const day = addDays(turn, i);
    const seen = observed.get(day);
    const warmth = seen
      ? dailyDegreeDays(seen.minC, seen.maxC, baseC, upperC)
      : normalDegreeDays(normals, dayOfYear(day), baseC, upperC);
    heat += warmth * chilledBy(i);
    if (heat >= degreeDays) return day;
  }
  return addDays(turn, LATEST_DAYS);
}

/** Chill counts from so many days before midwinter: when the leaves are down. Our judgement. */
const CHILL_FROM_DAYS = -61;

/** Without chill warmth counts by this share: who plants where winters are warm plants what asks for little. Our judgement. */
const UNCHILLED = 0.5;

/** Share of the warmth that wakes a crop on each day after the turn, by the winter chill it has had: asked for day by day. */
function chillFrom(
  { life }: Crop,
  turn: IsoDay,
  normals: ClimateNormals,
  observed: ReadonlyMap<IsoDay, DailyWeather>,
): (day: number) => number {
  const wanted = life.chill?.hours;
  if (wanted === undefined) return () => 1;
  let had = 0;
  let next = CHILL_FROM_DAYS;
  return (by) => {
    for (; next <= by && had < wanted; next++) {
      const day = addDays(turn, next);
      const seen = observed.get(day);
      had += seen ? chillHours(seen.minC, seen.maxC) : normalChillHours(normals, dayOfYear(day));
    }
    return Math.min(1, Math.max(UNCHILLED, had / wanted));
  };
}

/**
 * Chill hours of a usual winter in a place, from the fall of the leaves to three months after midwinter.
 *
 * @param turn - midwinter of any year
 */
export function usualChill(turn: IsoDay, normals: ClimateNormals): number {
  let hours = 0;
  for (let i = CHILL_FROM_DAYS; i < 90; i++) hours += normalChillHours(normals, dayOfYear(addDays(turn, i)));
  return hours;
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
