import { addDays, dayNumber, dayOfYear, daysBetween, type IsoDay } from "~/core/calendar";
import { normalDraw, seeded } from "~/core/statistics";
import type { DailyWeather } from "~/core/weather";
import type { WeatherService } from "~/ports/weather-service";

const FIRST_DAY = "2023-01-01";
const LAST_DAY = "2027-12-31";
const FORECAST_DAYS = 11;

/** The demo's story, laid over the made-up climate: a mild week, a first frost, then a gale. */
const STORY: Record<IsoDay, Partial<DailyWeather>> = {
  "2026-09-19": { minC: 9.4, maxC: 20.6, rainMm: 0, windKmh: 14 },
  "2026-09-20": { minC: 10.1, maxC: 21.3, rainMm: 0, windKmh: 12 },
  "2026-09-21": { minC: 11.2, maxC: 19.0, rainMm: 3.4, windKmh: 27 },
  "2026-09-22": { minC: 8.0, maxC: 16.1, rainMm: 1.2, windKmh: 31 },
  "2026-09-23": { minC: 4.6, maxC: 13.8, rainMm: 0, windKmh: 17 },
  "2026-09-24": { minC: -1.6, maxC: 12.9, rainMm: 0, windKmh: 7 },
  "2026-09-25": { minC: 2.3, maxC: 14.7, rainMm: 0, windKmh: 11 },
  "2026-09-26": { minC: 5.0, maxC: 16.4, rainMm: 0, windKmh: 19 },
  "2026-09-27": { minC: 7.9, maxC: 15.5, rainMm: 6.1, windKmh: 41 },
  "2026-09-28": { minC: 8.3, maxC: 13.1, rainMm: 27.5, windKmh: 84 },
  "2026-09-29": { minC: 6.2, maxC: 13.4, rainMm: 5.0, windKmh: 48 },
};

/**
 * A made-up station and forecast: a seeded cool-temperate climate with wet and dry spells, and
 * forecasts that miss the truth by more the further they look.
 */
export function simulatedWeather(seed: number): WeatherService {
  const days = madeUpClimate(seed);
  return {
    name: "made-up station (simulated)",
    observed: (from, to) => days.filter((d) => d.day >= from && d.day <= to),
    forecast: (issuedOn) =>
      Array.from({ length: FORECAST_DAYS }, (_, lead) => {
        const truth = days[daysBetween(FIRST_DAY, addDays(issuedOn, lead))];
        return truth ? missed(truth, issuedOn, lead, seed) : undefined;
      }).filter((d) => d !== undefined),
  };
}

function madeUpClimate(seed: number): DailyWeather[] {
  const uniform = seeded(seed);
  const days: DailyWeather[] = [];
  let anomaly = 0;
  let wet = false;
  for (let n = dayNumber(FIRST_DAY); n <= dayNumber(LAST_DAY); n++) {
    const day = addDays(FIRST_DAY, n - dayNumber(FIRST_DAY));
    const season = -Math.cos((2 * Math.PI * (dayOfYear(day) - 22)) / 365.25);
    anomaly = 0.72 * anomaly + 1.9 * normalDraw(uniform);
    wet = uniform() < (wet ? 0.58 : 0.27);
    const range = (wet ? 6.2 : 10.5) + 1.5 * season;
    const mean = 10.6 + 7.2 * season + anomaly;
    const rainMm = wet ? round(-5.2 * Math.log(1 - uniform())) : 0;
    const windKmh = round(12 + (wet ? 10 : 0) + 7 * Math.abs(normalDraw(uniform)));
    days.push({ day, minC: round(mean - range / 2), maxC: round(mean + range / 2), rainMm, windKmh, ...STORY[day] });
  }
  return days;
}

function missed(truth: DailyWeather, issuedOn: IsoDay, lead: number, seed: number): DailyWeather {
  const uniform = seeded(seed * 7919 + dayNumber(issuedOn) * 31 + lead);
  const sd = 0.5 + 0.16 * lead;
  const shift = 0.7 * sd * normalDraw(uniform);
  const minC = round(truth.minC + shift + 0.6 * sd * normalDraw(uniform));
  const maxC = Math.max(minC, round(truth.maxC + shift + 0.6 * sd * normalDraw(uniform)));
  const scale = Math.exp(0.035 * lead * normalDraw(uniform));
  return {
    day: truth.day,
    minC,
    maxC,
    rainMm: round((truth.rainMm ?? 0) * scale),
    windKmh: round((truth.windKmh ?? 0) * scale),
  };
}

const round = (value: number) => Math.round(value * 10) / 10;
