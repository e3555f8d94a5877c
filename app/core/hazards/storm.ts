import { addDays, type IsoDay } from "../calendar";
import { normalCdf } from "../statistics";
import { trackIndex, type SkyTrack } from "../weather";

/** Thresholds of the field handbook, our judgement: gusts, and rain in a day. */
export const GUST_KMH = 60;
export const SOAK_MM = 15;
/** High from which heat counts for people and heads, °C; our judgement. */
export const HEAT_C = 30;

export interface StormDay {
  day: IsoDay;
  gustOdds: number;
  soakOdds: number;
  windKmh: number | null;
  rainMm: number | null;
}

/**
 * Odds of gusts of 60 km/h and of a soaking of 15 mm on each coming day; 0 where nothing is forecast.
 * Spread of the forecast: wind 8 km/h + 1.5 a day of lead, rain 3 mm + 30 % + 1 a day; our judgement.
 *
 * @param days - counted from today
 */
export function stormOdds(track: SkyTrack, days: number): StormDay[] {
  const today = trackIndex(track, track.today);
  return Array.from({ length: days }, (_, n) => {
    const windKmh = track.windKmh[today + n] ?? null;
    const rainMm = track.rainMm[today + n] ?? null;
    return {
      day: addDays(track.today, n),
      windKmh,
      rainMm,
      gustOdds: windKmh === null ? 0 : normalCdf((windKmh - GUST_KMH) / (8 + 1.5 * n)),
      soakOdds: rainMm === null ? 0 : normalCdf((rainMm - SOAK_MM) / (3 + 0.3 * rainMm + n)),
    };
  });
}
