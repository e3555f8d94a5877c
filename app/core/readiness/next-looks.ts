import type { Crop, Cue } from "../crops";
import type { IsoDay } from "../calendar";
import { thermalSumOn } from "../weather";
import { stageCoordinate, type Development } from "./development";
import { cueScale, readingLikelihood, type CueScale } from "./likelihood";
import type { KnownLook, Posterior } from "./posterior";

/** A cue worth reading next, and how much its answer is expected to tell. */
export interface TellingCue {
  cue: Cue;
  /** Expected fall in uncertainty about the stage, bits. */
  bits: number;
}

/** Opening or digging one costs a piece, so it has to tell more: our judgement. */
const SAMPLE_FACTOR = 0.6;

/**
 * The cues not yet read today, most telling first: expected information gain about the stage
 * (unripe, nearly, ready, past) from the answer.
 *
 * @param today - day of the look
 * @returns all ordered cues with their gain; flags come last with 0 bits
 */
export function tellingCues(
  crop: Crop,
  dev: Development,
  p: Posterior,
  looks: readonly KnownLook[],
  today: IsoDay,
): TellingCue[] {
  const heat = thermalSumOn(dev.thermal, today);
  const sigmas = Float64Array.from(p.requirement, (r) => stageCoordinate(heat / r, dev.nearlyFrom, dev.closes));
  const readToday = new Set(looks.filter((l) => l.takenOn === today).map((l) => l.cueId));
  return crop.cues
    .filter((cue) => !readToday.has(cue.id))
    .map((cue) => {
      const scale = cueScale(cue);
      if (!scale) return { cue, bits: 0 };
      return { cue, bits: informationGain(scale, sigmas, p.weight) * (cue.kind === "sample" ? SAMPLE_FACTOR : 1) };
    })
    .sort((a, b) => b.bits - a.bits);
}

function informationGain(scale: CueScale, sigmas: Float64Array, weight: Float64Array): number {
  const states = 4;
  const stateOf = (sigma: number) => Math.min(states - 1, Math.max(0, Math.round(sigma)));
  const joint = scale.readingIds.map(() => new Float64Array(states));
  const state = new Float64Array(states);
  for (let k = 0; k < sigmas.length; k++) {
    const s = stateOf(sigmas[k]!);
    state[s]! += weight[k]!;
    for (let r = 0; r < joint.length; r++) joint[r]![s]! += weight[k]! * readingLikelihood(scale, r, sigmas[k]!);
  }
  let bits = 0;
  for (const row of joint) {
    const reading = row.reduce((sum, x) => sum + x, 0);
    for (let s = 0; s < states; s++)
      if (row[s]! > 0 && state[s]! > 0) bits += row[s]! * Math.log2(row[s]! / (reading * state[s]!));
  }
  return Math.max(0, bits);
}
