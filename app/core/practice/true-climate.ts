import { addDays, dayOfYear, type IsoDay } from "../calendar";
import { normalDraw, seeded } from "../statistics";

/** A day of the truth garden's weather, °C. */
export interface TrueDay {
  day: IsoDay;
  minC: number;
  maxC: number;
}

/** A made-up temperate place: yearly wave, and anomalies of the year, of the weeks and of the day, °C. Our judgement. */
const PLACE = { meanC: 10.3, waveC: 7.2, coldestDay: 22, halfRangeC: 4.6 } as const;
const ANOMALY = { year: 0.6, weeks: 1.5, weeksKept: 0.955, day: 1.9, dayKept: 0.55 } as const;

/**
 * Weather of one season of the truth garden.
 *
 * @param seed - another seed, another season
 * @param from - first day
 * @param days - how many
 */
export function trueWeather(seed: number, from: IsoDay, days: number): TrueDay[] {
  const uniform = seeded(seed);
  const draw = (sd: number) => sd * normalDraw(uniform);
  const year = draw(ANOMALY.year);
  let weeks = draw(ANOMALY.weeks);
  let today = draw(ANOMALY.day);
  return Array.from({ length: days }, (_, i) => {
    const day = addDays(from, i);
    weeks = ANOMALY.weeksKept * weeks + draw(ANOMALY.weeks * Math.sqrt(1 - ANOMALY.weeksKept ** 2));
    today = ANOMALY.dayKept * today + draw(ANOMALY.day * Math.sqrt(1 - ANOMALY.dayKept ** 2));
    const mean = seasonMean(day) + year + weeks + today;
    const half = Math.max(1.5, PLACE.halfRangeC + draw(1.3));
    return { day, minC: mean - half, maxC: mean + half };
  });
}

function seasonMean(day: IsoDay): number {
  return PLACE.meanC - PLACE.waveC * Math.cos((2 * Math.PI * (dayOfYear(day) - PLACE.coldestDay)) / 365.25);
}

/**
 * Heat of a day for a plant, by hours: the truth garden's own reckoning, apart from the estimator's.
 *
 * @param extraC - warmth of the bed by day
 */
export function trueHeat(
  { minC, maxC }: Pick<TrueDay, "minC" | "maxC">,
  baseC: number,
  upperC: number,
  extraC: number,
): number {
  let sum = 0;
  for (let hour = 0; hour < 24; hour++) {
    const share = 0.5 - 0.5 * Math.cos((2 * Math.PI * (hour - 3)) / 24);
    const t = minC + share * (maxC + extraC - minC);
    sum += Math.min(Math.max(t, baseC), upperC) - baseC;
  }
  return sum / 24;
}
