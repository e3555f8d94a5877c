import { addDays, type IsoDay } from "../calendar";
import { normalCdf } from "../statistics";
import { opennessOf, trackIndex, type SkyTrack } from "../weather";
import { bedMinimum, type BedKind } from "./bed-climate";

/** Freeze classes by air temperature, °C: the limits of national weather services (from memory of NWS). */
export const FREEZE_CLASSES = { light: 0, moderate: -2.2, severe: -4.4 } as const;

export interface NightOdds {
  /** The evening the night begins. */
  evening: IsoDay;
  /** Middle forecast of the low at the bed, °C. */
  bedMinC: number;
  /** P(low at the bed < threshold). */
  odds: number;
}

/**
 * The odds that a bed goes below a temperature, night by night, by what forecasts of that lead miss by. Beyond the
 * forecast the spread of normal nights is used: an ordinary chance, not a call.
 *
 * @param days - mornings to look at, counted from tomorrow
 * @param thresholdC - °C; 0 for any frost
 * @param coverGainC - what the bed's cover holds back on an evening, °C
 * @returns one entry a night, from tonight; the low of a date is taken as falling on its morning
 * @throws {RangeError} when the track ends before
 */
export function nightOddsBelow(
  track: SkyTrack,
  kind: BedKind,
  thresholdC: number,
  days: number,
  coverGainC: (evening: IsoDay) => number = () => 0,
): NightOdds[] {
  const today = trackIndex(track, track.today);
  return Array.from({ length: days }, (_, n) => {
    const at = today + n + 1;
    if (at >= track.minC.length) throw new RangeError(`days: ${days} nights reach beyond the track`);
    const evening = addDays(track.today, n);
    const bedMinC = bedMinimum(kind, track.minC[at]!, opennessOf(track, at), coverGainC(evening));
    return { evening, bedMinC, odds: normalCdf((thresholdC - bedMinC) / Math.max(0.3, track.missMinC[at]!)) };
  });
}
