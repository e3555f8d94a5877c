import { dayNumber, type IsoDay } from "../calendar";
import { expectedDegreeDays } from "./normals";
import { trackIndex, type SkyTrack } from "./sky-track";

/** Degree-days gathered since a start, at the end of each day, with their spread. */
export interface ThermalTime {
  from: IsoDay;
  /** °C·d at the end of day i, i = 0 the start day itself. */
  sum: Float64Array;
  /** One standard deviation of `sum`, °C·d: 0 while observed. */
  spread: Float64Array;
}

/** Forecast errors of neighbouring days go together: our judgement. */
const ERROR_CORRELATION = 0.5;

/**
 * Thermal time of a crop from the day it started.
 *
 * @param track - the sky from `from` or earlier
 * @param from - sowing, planting, blossom or the last full pick
 * @param baseC - °C
 * @param upperC - °C
 * @param extraC - warmth of the bed over the station (tunnel), added to the day's high, °C
 * @returns sums of the same length as the rest of the track
 * @throws {RangeError} when the track does not cover `from`
 */
export function thermalTime(track: SkyTrack, from: IsoDay, baseC: number, upperC: number, extraC = 0): ThermalTime {
  const start = trackIndex(track, from);
  const length = track.minC.length - start;
  const sum = new Float64Array(length);
  const spread = new Float64Array(length);
  const today = dayNumber(track.today) - dayNumber(track.from);
  let total = 0;
  let variance = 0;
  let linear = 0;
  for (let i = 0; i < length; i++) {
    const at = start + i;
    const minC = track.minC[at]!;
    total += expectedDegreeDays(minC, track.maxC[at]! + extraC, track.spreadC[at]!, baseC, upperC);
    sum[i] = total;
    if (at > today) {
      // Between fully independent and fully shared errors.
      const sd = track.missMeanC[at]! * 0.7;
      variance += sd * sd;
      linear += sd;
    }
    spread[i] = Math.sqrt((1 - ERROR_CORRELATION) * variance + ERROR_CORRELATION * linear * linear * 0.25);
  }
  return { from, sum, spread };
}

/** Degree-days from the start to the end of `day`; 0 before the start; the last sum beyond the track. */
export function thermalSumOn(thermal: ThermalTime, day: IsoDay): number {
  const i = dayNumber(day) - dayNumber(thermal.from);
  if (i < 0) return 0;
  return thermal.sum[Math.min(i, thermal.sum.length - 1)]!;
}
