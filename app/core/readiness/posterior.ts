import type { Crop, Cue, Reading } from "../crops";
import type { IsoDay } from "../calendar";
import { normalCdf } from "../statistics";
import { thermalSumOn } from "../weather";
import { stageCoordinate, type Development } from "./development";
import { cueScale, readingLikelihood } from "./likelihood";
import { ROUND_LOOK } from "./round-look";

/** One look: a cue read on a day. */
export interface Look {
  cueId: string;
  readingId: string;
  takenOn: IsoDay;
}

/** A look that the crop knows. */
export interface KnownLook extends Look {
  cue: Cue;
  reading: Reading;
}

/** What is believed of the heat needed: weights over a log grid. */
export interface Posterior {
  /** Requirement at each grid point, °C·d. */
  requirement: Float64Array;
  /** Sums to one. */
  weight: Float64Array;
}

/** Step of the grid in log requirement: fine enough for a window of a few per cent. */
const GRID_STEP = 0.01;
/** Least half width of the grid; it widens so that no honest look falls outside it. */
const GRID_HALF_WIDTH = 1.5;
/**
 * The prior is a mixture: the packet, the packet plainly off, and a little of anything, so that what is
 * seen always wins over what the packet says (a wrong sowing date, picks never written down). Our judgement.
 */
const MIXTURE = { packet: 0.9, offPacket: 0.06, anything: 0.04, offFactor: 2.5 } as const;

/**
 * Finds cue and reading of each look in the crop.
 *
 * @throws {RangeError} for a cue or reading that the crop does not have: a caller's mistake
 */
export function knownLooks(crop: Crop, looks: readonly Look[]): KnownLook[] {
  return looks.map((look) => {
    const cue = [...crop.cues, ROUND_LOOK].find((c) => c.id === look.cueId);
    if (!cue) throw new RangeError(`cue: ${crop.id} has no cue “${look.cueId}”`);
    const reading = cue.readings.find((r) => r.id === look.readingId);
    if (!reading) throw new RangeError(`reading: ${look.cueId} of ${crop.id} has no reading “${look.readingId}”`);
    return { ...look, cue, reading };
  });
}

/**
 * The requirement as the packet (or the picking interval) gives it, before any look.
 *
 * @param heatSeen - degree-days gathered by the latest look: the grid reaches at least that far
 */
export function priorOf(dev: Development, heatSeen = 0): Posterior {
  const { median, logSpread } = dev.requirement;
  const reach = heatSeen > 0 ? Math.abs(Math.log(heatSeen / median)) + 0.5 : 0;
  const half = Math.max(GRID_HALF_WIDTH, 4 * logSpread, Math.min(reach, 5));
  const points = 2 * Math.ceil(half / GRID_STEP) + 1;
  const requirement = new Float64Array(points);
  const weight = new Float64Array(points);
  const bell = (x: number, sd: number) => Math.exp(-0.5 * (x / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));
  for (let k = 0; k < points; k++) {
    const x = half * ((2 * k) / (points - 1) - 1);
    requirement[k] = median * Math.exp(x);
    weight[k] =
      MIXTURE.packet * bell(x, logSpread) +
      MIXTURE.offPacket * bell(x, MIXTURE.offFactor * logSpread) +
      MIXTURE.anything / (2 * half);
  }
  return normalised({ requirement, weight });
}

function normalised(p: Posterior): Posterior {
  const total = p.weight.reduce((sum, w) => sum + w, 0);
  for (let k = 0; k < p.weight.length; k++) p.weight[k]! /= total;
  return p;
}

/**
 * Belief about the requirement after the looks: each multiplies the prior by P(reading | u) with
 * u = G(day of the look)/R. Looks from before the cycle started say nothing about it and are left out;
 * so are flags and neutral readings.
 */
export function posteriorAfter(dev: Development, looks: readonly KnownLook[]): Posterior {
  const latest = looks.reduce((day, l) => (l.takenOn > day ? l.takenOn : day), dev.startedOn);
  const p = priorOf(dev, looks.length > 0 ? thermalSumOn(dev.thermal, latest) : 0);
  for (const look of looks) {
    if (look.takenOn < dev.startedOn) continue;
    const scale = cueScale(look.cue);
    const at = scale?.readingIds.indexOf(look.readingId) ?? -1;
    if (!scale || at < 0) continue;
    const heat = thermalSumOn(dev.thermal, look.takenOn);
    for (let k = 0; k < p.weight.length; k++) {
      const sigma = stageCoordinate(heat / p.requirement[k]!, dev.nearlyFrom, dev.closes);
      p.weight[k]! *= readingLikelihood(scale, at, sigma);
    }
  }
  return normalised(p);
}

/** Beyond this many spreads the outcome is certain for all purposes. */
const FAR = 5;

/** P(development has passed `u` by the end of day `i` of the thermal track). */
export function passedOn(dev: Development, p: Posterior, u: number, i: number): number {
  const heat = dev.thermal.sum[i]!;
  const spread = dev.thermal.spread[i]!;
  let sum = 0;
  // Requirements rise along the grid: sure ones first, then those within reach of the forecast's error.
  for (let k = 0; k < p.weight.length; k++) {
    const lead = heat - u * p.requirement[k]!;
    if (lead >= FAR * spread) sum += p.weight[k]!;
    else if (lead < -FAR * spread) break;
    else sum += p.weight[k]! * normalCdf(lead / spread);
  }
  return Math.min(1, sum);
}

/** P(development has passed `u` by the end of each day), rising along the thermal track. */
export function passedBy(dev: Development, p: Posterior, u: number): Float64Array {
  const odds = new Float64Array(dev.thermal.sum.length);
  for (let i = 0; i < odds.length; i++) odds[i] = Math.max(i > 0 ? odds[i - 1]! : 0, passedOn(dev, p, u, i));
  return odds;
}
