import { addDays, dayNumber, dayOfYear, type IsoDay } from "../calendar";
import type { DailyWeather } from "./daily-weather";
import type { ClimateNormals } from "./normals";

export type SkySource = "observed" | "forecast" | "normal";

/** Every day from `from` on, without gaps: observed, then forecast, then the normal of the date. */
export interface SkyTrack {
  from: IsoDay;
  today: IsoDay;
  minC: Float64Array;
  maxC: Float64Array;
  /** How far the day may stray where only its normal is known, °C; 0 for observed and forecast days. */
  spreadC: Float64Array;
  rainMm: (number | null)[];
  windKmh: (number | null)[];
  source: SkySource[];
}

/**
 * Spread (one standard deviation, °C) of a forecast low or high, by days of lead; of a normal, once the
 * forecast ends. Our judgement, until the archive of forecasts against the station measures it.
 *
 * @param leadDays - 0 = today
 */
export function forecastSpreadC(source: SkySource, leadDays: number): number {
  if (source === "observed") return 0;
  if (source === "normal") return 4;
  return 1.1 + 0.2 * Math.max(0, leadDays);
}

/**
 * Lays observed days, the forecast and the normals end to end.
 *
 * @param observed - days up to today in any order; gaps are filled with the normal of the date
 * @param forecast - coming days, and past ones that were never observed
 * @param from - first day wanted
 * @param until - last day wanted
 * @throws {RangeError} when `until` is before `from`
 */
export function skyTrack(
  observed: readonly DailyWeather[],
  forecast: readonly DailyWeather[],
  normals: ClimateNormals,
  from: IsoDay,
  today: IsoDay,
  until: IsoDay,
): SkyTrack {
  const start = dayNumber(from);
  const length = dayNumber(until) - start + 1;
  if (length < 1) throw new RangeError(`until: ${until} is before ${from}`);
  const track: SkyTrack = {
    from,
    today,
    minC: new Float64Array(length),
    maxC: new Float64Array(length),
    spreadC: new Float64Array(length),
    rainMm: new Array<number | null>(length).fill(null),
    windKmh: new Array<number | null>(length).fill(null),
    source: new Array<SkySource>(length).fill("normal"),
  };
  for (let i = 0; i < length; i++) {
    const doy = dayOfYear(addDays(from, i));
    track.minC[i] = normals.minC[doy]!;
    track.maxC[i] = normals.maxC[doy]!;
    track.spreadC[i] = normals.spreadC[doy]!;
  }
  const lay = (days: readonly DailyWeather[], source: SkySource) => {
    for (const d of days) {
      const i = dayNumber(d.day) - start;
      if (i < 0 || i >= length) continue;
      track.minC[i] = d.minC;
      track.maxC[i] = d.maxC;
      track.spreadC[i] = 0;
      track.rainMm[i] = d.rainMm;
      track.windKmh[i] = d.windKmh;
      track.source[i] = source;
    }
  };
  // A day gone by without an observation keeps its last forecast: closer than a normal.
  lay(forecast, "forecast");
  lay(observed.filter((d) => d.day <= today), "observed"); // prettier-ignore
  return track;
}

/** Index of a day in a track. @throws {RangeError} when the track does not reach it */
export function trackIndex(track: SkyTrack, day: IsoDay): number {
  const i = dayNumber(day) - dayNumber(track.from);
  if (i < 0 || i >= track.minC.length) throw new RangeError(`day: ${day} is outside the track`);
  return i;
}
