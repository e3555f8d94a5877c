import type { Crop } from "../crops";
import { normalCdf } from "../statistics";

/** 10 and 90 % of the normal lie this far from the middle. */
const Z90 = 1.2816;
/** Share of the bearing over which it comes into full crop, and what it gives on its first day: our judgement. */
const RAMP = { share: 0.18, first: 0.25 } as const;
/** A day of growth below or above a usual summer day's ages the plants by at least and at most so much: our judgement. */
const AGEING = { least: 0.6, most: 1.05, usualPace: 0.8 } as const;
/** Plantings of one crop differ at least so much in how long they bear (log): our judgement. */
const LEAST_SPREAD = 0.2;
/** What ends with the season, not with the plants' strength, ages by the calendar. */
const BY_CALENDAR: readonly string[] = ["cold", "dark", "age"];

/** What a crop bears after its first pick, by its age in growing days. */
export interface Bearing {
  /** P(it has ended) by an age; of what ripens as a whole: the share that has ripened. */
  endedBy: (age: number) => number;
  /** Pieces a day against those of full bearing; of what ripens as a whole: its share a growing day. */
  rateAt: (age: number) => number;
  /** The same of plants that are known to bear still. */
  vigourAt: (age: number) => number;
  /** Growing days of full bearing that the whole of it amounts to. */
  fullDays: number;
  /** Middle of its length, growing days. */
  days: number;
  /** How much older a day makes the plants, growing days, by its growth as a share of a warm day's. */
  agesBy: (pace: number) => number;
}

const byGrowth = (pace: number) => Math.min(AGEING.most, Math.max(AGEING.least, pace / AGEING.usualPace));

const bearings = new WeakMap<Crop, Bearing | undefined>();

/**
 * How a crop bears: what keeps giving comes into crop, holds and ends as its length is spread; what is taken in passes
 * or stages ripens as a bell over its span.
 *
 * @returns undefined for what is lifted at once or as needed
 */
export function bearingOf(crop: Crop): Bearing | undefined {
  if (!bearings.has(crop)) bearings.set(crop, workedOut(crop));
  return bearings.get(crop);
}

function workedOut(crop: Crop): Bearing | undefined {
  const { bearing, taking } = crop.life;
  if (crop.mode === "repeat" && bearing)
    return keepsGiving(bearing.low, bearing.high, BY_CALENDAR.includes(bearing.ends) ? () => 1 : byGrowth);
  const span = crop.mode === "passes" ? bearing : taking.way === "in stages" ? taking.days : undefined;
  return span && ripens(Math.sqrt(span.low * span.high), crop.mode === "once");
}

/** A function of age read off a table of half days: it is asked for some thousand times a planting. */
function tabled(f: (age: number) => number, from: number, to: number): (age: number) => number {
  const values = Float64Array.from({ length: Math.ceil(2 * (to - from)) + 1 }, (_, i) => f(from + i / 2));
  return (age) => values[Math.min(values.length - 1, Math.max(0, Math.round(2 * (age - from))))]!;
}

function keepsGiving(low: number, high: number, agesBy: Bearing["agesBy"]): Bearing {
  const days = Math.sqrt(low * high);
  const spread = Math.max(LEAST_SPREAD, Math.log(high / low) / (2 * Z90));
  const endedBy = (age: number) => (age <= 0 ? 0 : normalCdf(Math.log(age / days) / spread));
  const ramp = (age: number) => Math.min(1, RAMP.first + ((1 - RAMP.first) * age) / (RAMP.share * days));
  const rateAt = (age: number) => (age < 0 ? 0 : ramp(age) * (1 - endedBy(age)));
  const vigourAt = (age: number) => (age < 0 ? 0 : ramp(age));
  let fullDays = 0;
  for (let age = 0.5; age < 2.5 * high; age++) fullDays += rateAt(age);
  const until = 3 * high;
  return { endedBy: tabled(endedBy, 0, until), rateAt: tabled(rateAt, -1, until), vigourAt: tabled(vigourAt, -1, until), fullDays, days, agesBy }; // prettier-ignore
}

/**
 * The first tenth has ripened by the first pick, the last tenth follows after the span. `atMiddle`: what it is judged by
 * is its middle, not its leading pieces.
 */
function ripens(days: number, atMiddle: boolean): Bearing {
  const sd = days / (2 * Z90);
  const lead = atMiddle ? 0 : Z90;
  const endedBy = (age: number) => normalCdf(age / sd - lead);
  const rateAt = (age: number) => endedBy(age + 0.5) - endedBy(age - 0.5);
  const reach = 2 * days + 2;
  const rate = tabled(rateAt, -reach, 2 * reach);
  return { endedBy: tabled(endedBy, -reach, 2 * reach), rateAt: rate, vigourAt: rate, fullDays: 1, days, agesBy: byGrowth }; // prettier-ignore
}
