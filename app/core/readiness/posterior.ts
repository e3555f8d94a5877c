import type { IsoDay } from "../calendar";
import { normalCdf } from "../statistics";
import { thermalSumOn } from "../weather";
import { stageCoordinate, type Development, type Growth } from "./development";
import { atSigma, cueTable } from "./likelihood";
import type { KnownLook } from "./look";
import { isShared, sharedTerms, SPREADS } from "./shared-looks";

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
const GRID_STEP = 0.0125;
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
  /**
   * From measured sizes: vigour (1 = usual) with its spread (log), and the heat at which the expected size
   * reaches its target, °C·d. Undefined without any.
   */
  vigour: { mean: number; logSpread: number; targetHeat: number } | undefined;
  /** How far the pieces lie apart (log): the crop's, or what looks at parts of them tell. */
  spread: number;
}

/**
 * Belief about the requirement after the looks: each multiplies the prior by P(reading | u) with
 * u = G(day of the look)/R, weighted by its age and its sample. Measured sizes count as their reading, and
 * are judged together over requirement × vigour, so that two of different days tell the growth rate.
 * Looks from before the cycle started say nothing about it; flags and neutral readings say nothing here.
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
  const need = Float64Array.from({ length: count }, (_, k) => Math.exp(prior.logFrom + k * GRID_STEP));
  for (const look of used) {
    if (isShared(look)) continue;
    const table = cueTable(look.cue);
    const row = table?.log[table.scale.readingIds.indexOf(look.readingId)];
    if (!row) continue;
    const heat = thermalSumOn(dev.thermal, look.takenOn);
    const force = lookForce(look, heatNow - heat, dev);
    const term = new Float64Array(count);
    for (let k = 0; k < count; k++)
      term[k] = force * atSigma(row, stageCoordinate(heat / need[k]!, dev.nearlyFrom, dev.closes));
    terms.set(look, term);
  }
  const rows = new Map(sized.map((l) => [l, sizeLikelihood(dev, dev.growth!, l, prior, heatNow)]));
  const sizes = (leave?: KnownLook) => sizeTerm(count, [...rows].filter(([l]) => l !== leave).map(([, row]) => row)); // prettier-ignore
  const all = sizes();
  const ageing = (look: KnownLook) => ageForce(heatNow - thermalSumOn(dev.thermal, look.takenOn), dev);
  const apart = used.some(isShared) ? SPREADS.map((s) => ({ ...s, terms: sharedTerms(dev, used, need, s.times, ageing) })) : []; // prettier-ignore
  const sum = (leave?: KnownLook): SpreadBelief => {
    const log = new Float64Array(count);
    for (const [look, term] of terms) if (look !== leave) for (let k = 0; k < count; k++) log[k]! += term[k]!;
    const size = leave && rows.has(leave) ? sizes(leave) : all;
    if (size) for (let k = 0; k < count; k++) log[k]! += size.term[k]!;
    return overSpreads(
      prior,
      log,
      apart.map(({ times, odds, terms: of }) => ({ times, odds, terms: [...of].flatMap(([l, t]) => (l === leave ? [] : [t])) })), // prettier-ignore
    );
  };
  const { posterior, times } = used.length === 0 ? { posterior: prior, times: 1 } : sum();
  const counts = (look: KnownLook) => terms.has(look) || rows.has(look) || (apart[0]?.terms.has(look) ?? false);
  return {
    posterior,
    without: (look) => (counts(look) ? sum(look).posterior : posterior),
    vigour: all ? vigourOf(all, posterior) : undefined,
    spread: times * dev.pieces.spread,
  };
}

interface SpreadBelief {
  posterior: Posterior;
  /** Mean spread of the pieces against the crop's usual. */
  times: number;
}

/** Adds the prior, and averages over how far the pieces may lie apart where looks at parts of them speak of it. */
function overSpreads(
  prior: Posterior,
  log: Float64Array,
  spreads: readonly { times: number; odds: number; terms: Float64Array[] }[],
): SpreadBelief {
  const layers = spreads.length > 0 ? spreads : [{ times: 1, odds: 1, terms: [] }];
  const logs = layers.map(({ terms }) => {
    const own = log.slice();
    for (const term of terms) for (let k = 0; k < own.length; k++) own[k]! += term[k]!;
    return own;
  });
  let top = -Infinity;
  for (const own of logs) for (let k = 0; k < own.length; k++) top = Math.max(top, own[k]!);
  const weight = new Float64Array(log.length);
  let times = 0;
  let total = 0;
  for (const [n, layer] of layers.entries())
    for (let k = 0; k < weight.length; k++) {
      const w = layer.odds * prior.weight[k]! * Math.exp(logs[n]![k]! - top);
      weight[k]! += w;
      times += w * layer.times;
      total += w;
    }
  return { posterior: normalised(prior.logFrom, weight), times: times / total };
}

const isSize = (dev: Development, look: KnownLook) => look.measuredMm !== undefined && dev.growth?.cueId === look.cueId;

/** How much a look counts: less as it ages, more as more were looked at. */
function lookForce(look: KnownLook, heatSince: number, dev: Development): number {
  const n = look.sampleOf ?? 1;
  return (n / (1 + (n - 1) * ALIKE)) * ageForce(heatSince, dev);
}

const ageForce = (heatSince: number, dev: Development) =>
  0.5 ** (Math.max(0, heatSince) / (HALF_LIFE * dev.requirement.median));

/** Vigour between plantings (log), and how well a hand, an eye and a choice of piece measure (log): our judgement. */
const VIGOUR_SPREAD = 0.45;
const SIZE_SPREAD = 0.09;
const VIGOUR_POINTS = 15;
const Z = Float64Array.from({ length: VIGOUR_POINTS }, (_, j) => -2.5 + (5 * j) / (VIGOUR_POINTS - 1));
const VIGOUR = Z.map((z) => Math.exp(z * VIGOUR_SPREAD));
const VIGOUR_LOG_PRIOR = Z.map((z) => -0.5 * z * z - Math.log(Z.reduce((sum, x) => sum + Math.exp(-0.5 * x * x), 0)));

interface SizeTerm {
  /** ln of the joint likelihood of the sizes by grid point, vigour averaged out. */
  term: Float64Array;
  /** Means of vigour and its square at each grid point, given the sizes. */
  mean: Float64Array;
  square: Float64Array;
}

/** Log-likelihood of one measured size by grid point and vigour, row by row. */
function sizeLikelihood(
  dev: Development,
  growth: Growth,
  look: KnownLook,
  grid: Posterior,
  heatNow: number,
): Float64Array {
  const heat = thermalSumOn(dev.thermal, look.takenOn);
  const y = Math.log(look.measuredMm! / growth.targetMm);
  const scale = (-0.5 * lookForce(look, heatNow - heat, dev)) / (SIZE_SPREAD * SIZE_SPREAD);
  const rows = new Float64Array(grid.weight.length * VIGOUR_POINTS);
  for (let k = 0; k < grid.weight.length; k++) {
    const grown = growth.rate * (heat - requirementAt(grid, k));
    for (let j = 0; j < VIGOUR_POINTS; j++) {
      const off = y - VIGOUR[j]! * grown;
      rows[k * VIGOUR_POINTS + j] = scale * off * off;
    }
  }
  return rows;
}

function sizeTerm(count: number, rows: readonly Float64Array[]): SizeTerm | null {
  if (rows.length === 0) return null;
  const made: SizeTerm = { term: new Float64Array(count), mean: new Float64Array(count), square: new Float64Array(count) }; // prettier-ignore
  for (let k = 0; k < count; k++) {
    let total = 0;
    let first = 0;
    let second = 0;
    for (let j = 0; j < VIGOUR_POINTS; j++) {
      let log = VIGOUR_LOG_PRIOR[j]!;
      for (const row of rows) log += row[k * VIGOUR_POINTS + j]!;
      if (log < -60) continue;
      const likelihood = Math.exp(log);
      total += likelihood;
      first += likelihood * VIGOUR[j]!;
      second += likelihood * VIGOUR[j]! * VIGOUR[j]!;
    }
    made.term[k] = total > 0 ? Math.log(total) : -60;
    made.mean[k] = total > 0 ? first / total : 1;
    made.square[k] = total > 0 ? second / total : 1;
  }
  return made;
}

/** The expected size is linear in heat on the log scale: E[v·(G − R)] = E[v]·G − E[v·R]. */
function vigourOf({ mean, square }: SizeTerm, p: Posterior): Belief["vigour"] {
  let m = 0;
  let s = 0;
  let mr = 0;
  for (let k = 0; k < p.weight.length; k++) {
    m += p.weight[k]! * mean[k]!;
    s += p.weight[k]! * square[k]!;
    mr += p.weight[k]! * mean[k]! * requirementAt(p, k);
  }
  return { mean: m, logSpread: Math.sqrt(Math.max(0, s - m * m)) / m, targetHeat: mr / m };
}

/** Nodes and weights of the five-point Gauss–Hermite rule for a standard normal. @source Abramowitz & Stegun 25.4.46 (from memory; checked against Φ in tests) */
const NODES = [-2.85697, -1.355626, 0, 1.355626, 2.85697];
const WEIGHTS = [0.0112574, 0.2220759, 0.5333333, 0.2220759, 0.0112574];

/** ln of the heat on a day at the forecast's five nodes; one node where it is observed. */
export function heatNodes(heat: number, spread: number, into: Float64Array): number {
  if (spread <= 0) {
    into[0] = heat > 0 ? Math.log(heat) : -Infinity;
    return 1;
  }
  for (let n = 0; n < 5; n++) {
    const h = heat + NODES[n]! * spread;
    into[n] = h > 0 ? Math.log(h) : -Infinity;
  }
  return 5;
}

/** P(heat at the nodes is enough for `u`). */
export function passedAt(p: Posterior, logU: number, nodes: Float64Array, count: number): number {
  if (count === 1) return requirementBelow(p, nodes[0]! - logU);
  let odds = 0;
  for (let n = 0; n < 5; n++) odds += WEIGHTS[n]! * requirementBelow(p, nodes[n]! - logU);
  return Math.min(1, odds);
}

const scratch = new Float64Array(5);

/** P(development has passed `u` by the end of day `i` of the thermal track), the forecast's error in it. */
export function passedOn(dev: Development, p: Posterior, u: number, i: number): number {
  const count = heatNodes(dev.thermal.sum[i]!, dev.thermal.spread[i]!, scratch);
  return passedAt(p, Math.log(u), scratch, count);
}

/**
 * Share of the pieces that have passed `u` at a heat, when pieces differ from the planting's development; `lag` in
 * spreads is how far the typical piece is behind the one that the cues read.
 */
export function shareBeyond(
  { posterior: p, spread }: Pick<Belief, "posterior" | "spread">,
  heat: number,
  u: number,
  lag: number,
): number {
  if (heat <= 0) return 0;
  let share = 0;
  for (let k = 0; k < p.weight.length; k++) {
    if (p.weight[k]! < 1e-5) continue;
    share += p.weight[k]! * normalCdf((Math.log(heat / u) - (p.logFrom + k * p.step)) / spread - lag);
  }
  return share;
}
