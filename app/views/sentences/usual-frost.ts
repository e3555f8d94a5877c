import { addDays, type IsoDay } from "~/core/calendar";
import { frostSeason, type ClimateNormals, type FrostDays } from "~/core/weather";
import { dayAndMonth } from "../words";

/** A year that is no leap year, to write dates of any year in. */
const ANY_YEAR = "2025";

/**
 * The frost season of a place without a record, with its doubt: "First frost usually about 20 Oct (8 years in 10:
 * 1 Oct to 10 Nov)".
 */
export function usualFrost(normals: ClimateNormals, latitude: number): { last: string; first: string } {
  const { last, first } = frostSeason(normals, latitude);
  return { last: sayFrost("Last frost", last), first: sayFrost("First frost", first) };
}

function sayFrost(which: string, { p10, p50, p90 }: FrostDays): string {
  const say = (doy: number) => dayAndMonth(addDays(`${ANY_YEAR}-01-01`, Math.min(365, doy) - 1) as IsoDay, `${ANY_YEAR}-01-01`); // prettier-ignore
  if (p50 === null) return `${which}: fewer than one year in two has one`;
  const span = p10 !== null && p90 !== null ? ` (8 years in 10: ${say(p10)} to ${say(p90)})` : "";
  return `${which} usually about ${say(p50)}${span}`;
}
