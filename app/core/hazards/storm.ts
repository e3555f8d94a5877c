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
  /** As the service tells it; 0 when it does not. */
  hailOdds: number;
  thunderOdds: number;
  windKmh: number | null;
  rainMm: number | null;
}

/**
 * Odds of gusts of 60 km/h, of a soaking of 15 mm, of hail and thunder on each coming day; 0 where nothing is
 * forecast. Gusts and rain by what forecasts of that lead miss by.
 *
 * @param days - counted from today
 */
export function stormOdds(track: SkyTrack, days: number): StormDay[] {
  const today = trackIndex(track, track.today);
  return Array.from({ length: days }, (_, n) => {
    const at = today + n;
    const windKmh = track.windKmh[at] ?? null;
    const rainMm = track.rainMm[at] ?? null;
    const root = rainMm === null ? 0 : Math.sqrt(rainMm) + track.biasRainRoot[at]!;
    return {
      day: addDays(track.today, n),
      windKmh,
      rainMm,
      gustOdds: windKmh === null ? 0 : normalCdf((windKmh - GUST_KMH) / Math.max(0.5, track.missWindKmh[at]!)),
      soakOdds: rainMm === null ? 0 : normalCdf((root - Math.sqrt(SOAK_MM)) / Math.max(0.05, track.missRainRoot[at]!)),
      hailOdds: track.hailOdds[at] ?? 0,
      thunderOdds: track.thunderOdds[at] ?? 0,
    };
  });
}
