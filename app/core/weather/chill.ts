import { overUsualDays, type ClimateNormals } from "./normals";

/** Hours count towards a winter's chill between these, °C. */
const CHILL = { aboveC: 0, belowC: 7.2 } as const;

/**
 * Hours of winter chill in a day: those between 0 and 7.2 °C, on a straight line from the low to the high.
 *
 * @param minC - low of the day, °C
 * @param maxC - high of the day, °C
 * @source chill hours (Weinberger's model), bounds from memory of EXT
 */
export function chillHours(minC: number, maxC: number): number {
  if (maxC - minC < 0.1) return minC > CHILL.aboveC && minC < CHILL.belowC ? 24 : 0;
  const cold = Math.min(CHILL.belowC, maxC) - Math.max(CHILL.aboveC, minC);
  // The share first: a whole day is then 24, not a hair above.
  return 24 * (Math.max(0, cold) / (maxC - minC));
}

/** Hours to expect of a day of the year, 1 to 366: the mean over days that stray from the normal. */
export function normalChillHours(normals: ClimateNormals, doy: number): number {
  return overUsualDays(normals.minC[doy]!, normals.maxC[doy]!, normals.spreadC[doy]!, chillHours);
}
