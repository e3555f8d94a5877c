import { daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { type SkyTrack, trackIndex } from "../weather";
import { paceOn } from "./pace";

/** Worth and pieces for every pair of pick days: row 0 after the last real pick, row s + 1 after day s. */
export interface RepeatOffer {
  worth: number[][];
  pieces: number[][];
  endWorth: number[];
  endPieces: number[];
}

/** Worth kept by what is still out when the horizon ends: our judgement. */
const END_SHARE = 0.75;
/** Pieces of later crop lost for each piece left past half its quality, where the crop says so: our judgement. */
const SUPPRESSION = { yes: 0.35, slight: 0.15, no: 0 } as const;
/** More than this many days of pieces do not hang on a plant at once. */
const BACKLOG_DAYS = 21;

/**
 * A crop that keeps giving: pieces reach picking size at a rate set by the day's heat, keep their
 * quality for the prime life, lose it over as long again; pieces past half quality cost later crop.
 *
 * @param plants - number of plants
 * @param track - the sky, from before the last pick to the horizon
 * @param since - day after the last full pick, or the day of bearing
 * @param bearing - P(something is ready) on each day of the track, by day index of the track
 * @param restarted - true after a full pick: pieces have swelled ever since, and `bearing` only says
 *   whether the leading ones are there yet; before the first crop it says whether any are
 * @param sound - share of the plants alive on each day from today
 * @param extraC - warmth of the bed by day, °C
 */
export function repeatOffer(
  crop: Crop,
  plants: number,
  track: SkyTrack,
  since: IsoDay,
  bearing: (trackDay: number) => number,
  restarted: boolean,
  sound: Float64Array,
  extraC: number,
): RepeatOffer {
  const today = trackIndex(track, track.today);
  const horizon = sound.length;
  const first = Math.max(0, today - BACKLOG_DAYS, daysBetween(track.from, since));
  const length = today + horizon - first;
  const pace = new Float64Array(length);
  const born = new Float64Array(length);
  for (let d = 0; d < length; d++) {
    const at = first + d;
    pace[d] = paceOn(crop, track, at, extraC);
    born[d] = plants * crop.piecesPerPlant.value * pace[d]! * (restarted ? 1 : bearing(at));
  }
  const aged = new Float64Array(length + 1);
  for (let d = 0; d < length; d++) aged[d + 1] = aged[d]! + Math.max(0.15, pace[d]!);
  const prime = crop.windowDays.value;
  const past = crop.worthPast.value;
  const qualityAt = (age: number) => (age <= prime ? 1 : Math.max(past, 1 - ((age - prime) / prime) * (1 - past)));
  const kgWorth = (crop.pieceGrams.value * crop.worthPerKg.value) / 1000;

  // `from` and `to` count days of `born`; a piece born on day d is picked at the end of it at the earliest.
  const gather = (from: number, to: number, share: number) => {
    let pieces = 0;
    let worth = 0;
    let over = 0;
    for (let d = Math.max(0, from); d <= to; d++) {
      const quality = qualityAt(aged[to]! - aged[d]!);
      pieces += born[d]!;
      worth += born[d]! * quality;
      if (aged[to]! - aged[d]! > 1.5 * prime) over += born[d]!;
    }
    const lost = SUPPRESSION[crop.suppressesWhenLeft.value] * over;
    return { pieces: pieces * share, worth: (worth - lost) * share * kgWorth };
  };
  const offset = today - first;
  const rows = Array.from({ length: horizon + 1 }, (_, row) => row);
  const cell = (row: number, t: number) => {
    const there = row === 0 && restarted ? bearing(today + t) : 1;
    return gather(row === 0 ? 0 : offset + row, offset + t, sound[t]! * there);
  };
  const table = rows.map((row) =>
    Array.from({ length: horizon }, (_, t) => (t < row ? { pieces: 0, worth: 0 } : cell(row, t))),
  );
  const ends = rows.map((row) => cell(row, horizon - 1));
  return {
    worth: table.map((r) => r.map((c) => c.worth)),
    pieces: table.map((r) => r.map((c) => c.pieces)),
    endWorth: ends.map((e) => e.worth * END_SHARE),
    endPieces: ends.map((e) => e.pieces),
  };
}
