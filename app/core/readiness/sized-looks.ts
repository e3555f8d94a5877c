import { thermalSumOn } from "../weather";
import type { Development, Growth } from "./development";
import type { KnownLook } from "./look";
import { lookForce } from "./look-force";
import { requirementAt, type Posterior } from "./requirement-grid";

/** How freely the plants grow, from measured sizes. */
export interface Vigour {
  /** 1 = usual. */
  mean: number;
  /** Spread of its logarithm. */
  logSpread: number;
  /** Heat at which the expected size reaches its target, °C·d. */
  targetHeat: number;
}

/** Whether a look measured the size that the crop is picked by. */
export const isSize = (dev: Development, look: KnownLook) =>
  look.measuredMm !== undefined && dev.growth?.cueId === look.cueId;

/** Vigour between plantings (log), and how well a hand, an eye and a choice of piece measure (log): our judgement. */
const VIGOUR_SPREAD = 0.45;
const SIZE_SPREAD = 0.09;
const VIGOUR_POINTS = 15;
const Z = Float64Array.from({ length: VIGOUR_POINTS }, (_, j) => -2.5 + (5 * j) / (VIGOUR_POINTS - 1));
const VIGOUR = Z.map((z) => Math.exp(z * VIGOUR_SPREAD));
const VIGOUR_LOG_PRIOR = Z.map((z) => -0.5 * z * z - Math.log(Z.reduce((sum, x) => sum + Math.exp(-0.5 * x * x), 0)));

export interface SizeTerm {
  /** ln of the joint likelihood of the sizes by grid point, vigour averaged out. */
  term: Float64Array;
  /** Means of vigour and its square at each grid point, given the sizes. */
  mean: Float64Array;
  square: Float64Array;
}

/** Log-likelihood of one measured size by grid point and vigour, row by row. */
export function sizeLikelihood(
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

/** The sizes together, vigour averaged out; null without any. */
export function sizeTerm(count: number, rows: readonly Float64Array[]): SizeTerm | null {
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
export function vigourOf({ mean, square }: SizeTerm, p: Posterior): Vigour {
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
