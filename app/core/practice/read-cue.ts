import type { IsoDay } from "../calendar";
import type { Crop, Cue, Meaning, Reading } from "../crops";
import { normalDraw, seeded } from "../statistics";
import { developmentOn, type TruePlanting } from "./true-planting";

/** Somebody with eyes, hands and slips. */
export interface Gardener {
  uniform: () => number;
  /** How this planting shows itself in each cue, standing bias in states. */
  bias: Map<string, number>;
}

/** Bias of a planting's cue and error of one reading, in states (one state = early to nearly): our judgement. */
const ERROR: Record<Cue["weight"], { bias: number; reading: number }> = {
  decisive: { bias: 0.14, reading: 0.14 },
  strong: { bias: 0.3, reading: 0.3 },
  weak: { bias: 0.65, reading: 0.6 },
};
/** Share of readings that are plain slips to a neighbouring answer. */
const SLIPS = 0.015;
const ORDER: Meaning[] = ["early", "nearly", "ready", "past"];

export const gardener = (seed: number): Gardener => ({ uniform: seeded(seed), bias: new Map() });

/** Where the planting truly stands: 0 to 1 early, to 2 nearly, to 3 ready, to 4 past; straight within each. */
function trueState(plant: TruePlanting, u: number): number {
  const { nearly, past } = plant.borders;
  if (u < nearly) return Math.max(0, 1 - (nearly - u) / (1.6 * (1 - nearly)));
  if (u < 1) return 1 + (u - nearly) / (1 - nearly);
  if (u < past) return 2 + (u - 1) / (past - 1);
  return Math.min(4, 3 + (u - past) / (past - 1));
}

/** Readings of a cue that lie on the way, each with the end of its span of states; undefined for a flag. */
function spans(cue: Cue): { reading: Reading; until: number }[] | undefined {
  const steps = cue.readings.filter((r) => ORDER.includes(r.means === "now" ? "ready" : r.means));
  const rank = (r: Reading) => ORDER.indexOf(r.means === "now" ? "ready" : r.means);
  if (new Set(steps.map(rank)).size < 2 || steps.some((r, i) => i > 0 && rank(r) < rank(steps[i - 1]!)))
    return undefined;
  return steps.map((reading, i) => {
    const next = steps[i + 1];
    if (!next) return { reading, until: Infinity };
    if (rank(next) > rank(reading)) return { reading, until: rank(next) };
    const alike = steps.filter((s) => rank(s) === rank(reading));
    return { reading, until: rank(reading) + (alike.indexOf(reading) + 1) / alike.length };
  });
}

/** Cues that somebody could read on the way to ripeness. */
export function readableCues(crop: Crop): Cue[] {
  return crop.cues.filter((c) => !c.auto && spans(c));
}

/** What a person reads of a cue on a day, errors and all. */
export function readCue(person: Gardener, plant: TruePlanting, cue: Cue, day: IsoDay): Reading {
  return readPiece(person, plant, cue, developmentOn(plant, day));
}

/** The same of a piece that has come to a development of its own. */
export function readPiece(person: Gardener, plant: TruePlanting, cue: Cue, u: number): Reading {
  const { uniform, bias } = person;
  const own = bias.get(cue.id) ?? ERROR[cue.weight].bias * normalDraw(uniform);
  bias.set(cue.id, own);
  const seen = trueState(plant, u) + own + ERROR[cue.weight].reading * normalDraw(uniform);
  const steps = spans(cue)!;
  let at = steps.findIndex((s) => seen < s.until);
  if (uniform() < SLIPS) at = Math.min(steps.length - 1, Math.max(0, at + (uniform() < 0.5 ? -1 : 1)));
  return steps[at]!.reading;
}

/** What a rule laid against the leading piece shows, mm; undefined where the crop has no size to pick at. */
export function measureSize(person: Gardener, plant: TruePlanting, day: IsoDay): number | undefined {
  const { target } = plant.crop;
  if (!target) return undefined;
  const log = plant.growthRate * (developmentOn(plant, day) - 1) + 0.09 * normalDraw(person.uniform);
  return Math.min(2500, target.lowMm * Math.exp(Math.min(2, log)));
}
