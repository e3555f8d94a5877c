import { addDays, dayNumber, dayOfYear, daysBetween, isoDay, type IsoDay } from "~/core/calendar";
import { normalDraw, seeded } from "~/core/statistics";
import type { DailyWeather } from "~/core/weather";

/** A day as it really comes in the made-up world. */
export interface TrueDay {
  day: IsoDay;
  minC: number;
  maxC: number;
  rainMm: number;
  windKmh: number;
  dewPointC: number;
  cloudShare: number;
  thunder: boolean;
  hail: boolean;
  /** Hour at which rain begins, and how many hours it lasts. */
  rainFrom: number;
  rainHours: number;
}

/** The weather that the stand-ins know. */
export interface Truth {
  name: string;
  dayOf(day: IsoDay): TrueDay | undefined;
}

const FIRST_DAY = "2017-01-01";
const STORY_YEARS_FROM = "2023-01-01";
const LAST_DAY = "2027-12-31";

/** The demo's story, laid over the made-up climate: a mild week, a first frost, then a gale. */
const STORY: Record<IsoDay, Partial<TrueDay>> = {
  "2026-09-19": { minC: 9.4, maxC: 20.6, rainMm: 0, windKmh: 14, cloudShare: 0.3 },
  "2026-09-20": { minC: 10.1, maxC: 21.3, rainMm: 0, windKmh: 12, cloudShare: 0.3 },
  "2026-09-21": { minC: 11.2, maxC: 19.0, rainMm: 3.4, windKmh: 27, rainFrom: 13, rainHours: 4 },
  "2026-09-22": { minC: 8.0, maxC: 16.1, rainMm: 1.2, windKmh: 31, rainFrom: 3, rainHours: 3 },
  "2026-09-23": { minC: 4.6, maxC: 13.8, rainMm: 0, windKmh: 17, cloudShare: 0.4 },
  "2026-09-24": { minC: -1.6, maxC: 12.9, rainMm: 0, windKmh: 7, cloudShare: 0.05, dewPointC: -2.4 },
  "2026-09-25": { minC: 2.3, maxC: 14.7, rainMm: 0, windKmh: 11, cloudShare: 0.2 },
  "2026-09-26": { minC: 5.0, maxC: 16.4, rainMm: 0, windKmh: 19 },
  "2026-09-27": { minC: 7.9, maxC: 15.5, rainMm: 6.1, windKmh: 41 },
  "2026-09-28": { minC: 8.3, maxC: 13.1, rainMm: 27.5, windKmh: 84, thunder: true, rainFrom: 9, rainHours: 9 },
  "2026-09-29": { minC: 6.2, maxC: 13.4, rainMm: 5.0, windKmh: 48 },
};

const tenth = (value: number) => Math.round(value * 10) / 10;

/** A seeded cool-temperate climate with wet and dry spells, frosts and storms. */
export function madeUpTruth(seed: number): Truth {
  const days = new Map<IsoDay, TrueDay>();
  // Two streams, so that years may be added before without changing the demo's own.
  climate(FIRST_DAY, addDays(STORY_YEARS_FROM, -1), seeded(seed + 991), days);
  climate(STORY_YEARS_FROM, LAST_DAY, seeded(seed), days);
  return { name: "made-up weather (simulated)", dayOf: (day) => days.get(day) };
}

function climate(from: IsoDay, to: IsoDay, uniform: () => number, days: Map<IsoDay, TrueDay>): void {
  let anomaly = 0;
  let wet = false;
  for (let n = dayNumber(from); n <= dayNumber(to); n++) {
    const day = isoDay(n);
    const season = -Math.cos((2 * Math.PI * (dayOfYear(day) - 22)) / 365.25);
    anomaly = 0.72 * anomaly + 1.9 * normalDraw(uniform);
    wet = uniform() < (wet ? 0.58 : 0.27);
    const range = (wet ? 6.2 : 10.5) + 1.5 * season;
    const mean = 10.6 + 7.2 * season + anomaly;
    const rainMm = wet ? tenth(-5.2 * Math.log(1 - uniform())) : 0;
    const windKmh = tenth(12 + (wet ? 10 : 0) + 7 * Math.abs(normalDraw(uniform)));
    const minC = tenth(mean - range / 2);
    const seen = { day, minC, maxC: tenth(mean + range / 2), rainMm, windKmh, ...STORY[day] };
    days.set(day, { ...unseen(seen), ...STORY[day] });
  }
}

/** What a daily series does not tell, made up from its day so that it is the same each time. */
function unseen(d: Pick<TrueDay, "day" | "minC" | "maxC" | "rainMm" | "windKmh">): TrueDay {
  const chance = seeded(dayNumber(d.day) * 2654435761);
  const wet = d.rainMm >= 0.3;
  const rainHours = wet ? Math.min(20, 1 + Math.round(d.rainMm / 2 + 3 * chance())) : 0;
  const warm = d.maxC >= 19 && wet;
  return {
    ...d,
    cloudShare: tenth(wet ? 0.7 + 0.3 * chance() : 0.7 * chance()),
    dewPointC: tenth(d.minC - (wet ? 0 : 2.2 * chance())),
    thunder: warm && d.rainMm > 6 && chance() < 0.4,
    hail: warm && d.rainMm > 12 && chance() < 0.25,
    rainFrom: Math.floor(chance() * (24 - rainHours)),
    rainHours,
  };
}

/**
 * A real daily series replayed: each day of the garden has the weather of the same date in one of its years.
 *
 * @param series - daily weather that holds at least one whole year
 * @param firstYear - garden year that plays the first whole year of the series
 */
export function replayTruth(name: string, series: readonly DailyWeather[], firstYear: number): Truth {
  const byDay = new Map(series.map((d) => [d.day, d]));
  const years = [...new Set(series.map((d) => d.day.slice(0, 4)))].filter(
    (y) => series.filter((d) => d.day.startsWith(y)).length >= 360,
  );
  if (years.length === 0) throw new RangeError("series: not one whole year to replay");
  return {
    name: `${name} (replayed)`,
    dayOf(day) {
      const turn = Number(day.slice(0, 4)) - firstYear;
      const year = years[((turn % years.length) + years.length) % years.length]!;
      const date = day.slice(4) === "-02-29" && !byDay.has(`${year}-02-29`) ? "-02-28" : day.slice(4);
      const played = byDay.get(`${year}${date}`) ?? byDay.get(addDays(`${year}${date}`, -1));
      if (!played) return undefined;
      return unseen({
        day,
        minC: played.minC,
        maxC: played.maxC,
        rainMm: played.rainMm ?? 0,
        windKmh: played.windKmh ?? 15,
      });
    },
  };
}

/** Days of a truth between two days, both included, as a daily record would have them. */
export function recordOf(truth: Truth, from: IsoDay, to: IsoDay): DailyWeather[] {
  return Array.from({ length: Math.max(0, daysBetween(from, to) + 1) }, (_, n) => truth.dayOf(addDays(from, n)))
    .filter((d) => d !== undefined)
    .map(({ day, minC, maxC, rainMm, windKmh, dewPointC, cloudShare }) => ({ day, minC, maxC, rainMm, windKmh, dewPointC, cloudShare })); // prettier-ignore
}
