import { daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { trackIndex, type SkyTrack } from "../weather";
import type { Ripening } from "./ripening";

/** Worth and pieces for every pair of pick days: row 0 after the last real pick, row s + 1 after day s. */
export interface RepeatOffer {
  worth: number[][];
  pieces: number[][];
  /** Worth of the first pick on each day if nothing ahead took anything. */
  clear: number[];
  endWorth: number[];
  endPieces: number[];
}

/** Worth kept by what is still out when the horizon ends: our judgement. */
const END_SHARE = 0.75;
/** Pieces of later crop lost for each piece left past half its quality, where the crop says so: our judgement. */
const SUPPRESSION = { yes: 0.35, slight: 0.15, no: 0 } as const;

export interface RepeatTerms {
  /** Day after the last full pick; null where none was made: all that hangs on it is there. */
  since: IsoDay | null;
  /** Share sound on each day from today of the pieces that hang today. */
  sound: Float64Array;
  /** Share of its bearing that the plant has on each day from today. */
  bears: Float64Array;
  /** How long a piece keeps its quality, growing days. */
  primeDays: number;
}

/**
 * A crop picked again and again: pieces come ready, keep their quality for the prime life, lose it over as long
 * again, and are gone once what is past drops, rots or sets seed; pieces past half quality cost later crop. What hazards
 * take is the state of plant and piece: a piece lost on the plant is one that came before the hazard, a plant set back bears
 * less after it.
 */
export function repeatOffer(crop: Crop, track: SkyTrack, ripe: Ripening, terms: RepeatTerms): RepeatOffer {
  const { since, sound, bears, primeDays } = terms;
  const horizon = sound.length;
  const offset = trackIndex(track, track.today) - ripe.first;
  const start = since ? Math.max(0, daysBetween(track.from, since) - ripe.first) : 0;
  const past = crop.worthPast.value;
  const { low, high } = crop.life.past;
  const goneAfter = primeDays + Math.sqrt(low * high);
  const qualityAt = (age: number) => (age <= primeDays ? 1 : Math.max(past, 1 - ((age - primeDays) / primeDays) * (1 - past))); // prettier-ignore
  const kgWorth = (crop.pieceGrams.value * crop.worthPerKg.value) / 1000;

  /** Share of what came ready on day d that is there on day `to`. */
  const left = (d: number, to: number): number => {
    const n = Math.max(0, d - offset);
    return sound[n]! > 1e-12 ? (bears[n]! * sound[to - offset]!) / sound[n]! : 0;
  };
  // A piece that came ready on day d is picked at the end of it at the earliest.
  const gather = (from: number, to: number, share = left) => {
    let pieces = 0;
    let worth = 0;
    let over = 0;
    for (let d = Math.max(0, from); d <= to; d++) {
      const born = ripe.born[d]! * share(d, to);
      const age = ripe.aged[to]! - ripe.aged[d]!;
      if (age > 1.5 * primeDays) over += born;
      if (age > goneAfter) continue;
      pieces += born;
      worth += born * qualityAt(age);
    }
    const lost = SUPPRESSION[crop.suppressesWhenLeft.value] * over;
    return { pieces, worth: (worth - lost) * kgWorth };
  };
  const rows = Array.from({ length: horizon + 1 }, (_, row) => row);
  const cell = (row: number, t: number) => gather(row === 0 ? start : offset + row, offset + t);
  const table = rows.map((row) =>
    Array.from({ length: horizon }, (_, t) => (t < row ? { pieces: 0, worth: 0 } : cell(row, t))),
  );
  const ends = rows.map((row) => cell(row, horizon - 1));
  return {
    worth: table.map((r) => r.map((c) => c.worth)),
    pieces: table.map((r) => r.map((c) => c.pieces)),
    clear: Array.from({ length: horizon }, (_, t) => gather(start, offset + t, () => 1).worth),
    endWorth: ends.map((e) => e.worth * END_SHARE),
    endPieces: ends.map((e) => e.pieces),
  };
}
