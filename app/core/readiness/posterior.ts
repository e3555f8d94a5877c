import type { IsoDay } from "../calendar";
import { normalCdf } from "../statistics";
import { thermalSumOn } from "../weather";
import { stageCoordinate, type Development } from "./development";
import { atSigma, cueTable } from "./likelihood";
import type { KnownLook } from "./look";

/** What is believed of the heat needed: weights over an even grid of its logarithm. */
export interface Posterior {
  /** ln of the requirement (°C·d) at the first grid point. */
  logFrom: number;
  step: number;
  /** Sums to one. */
  weight: Float64Array;
  /** P(requirement is below the upper edge of grid cell k). */
  cdf: Float64Array;
}

/** Step of the grid in log requirement: fine enough for a window of a few per cent. */
const GRID_STEP = 0.01;
/** Least half width of the grid; it widens so that no honest look falls outside it. */
const GRID_HALF_WIDTH = 1.2;
/**
 * The prior is a mixture: the packet, the packet plainly off, and a little of anything, so that what is
 * seen always wins over what the packet says (a wrong sowing date, picks never written down). Our judgement.
 */
const MIXTURE = { packet: 0.9, offPacket: 0.06, anything: 0.04, offFactor: 2.5 } as const;

/**
 * A look says less as the plants grow on from it: its weight halves with this share of the requirement
 * gathered since. Our judgement, tuned on the truth garden.
 */
const HALF_LIFE = 0.5;
/** Plants of one bed are alike: a sample of n tells as much as n/(1 + (n − 1)·ALIKE). Our judgement. */
const ALIKE = 0.5;

/**
 * The requirement as the packet (or the picking interval) gives it, before any look.
 *
 * @param heatSeen - degree-days gathered by the latest look: the grid reaches at least that far
 */
export function priorOf(dev: Development, heatSeen = 0): Posterior {
  const { median, logSpread } = dev.requirement;
  const reach = heatSeen > 0 ? Math.abs(Math.log(heatSeen / median)) + 0.5 : 0;
  const half = Math.max(GRID_HALF_WIDTH, 4 * logSpread, Math.min(reach, 5));
  const side = Math.ceil(half / GRID_STEP);
  const weight = new Float64Array(2 * side + 1);
  for (let k = -side; k <= side; k++) {
    const x = k * GRID_STEP;
    weight[k + side] =
      (MIXTURE.packet * Math.exp(-0.5 * (x / logSpread) ** 2)) / logSpread +
      (MIXTURE.offPacket * Math.exp(-0.5 * (x / (MIXTURE.offFactor * logSpread)) ** 2)) /
        (MIXTURE.offFactor * logSpread) +
      (MIXTURE.anything * Math.sqrt(2 * Math.PI)) / (2 * half);
  }
  return normalised(Math.log(median) - side * GRID_STEP, weight);
}

function normalised(logFrom: number, weight: Float64Array): Posterior {
  let total = 0;
  for (let k = 0; k < weight.length; k++) total += weight[k]!;
  const cdf = new Float64Array(weight.length);
  let sum = 0;
  for (let k = 0; k < weight.length; k++) {
    weight[k]! /= total;
    sum += weight[k]!;
    cdf[k] = sum;
  }
  return { logFrom, step: GRID_STEP, weight, cdf };
}

/** Requirement at a grid point, °C·d. */
export const requirementAt = (p: Posterior, k: number): number => Math.exp(p.logFrom + k * p.step);

/** P(requirement ≤ heat), linear between the edges of the grid's cells. */
export function requirementBelow(p: Posterior, logHeat: number): number {
  const at = (logHeat - p.logFrom) / p.step + 0.5;
  if (at <= 0) return 0;
  if (at >= p.cdf.length) return 1;
  const k = Math.floor(at);
  const below = k === 0 ? 0 : p.cdf[k - 1]!;
  return below + (at - k) * (p.cdf[k]! - below);
}

/** The posterior with what each look contributed, so that any one can be left out again. */
export interface Belief {
  posterior: Posterior;
  /** The belief with one look left out. */
  without: (look: KnownLook) => Posterior;
  /** From measured sizes: vigour, 1 = usual, and its spread (log); undefined without any. */
  vigour: { mean: number; logSpread: number } | undefined;
}

/**
 * Belief about the requirement after the looks: each multiplies the prior by P(reading | u) with
 * u = G(day of the look)/R, weighted by its age and its sample. Measured sizes are judged together over
 * requirement × vigour, so that two of different days tell the growth rate. Looks from before the
 * cycle started say nothing about it; flags and neutral readings say nothing here.
 *
 * @param today - day the belief is for
 */
export function beliefAfter(dev: Development, looks: readonly KnownLook[], today: IsoDay): Belief {
  const used = looks.filter((l) => l.takenOn >= dev.startedOn && l.takenOn <= today);
  const latest = used.reduce((day, l) => (l.takenOn > day ? l.takenOn : day), dev.startedOn);
  const prior = priorOf(dev, used.length > 0 ? thermalSumOn(dev.thermal, latest) : 0);
  const count = prior.weight.length;
  const heatNow = thermalSumOn(dev.thermal, today);
  const sized = used.filter((l) => isSize(dev, l));
  const terms = new Map<KnownLook, Float64Array>();
  const logPrior = prior.weight.map(Math.log);
  for (const look of used) {
    if (isSize(dev, look)) continue;
    const table = cueTable(look.cue);
    const row = table?.log[table.scale.readingIds.indexOf(look.readingId)];
    if (!row) continue;
    const heat = thermalSumOn(dev.thermal, look.takenOn);
    const force = lookForce(look, heatNow - heat, dev);
    const term = new Float64Array(count);
    for (let k = 0; k < count; k++) {
      const u = heat / Math.exp(prior.logFrom + k * GRID_STEP);
      term[k] = force * atSigma(row, stageCoordinate(u, dev.nearlyFrom, dev.closes));
    }
    terms.set(look, term);
  }
  const sizes = (left: readonly KnownLook[]) => sizeTerm(dev, left, prior, heatNow);
  const all = sizes(sized);
  const sum = (leave?: KnownLook): Posterior => {
    const log = Float64Array.from(logPrior);
    for (const [look, term] of terms) if (look !== leave) for (let k = 0; k < count; k++) log[k]! += term[k]!;
    const size = leave && sized.includes(leave) ? sizes(sized.filter((l) => l !== leave)) : all;
    if (size) for (let k = 0; k < count; k++) log[k]! += size.term[k]!;
    let top = -Infinity;
    for (let k = 0; k < count; k++) top = Math.max(top, log[k]!);
    for (let k = 0; k < count; k++) log[k] = Math.exp(log[k]! - top);
    return normalised(prior.logFrom, log);
  };
  const posterior = used.length === 0 ? prior : sum();
  return {
    posterior,
    without: (look) => (terms.has(look) || sized.includes(look) ? sum(look) : posterior),
    vigour: all ? vigourOf(all, posterior) : undefined,
  };
}

const isSize = (dev: Development, look: KnownLook) => look.measuredMm !== undefined && dev.growth?.cueId === look.cueId;

/** How much a look counts: less as it ages, more as more were looked at. */
function lookForce(look: KnownLook, heatSince: number, dev: Development): number {
  const n = look.sampleOf ?? 1;
  return (n / (1 + (n - 1) * ALIKE)) * 0.5 ** (Math.max(0, heatSince) / (HALF_LIFE * dev.requirement.median));
}

/** Vigour between plantings (log), and how well a hand, an eye and a choice of piece measure (log): our judgement. */
const VIGOUR_SPREAD = 0.35;
const SIZE_SPREAD = 0.12;
const VIGOUR_POINTS = 21;

interface SizeTerm {
  /** ln of the joint likelihood of the sizes by grid point, vigour averaged out. */
  term: Float64Array;
  /** Means of vigour and its square at each grid point, given the sizes. */
  mean: Float64Array;
  square: Float64Array;
}

function sizeTerm(dev: Development, sized: readonly KnownLook[], grid: Posterior, heatNow: number): SizeTerm | null {
  const { growth } = dev;
  if (!growth || sized.length === 0) return null;
  const count = grid.weight.length;
  const made: SizeTerm = { term: new Float64Array(count), mean: new Float64Array(count), square: new Float64Array(count) }; // prettier-ignore
  const points = Array.from({ length: VIGOUR_POINTS }, (_, j) => {
    const z = -2.5 + (5 * j) / (VIGOUR_POINTS - 1);
    return { vigour: Math.exp(z * VIGOUR_SPREAD), prior: Math.exp(-0.5 * z * z) };
  });
  const priorSum = points.reduce((s, p) => s + p.prior, 0);
  const seen = sized.map((l) => {
    const heat = thermalSumOn(dev.thermal, l.takenOn);
    return { y: Math.log(l.measuredMm! / growth.targetMm), heat, force: lookForce(l, heatNow - heat, dev) };
  });
  for (let k = 0; k < count; k++) {
    const need = requirementAt(grid, k);
    let total = 0;
    for (const { vigour, prior } of points) {
      let likelihood = prior / priorSum;
      for (const { y, heat, force } of seen) {
        const off = (y - growth.rate * vigour * (heat - need)) / SIZE_SPREAD;
        likelihood *= Math.exp(-0.5 * force * off * off);
      }
      total += likelihood;
      made.mean[k]! += likelihood * vigour;
      made.square[k]! += likelihood * vigour * vigour;
    }
    made.term[k] = Math.log(Math.max(total, 1e-300));
    made.mean[k]! /= Math.max(total, 1e-300);
    made.square[k]! /= Math.max(total, 1e-300);
  }
  return made;
}

function vigourOf({ mean, square }: SizeTerm, p: Posterior): Belief["vigour"] {
  let m = 0;
  let s = 0;
  for (let k = 0; k < p.weight.length; k++) {
    m += p.weight[k]! * mean[k]!;
    s += p.weight[k]! * square[k]!;
  }
  return { mean: m, logSpread: Math.sqrt(Math.max(0, s - m * m)) / m };
}

/** Nodes and weights of the five-point Gauss–Hermite rule for a standard normal. @source Abramowitz & Stegun 25.4.46 (from memory; checked against Φ in tests) */
const NODES = [-2.85697, -1.355626, 0, 1.355626, 2.85697];
const WEIGHTS = [0.0112574, 0.2220759, 0.5333333, 0.2220759, 0.0112574];

/** P(development has passed `u` by the end of day `i` of the thermal track), the forecast's error in it. */
export function passedOn(dev: Development, p: Posterior, u: number, i: number): number {
  const heat = dev.thermal.sum[i]!;
  const spread = dev.thermal.spread[i]!;
  const logU = Math.log(u);
  if (spread <= 0) return heat > 0 ? requirementBelow(p, Math.log(heat) - logU) : 0;
  let odds = 0;
  for (let n = 0; n < 5; n++) {
    const h = heat + NODES[n]! * spread;
    if (h > 0) odds += WEIGHTS[n]! * requirementBelow(p, Math.log(h) - logU);
  }
  return Math.min(1, odds);
}

/**
 * Share of the pieces that have passed `u` today, when pieces differ from the planting's development by
 * a log spread; `lag` in spreads is how far the typical piece is behind the one that the cues read.
 */
export function shareBeyond(p: Posterior, heat: number, u: number, spread: number, lag: number): number {
  if (heat <= 0) return 0;
  let share = 0;
  for (let k = 0; k < p.weight.length; k++) {
    if (p.weight[k]! < 1e-6) continue;
    share += p.weight[k]! * normalCdf((Math.log(heat / u) - (p.logFrom + k * p.step)) / spread - lag);
  }
  return share;
}
