import type { Crop, Cue } from "../crops";
import type { IsoDay } from "../calendar";
import { thermalSumOn } from "../weather";
import { stageCoordinate, type Development } from "./development";
import { cueTable, SIGMA, sigmaBin, type CueTable } from "./likelihood";
import type { KnownLook } from "./look";
import { requirementAt, type Posterior } from "./requirement-grid";

/** A cue worth reading next, and how much its answer is expected to tell. */
export interface TellingCue {
  cue: Cue;
  /** Expected fall in uncertainty about the stage, bits. */
  bits: number;
}

/** Opening or digging one costs a piece, so it has to tell more: our judgement. */
const SAMPLE_FACTOR = 0.6;
const STATES = 4;

/**
 * The cues not yet read today, most telling first: expected information gain about the stage
 * (unripe, nearly, ready, past) from the answer.
 *
 * @param today - day of the look
 * @returns all cues that somebody has to look at, with their gain; flags come last with 0 bits
 */
export function tellingCues(
  crop: Crop,
  dev: Development,
  p: Posterior,
  looks: readonly KnownLook[],
  today: IsoDay,
): TellingCue[] {
  const heat = thermalSumOn(dev.thermal, today);
  const atSigma = new Float64Array(SIGMA.count);
  for (let k = 0; k < p.weight.length; k++)
    atSigma[sigmaBin(stageCoordinate(heat / requirementAt(p, k), dev.nearlyFrom, dev.closes))]! += p.weight[k]!;
  const believed = stagesOf(atSigma);
  const readToday = new Set(looks.filter((l) => l.takenOn === today).map((l) => l.cueId));
  return crop.cues
    .filter((cue) => !cue.auto && !readToday.has(cue.id))
    .map((cue) => {
      const table = cueTable(cue);
      const bits = table ? informationGain(table, believed) * (cue.kind === "sample" ? SAMPLE_FACTOR : 1) : 0;
      return { cue, bits };
    })
    .sort((a, b) => b.bits - a.bits);
}

/** State of each tabled σ: the nearest of unripe, nearly, ready, past. */
const STATE = Uint8Array.from({ length: SIGMA.count }, (_, b) =>
  Math.min(STATES - 1, Math.max(0, Math.round(SIGMA.low + b * SIGMA.step))),
);

interface Believed {
  atSigma: Float64Array;
  /** The same by state. */
  state: Float64Array;
  /** Where it lies: outside there is next to nothing. */
  from: number;
  to: number;
}

function stagesOf(atSigma: Float64Array): Believed {
  const state = new Float64Array(STATES);
  let from: number = SIGMA.count;
  let to = 0;
  for (let b = 0; b < SIGMA.count; b++) {
    state[STATE[b]!]! += atSigma[b]!;
    if (atSigma[b]! < 1e-7) continue;
    from = Math.min(from, b);
    to = b + 1;
  }
  return { atSigma, state, from, to };
}

function informationGain({ odds }: CueTable, { atSigma, state, from, to }: Believed): number {
  const joint = new Float64Array(STATES);
  let bits = 0;
  for (const row of odds) {
    joint.fill(0);
    for (let b = from; b < to; b++) joint[STATE[b]!]! += atSigma[b]! * row[b]!;
    const reading = joint.reduce((sum, x) => sum + x, 0);
    for (let s = 0; s < STATES; s++)
      if (joint[s]! > 0 && state[s]! > 0) bits += joint[s]! * Math.log2(joint[s]! / (reading * state[s]!));
  }
  return Math.max(0, bits);
}
