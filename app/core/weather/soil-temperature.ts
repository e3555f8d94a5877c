import { trackIndex, type SkyTrack } from "./sky-track";

/** Share of the gap to the air that soil at 100 mm closes in a day (from memory of Zheng et al. 1993, Climate Res. 2:183–191). */
const DAILY_SHARE = 0.25;
/** Days of run-in before a value counts. */
const RUN_IN_DAYS = 25;

/** Daily mean temperature of the soil a hand deep, with its spread. */
export interface SoilDay {
  meanC: number;
  spreadC: number;
}

/**
 * Soil temperature at 100 mm under open ground, lagging the air: a running mean that closes a quarter of the gap a day.
 * Snow and mulch are not known.
 *
 * @param days - wanted, counted from today
 * @param warmthC - of the bed over the station, °C
 * @returns one entry a day, today first
 * @throws {RangeError} when the track ends before
 */
export function soilOutlook(track: SkyTrack, days: number, warmthC = 0): SoilDay[] {
  const today = trackIndex(track, track.today);
  if (today + days > track.minC.length) throw new RangeError(`days: ${days} days reach beyond the track`);
  const mean = (i: number) => (track.minC[i]! + track.maxC[i]!) / 2 + warmthC;
  const start = Math.max(0, today - RUN_IN_DAYS);
  let soil = mean(start);
  let variance = 0;
  const found: SoilDay[] = [];
  for (let i = start; i < today + days; i++) {
    soil += DAILY_SHARE * (mean(i) - soil);
    // Errors of neighbouring days go together, which doubles what a run of them does.
    variance = (1 - DAILY_SHARE) ** 2 * variance + 2 * (DAILY_SHARE * track.missMeanC[i]!) ** 2;
    if (i >= today) found.push({ meanC: soil, spreadC: Math.sqrt(variance) });
  }
  return found;
}
