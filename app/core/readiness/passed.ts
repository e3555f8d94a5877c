import { normalCdf } from "../statistics";
import type { Development } from "./development";
import type { Belief } from "./posterior";
import { requirementBelow, type Posterior } from "./requirement-grid";

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
