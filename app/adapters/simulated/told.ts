import { addDays, dayNumber, hoursOfDay, sunTimes, type IsoDay } from "~/core/calendar";
import { normalDraw, seeded } from "~/core/statistics";
import {
  relativeHumidity,
  temperatureAt,
  type CurveDay,
  type DailyWeather,
  type HourTold,
  type Place,
  type StationReading,
} from "~/core/weather";
import type { TrueDay, Truth } from "./truth";

export const FORECAST_DAYS = 11;
/** Days of which the stand-in tells the hours. */
const HOUR_DAYS = 3;

/** How far the stand-in's forecasts miss; the tests and the backtest know it, the app has to find it out. */
export interface ForecastMiss {
  /** Lows are told this much too warm, °C. */
  biasC: number;
  /** One standard deviation of a low or high: at lead 0, and more for each day, °C. */
  atOnceC: number;
  perDayC: number;
  /** Rain and wind: spread of the logarithm for each day of lead. */
  scalePerDay: number;
}
export const USUAL_MISS: ForecastMiss = { biasC: 0.4, atOnceC: 0.5, perDayC: 0.16, scalePerDay: 0.035 };

const tenth = (value: number) => Math.round(value * 10) / 10;

/** The days a service tells on a day, missing the truth by more the further they look. */
export function forecastDays(
  truth: Truth,
  issuedOn: IsoDay,
  seed: number,
  miss: ForecastMiss = USUAL_MISS,
): DailyWeather[] {
  return Array.from({ length: FORECAST_DAYS }, (_, lead) => {
    const day = truth.dayOf(addDays(issuedOn, lead));
    return day ? missed(day, issuedOn, lead, seed, miss) : undefined;
  }).filter((d) => d !== undefined);
}

function missed(truth: TrueDay, issuedOn: IsoDay, lead: number, seed: number, miss: ForecastMiss): DailyWeather {
  const uniform = seeded(seed * 7919 + dayNumber(issuedOn) * 31 + lead);
  const sd = miss.atOnceC + miss.perDayC * lead;
  const shared = 0.75 * sd * normalDraw(uniform);
  const minC = tenth(truth.minC + miss.biasC + shared + 0.66 * sd * normalDraw(uniform));
  const maxC = Math.max(minC, tenth(truth.maxC + shared + 0.66 * sd * normalDraw(uniform)));
  const scale = Math.exp(miss.scalePerDay * lead * normalDraw(uniform));
  const odds = (happens: boolean, base: number) =>
    tenth(Math.min(0.9, Math.max(0, happens ? 0.8 - 0.05 * lead : base)));
  return {
    day: truth.day,
    minC,
    maxC,
    rainMm: tenth(truth.rainMm * scale),
    windKmh: tenth(truth.windKmh * scale),
    dewPointC: Math.min(maxC, tenth(truth.dewPointC + shared)),
    cloudShare: tenth(Math.min(1, Math.max(0, truth.cloudShare + 0.05 * lead * normalDraw(uniform)))),
    thunderOdds: odds(truth.thunder, truth.rainMm > 5 ? 0.1 : 0),
    hailOdds: odds(truth.hail, 0),
  };
}

function curveOf(place: Place, day: { day: IsoDay; minC: number; maxC: number }): CurveDay {
  const sun = sunTimes(day.day, place.latitude, place.longitude);
  const noonMs = Date.parse(`${day.day}T12:00:00Z`) - (place.longitude / 360) * 86_400_000;
  return {
    minC: day.minC,
    maxC: day.maxC,
    riseMs: sun.status === "ok" ? sun.riseAt.getTime() : noonMs - 21_600_000,
    setMs: sun.status === "ok" ? sun.setAt.getTime() : noonMs + 21_600_000,
  };
}

/** Rain and wind of an hour of a day. */
function hourOf(d: Pick<TrueDay, "rainMm" | "windKmh" | "rainFrom" | "rainHours">, hour: number) {
  const raining = d.rainHours > 0 && hour >= d.rainFrom && hour < d.rainFrom + d.rainHours;
  return {
    rainMm: raining ? Math.round((d.rainMm / d.rainHours) * 100) / 100 : 0,
    windKmh: tenth(d.windKmh * (hour === 14 ? 1 : 0.35 + 0.5 * Math.max(0, Math.sin(((hour - 6) * Math.PI) / 16)))),
    raining,
  };
}

/** The hours a service tells of its first days: its own lows and highs on a curve, rain where it really falls. */
export function forecastHours(truth: Truth, days: readonly DailyWeather[], place: Place): HourTold[] {
  const curves = days.map((d) => curveOf(place, d));
  return days.slice(0, HOUR_DAYS).flatMap((d) => {
    const real = truth.dayOf(d.day);
    return hoursOfDay(d.day, place.timeZone).map((at, n): HourTold => {
      const airC = temperatureAt(curves, at.getTime()) ?? d.minC;
      const { raining, ...hour } = hourOf({ ...real!, rainMm: d.rainMm ?? 0, windKmh: d.windKmh ?? 0 }, n);
      return {
        at: at.toISOString(),
        airC: tenth(airC),
        dewPointC: Math.min(tenth(airC), d.dewPointC ?? d.minC),
        ...hour,
        thunderOdds: raining ? (d.thunderOdds ?? 0) : 0,
      };
    });
  });
}

/** Hourly readings of a station from one instant to another: the day's curve through its true low and high. */
export function stationReadings(truth: Truth, place: Place, from: IsoDay, to: IsoDay): StationReading[] {
  const readings: StationReading[] = [];
  for (let day = from; day <= to; day = addDays(day, 1)) {
    const about = [-1, 0, 1].map((k) => truth.dayOf(addDays(day, k))).filter((d) => d !== undefined);
    const real = truth.dayOf(day);
    if (!real) continue;
    const curves = about.map((d) => curveOf(place, d));
    const hours = hoursOfDay(day, place.timeZone).map((at, n) => {
      const { rainMm, windKmh } = hourOf(real, n);
      const airC = temperatureAt(curves, at.getTime()) ?? real.minC;
      return { at: at.toISOString(), airC: tenth(airC), rainMm, windKmh };
    });
    // A thermometer notes the true low and high, which fall between the hours.
    const coldest = hours.slice(0, 12).reduce((a, b) => (b.airC < a.airC ? b : a));
    const warmest = hours.slice(10, 20).reduce((a, b) => (b.airC > a.airC ? b : a));
    for (const h of hours) h.airC = Math.min(real.maxC, Math.max(real.minC, h.airC));
    coldest.airC = real.minC;
    warmest.airC = real.maxC;
    for (const h of hours)
      readings.push({
        ...h,
        humidity: Math.round(relativeHumidity(h.airC, Math.min(h.airC, real.dewPointC)) * 100) / 100,
      });
  }
  return readings;
}
