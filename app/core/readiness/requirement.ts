import { addDays, dayOfYear, type IsoDay } from "../calendar";
import { normalDegreeDays, type ClimateNormals } from "../weather";

/** How much heat a planting needs to reach its prime, °C·d: log-normal. */
export interface ThermalRequirement {
  median: number;
  /** Standard deviation of its logarithm. */
  logSpread: number;
}

/** 10 % and 90 % of the normal lie this many standard deviations from the middle. */
const Z90 = 1.2816;
/** Spread between gardens that a packet does not know of (soil, sun, sowing depth): our judgement. */
const GARDEN_LOG_SPREAD = 0.03;
/** A bed's mean warmth differs from the station's by about this much, °C: our judgement. */
const BED_SPREAD_C = 0.3;
/**
 * Share of a packet's spread of days that lies in the plants: the rest is the seasons' weather, which the
 * degree-days reckon with themselves. Our judgement, tuned on the truth garden.
 */
const PLANTS_SHARE = 0.68;

/** Degree-days that the normals give over `days` days from `from` (its first day counts). */
export function normalHeat(
  normals: ClimateNormals,
  from: IsoDay,
  days: number,
  baseC: number,
  upperC: number,
  extraC = 0,
): number {
  let sum = 0;
  for (let i = 0; i < Math.ceil(days); i++) {
    const doy = dayOfYear(addDays(from, i));
    const share = Math.min(1, days - i);
    sum += share * normalDegreeDays(normals, doy, baseC, upperC, extraC);
  }
  return sum;
}

/**
 * Turns "60–70 days" into a thermal requirement: the heat that the garden's own normal climate gives
 * over that many days from the start. The packet's two ends are read as its 10 and 90 % points.
 *
 * @param lowDays - earlier end, days > 0
 * @param highDays - later end, days ≥ `lowDays`
 * @param from - day the count starts
 * @returns median and log spread; never below 3 °C·d, so that a cold spell cannot make it vanish
 * @throws {RangeError} when the days are not 0 < low ≤ high
 * @source design of this project; the spread between gardens is our judgement
 */
export function requirementFromDays(
  normals: ClimateNormals,
  from: IsoDay,
  lowDays: number,
  highDays: number,
  baseC: number,
  upperC: number,
  extraC = 0,
): ThermalRequirement {
  if (!(lowDays > 0 && highDays >= lowDays)) throw new RangeError(`days: ${lowDays} to ${highDays} is not a range`);
  const low = Math.max(3, normalHeat(normals, from, lowDays, baseC, upperC, extraC));
  const high = Math.max(low, normalHeat(normals, from, highDays, baseC, upperC, extraC));
  return requirementFromHeat(low, high, high / highDays);
}

/**
 * A thermal requirement from the crop's own heat, its two ends read as 10 and 90 % points.
 *
 * @param low - °C·d, > 0
 * @param high - °C·d, ≥ `low`
 * @param heatPerDay - of the season it grows in, °C·d
 * @source design of this project; the spreads of gardens and beds are our judgement
 */
export function requirementFromHeat(low: number, high: number, heatPerDay: number): ThermalRequirement {
  const packetSpread = (PLANTS_SHARE * Math.log(high / low)) / (2 * Z90);
  // Near the base a third of a degree is much of a day's heat, well above it little.
  const bedSpread = Math.min(0.12, BED_SPREAD_C / Math.max(0.5, heatPerDay));
  return { median: Math.sqrt(low * high), logSpread: Math.hypot(packetSpread, GARDEN_LOG_SPREAD, bedSpread) };
}

/** A season is looked for no longer than this, days. */
const LONGEST_DAYS = 500;

/** Days that the normals take to give some heat from a day; `LONGEST_DAYS` where they never do. */
export function normalDaysTo(
  heat: number,
  normals: ClimateNormals,
  from: IsoDay,
  baseC: number,
  upperC: number,
  extraC = 0,
): number {
  const start = dayOfYear(from);
  let sum = 0;
  for (let i = 0; i < LONGEST_DAYS; i++) {
    sum += normalDegreeDays(normals, ((start + i - 1) % 366) + 1, baseC, upperC, extraC);
    if (sum >= heat) return i + 1;
  }
  return LONGEST_DAYS;
}
