import type { Crop, Cue, Reading } from "../crops";
import type { IsoDay } from "../calendar";
import { ROUND_LOOK } from "./round-look";

/** One look: a cue read on a day. */
export interface Look {
  cueId: string;
  readingId: string;
  takenOn: IsoDay;
  /** How many pieces or plants were looked at; 1 when left out. */
  sampleOf?: number | undefined;
  /** Share of the pieces that read so, above 0 to 1; left out: what was looked at stands for all of them. */
  share?: number | undefined;
  /** Taken after a pick of the same day: it speaks of what was left. */
  afterPick?: boolean | undefined;
  /** The measurement behind the reading, mm. */
  measuredMm?: number | undefined;
}

/** A look that the crop knows. */
export interface KnownLook extends Look {
  cue: Cue;
  reading: Reading;
}

/** A look that cannot be: whose mistake it is, is for the caller to say. */
export class LookRefused extends RangeError {
  constructor(
    readonly kind: "unknown cue" | "unknown reading" | "impossible size" | "impossible sample" | "impossible share",
    message: string,
  ) {
    super(message);
    this.name = "LookRefused";
  }
}

/** Larger than any crop here; a slip of the unit. */
const LARGEST_MM = 3000;

/** The reading that a measurement falls into: the last one whose lower border it reaches. */
export function readingOfSize(cue: Cue, mm: number): Reading | undefined {
  if (!cue.readings.some((r) => r.fromMm !== undefined)) return undefined;
  const sized = cue.readings.filter((r, i) => r.fromMm !== undefined || i === 0);
  return sized.filter((r) => (r.fromMm ?? 0) <= mm).at(-1);
}

/**
 * Finds cue and reading of each look in the crop.
 *
 * @throws {LookRefused} for a cue or reading that the crop does not have, and a size or sample that cannot be
 */
export function knownLooks(crop: Crop, looks: readonly Look[]): KnownLook[] {
  return looks.map((look) => {
    const isIt = (c: Cue) => c.id === look.cueId;
    const cue = look.cueId === ROUND_LOOK.id ? ROUND_LOOK : (crop.cues.find(isIt) ?? crop.liftedCues.find(isIt));
    if (!cue) throw new LookRefused("unknown cue", `cue: ${crop.id} has no cue “${look.cueId}”`);
    const reading = cue.readings.find((r) => r.id === look.readingId);
    if (!reading)
      throw new LookRefused(
        "unknown reading",
        `reading: ${look.cueId} of ${crop.id} has no reading “${look.readingId}”`,
      );
    const { measuredMm: mm, sampleOf: n } = look;
    if (mm !== undefined && !(mm > 0 && mm <= LARGEST_MM && cue.across))
      throw new LookRefused("impossible size", `size: ${mm} mm cannot be the ${look.cueId} of ${crop.id}`);
    if (n !== undefined && !(Number.isInteger(n) && n >= 1 && n <= 1000))
      throw new LookRefused("impossible sample", `sampleOf: ${n} is not a number of pieces from 1 to 1000`);
    const { share } = look;
    if (share !== undefined && !(share > 0 && share <= 1))
      throw new LookRefused("impossible share", `share: ${share} is not a share above 0 and up to 1`);
    return { ...look, cue, reading };
  });
}
