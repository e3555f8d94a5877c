import { addDays, dayNumber, dayOfYear, daysBetween, type IsoDay } from "../calendar";
import type { DailyWeather } from "./daily-weather";
import { UNMEASURED, errorAt, type ForecastError } from "./forecast-error";
import type { ClimateNormals } from "./normals";

export type SkySource = "observed" | "forecast" | "normal";

/** Every day from `from` on, without gaps: observed, then forecast, then the normal of the date. */
export interface SkyTrack {
  from: IsoDay;
  today: IsoDay;
  /** Forecast days are read as forecasts of that lead have been found to come. */
  minC: Float64Array;
  maxC: Float64Array;
  /** How far the day may stray where only its normal is known, °C; 0 for observed and forecast days. */
  spreadC: Float64Array;
  /** One standard deviation of what the low, the high and the mean may miss by, °C; 0 for observed days. */
  missMinC: Float64Array;
  missMaxC: Float64Array;
  missMeanC: Float64Array;
  /** The same of the strongest wind (km/h), and of rain (√mm); its bias stands apart, √mm. */
  missWindKmh: Float64Array;
  missRainRoot: Float64Array;
  biasRainRoot: Float64Array;
  rainMm: (number | null)[];
  windKmh: (number | null)[];
  dewPointC: (number | null)[];
  cloudShare: (number | null)[];
  thunderOdds: (number | null)[];
  hailOdds: (number | null)[];
  source: SkySource[];
}

/** How far the mean of a day strays beyond the forecast, °C, for the summing of heat: our judgement. */
const NORMAL_MISS_C = 4;

/** A forecast day; without the day it was issued on it counts as of today. */
export type TrackForecast = DailyWeather & { issuedOn?: IsoDay | undefined };

/**
 * Lays observed days, the forecast and the normals end to end.
 *
 * @param observed - days up to today in any order; gaps are filled with the normal of the date
 * @param forecast - coming days, and past ones that were never observed
 * @param from - first day wanted
 * @param until - last day wanted
 * @param error - what forecasts miss by, by days of lead
 * @throws {RangeError} when `until` is before `from`
 */
export function skyTrack(
  observed: readonly DailyWeather[],
  forecast: readonly TrackForecast[],
  normals: ClimateNormals,
  from: IsoDay,
  today: IsoDay,
  until: IsoDay,
  error: ForecastError = UNMEASURED,
): SkyTrack {
  const start = dayNumber(from);
  const length = dayNumber(until) - start + 1;
  if (length < 1) throw new RangeError(`until: ${until} is before ${from}`);
  const figures = () => new Float64Array(length);
  const unknown = () => new Array<number | null>(length).fill(null);
  const track: SkyTrack = {
    from,
    today,
    minC: figures(),
    maxC: figures(),
    spreadC: figures(),
    missMinC: figures(),
    missMaxC: figures().fill(NORMAL_MISS_C),
    missMeanC: figures().fill(NORMAL_MISS_C),
    missWindKmh: figures(),
    missRainRoot: figures(),
    biasRainRoot: figures(),
    rainMm: unknown(),
    windKmh: unknown(),
    dewPointC: unknown(),
    cloudShare: unknown(),
    thunderOdds: unknown(),
    hailOdds: unknown(),
    source: new Array<SkySource>(length).fill("normal"),
  };
  for (let i = 0; i < length; i++) {
    const doy = dayOfYear(addDays(from, i));
    track.minC[i] = normals.minC[doy]!;
    track.maxC[i] = normals.maxC[doy]!;
    track.spreadC[i] = normals.spreadC[doy]!;
    track.missMinC[i] = normals.lowSpreadC[doy]!;
  }
  // A day gone by without an observation keeps its last forecast: closer than a normal.
  for (const d of forecast) {
    const i = dayNumber(d.day) - start;
    if (i < 0 || i >= length) continue;
    lay(track, i, d, "forecast");
    const miss = errorAt(error, daysBetween(d.issuedOn ?? today, d.day));
    const doy = dayOfYear(d.day);
    const [usualMin, usualMax] = [normals.minC[doy]!, normals.maxC[doy]!];
    track.minC[i] = usualMin + miss.minC.bias + miss.minC.slope * (d.minC - usualMin);
    track.maxC[i] = Math.max(track.minC[i]!, usualMax + miss.maxC.bias + miss.maxC.slope * (d.maxC - usualMax));
    if (d.windKmh !== null) track.windKmh[i] = Math.max(0, d.windKmh + miss.windKmh.bias);
    track.missMinC[i] = miss.minC.spread;
    track.missMaxC[i] = miss.maxC.spread;
    track.missMeanC[i] = (miss.minC.spread + miss.maxC.spread) / 2;
    track.missWindKmh[i] = miss.windKmh.spread;
    track.missRainRoot[i] = miss.rainRoot.spread;
    track.biasRainRoot[i] = miss.rainRoot.bias;
  }
  for (const d of observed) {
    const i = dayNumber(d.day) - start;
    if (i < 0 || i >= length || d.day > today) continue;
    lay(track, i, d, "observed");
    for (const miss of [track.missMinC, track.missMaxC, track.missMeanC, track.missWindKmh, track.missRainRoot])
      miss[i] = 0;
  }
  return track;
}

function lay(track: SkyTrack, i: number, d: DailyWeather, source: SkySource): void {
  track.minC[i] = d.minC;
  track.maxC[i] = d.maxC;
  track.spreadC[i] = 0;
  track.rainMm[i] = d.rainMm;
  track.windKmh[i] = d.windKmh;
  track.dewPointC[i] = d.dewPointC ?? null;
  track.cloudShare[i] = d.cloudShare ?? null;
  track.thunderOdds[i] = d.thunderOdds ?? null;
  track.hailOdds[i] = d.hailOdds ?? null;
  track.source[i] = source;
}

/** Index of a day in a track. @throws {RangeError} when the track does not reach it */
export function trackIndex(track: SkyTrack, day: IsoDay): number {
  const i = dayNumber(day) - dayNumber(track.from);
  if (i < 0 || i >= track.minC.length) throw new RangeError(`day: ${day} is outside the track`);
  return i;
}
