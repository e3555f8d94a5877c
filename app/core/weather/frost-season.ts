import { normalCdf } from "../statistics";
import type { ClimateNormals } from "./normals";

/** Days of the year by which the first frost has come, or the last one gone, in 1, 5 and 9 years of 10. */
export interface FrostDays {
  p10: number | null;
  p50: number | null;
  p90: number | null;
}

/** Nights in a row are alike: so many of them count as one that is free of the others. Our judgement. */
const NIGHTS_ALIKE = 3;

/**
 * First and last frost of a usual year where only normals are known: nights stray from the usual low as the normals say.
 *
 * @param latitude - tells where summer is
 * @returns days of the year, 1 to 366; null where so few years see one
 */
export function frostSeason(
  { minC, lowSpreadC }: ClimateNormals,
  latitude: number,
): { last: FrostDays; first: FrostDays } {
  // prettier-ignore
  const midsummer = latitude >= 0 ? 196 : 15;
  const oneSide = (side: 1 | -1): FrostDays => {
    const days: FrostDays = { p10: null, p50: null, p90: null };
    let free = 1;
    for (let k = 1; k <= 200; k++) {
      const doy = ((midsummer - 1 + side * k + 366 * 2) % 366) + 1;
      free *= (1 - normalCdf((0 - minC[doy]!) / lowSpreadC[doy]!)) ** (1 / NIGHTS_ALIKE);
      const come = 1 - free;
      if (side > 0 ? come >= 0.1 : come >= 0.1) days[side > 0 ? "p10" : "p90"] ??= doy;
      if (come >= 0.5) days.p50 ??= doy;
      if (come >= 0.9) days[side > 0 ? "p90" : "p10"] ??= doy;
    }
    return days;
  };
  return { last: oneSide(-1), first: oneSide(1) };
}
