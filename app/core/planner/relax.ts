import type { PlanModel } from "./model";
import { bestPath } from "./path";

/** Prices that make minutes dear where they are short, and the bound they prove. */
export interface Relaxation {
  upperBound: number;
  minutePrice: Float64Array;
}

/** A price on each day's minutes, and on each planting's share of a call at its bed on each day. */
interface Prices {
  minute: Float64Array;
  /** link[i · H + t] */
  link: Float64Array;
}

/** The bound at some prices, and by how much each relaxed limit is broken there. */
interface Priced {
  bound: number;
  minutesOver: Float64Array;
  linkOver: Float64Array;
}

/** A day's minutes are about this many times a link's 0 or 1; steps are scaled by it. */
const MINUTES_PER_LINK = 12;
/** Share of the earlier direction kept in each step. */
const SMOOTHING = 0.7;
/** The step shrinks after this many iterations without a better bound. */
const PATIENCE = 12;
const SHRINK = 0.6;

/**
 * Lagrangian relaxation of the minutes of each day and of the links between picks and calls at a bed;
 * any prices ≥ 0 give a valid upper bound. Prices follow a smoothed subgradient with Polyak steps,
 * minutes scaled so that both kinds move alike.
 *
 * @param lowerBound - worth of a plan already known
 * @param iterations - budget; a run with the same budget repeats
 * @source Held, Wolfe & Crowder 1974, Math. Programming 6:62–88 (from memory)
 */
export function relax(model: PlanModel, lowerBound: number, iterations: number): Relaxation {
  const { plantings: n, horizon: H } = model;
  const prices: Prices = { minute: new Float64Array(H), link: new Float64Array(n * H) };
  const smooth: Prices = { minute: new Float64Array(H), link: new Float64Array(n * H) };
  const best: Relaxation = { upperBound: Infinity, minutePrice: new Float64Array(H) };
  let step = 1;
  let sinceBetter = 0;
  for (let k = 0; k < iterations; k++) {
    const { bound, minutesOver, linkOver } = boundAt(model, prices);
    if (bound < best.upperBound - 1e-9) {
      best.upperBound = bound;
      best.minutePrice = prices.minute.slice();
      sinceBetter = 0;
    } else if (++sinceBetter >= PATIENCE) {
      step *= SHRINK;
      sinceBetter = 0;
    }
    const norm = blend(smooth.minute, minutesOver, 1 / MINUTES_PER_LINK) + blend(smooth.link, linkOver, 1);
    const gap = bound - lowerBound;
    if (norm < 1e-12 || gap < 1e-9) break;
    const move = (step * gap) / norm;
    follow(prices.minute, smooth.minute, move / MINUTES_PER_LINK);
    follow(prices.link, smooth.link, move);
  }
  return best;
}

/** Blends a new direction into the smoothed one; returns its squared length. */
function blend(smooth: Float64Array, over: Float64Array, scale: number): number {
  let norm = 0;
  for (let j = 0; j < smooth.length; j++) {
    smooth[j] = SMOOTHING * smooth[j]! + (1 - SMOOTHING) * over[j]! * scale;
    norm += smooth[j]! ** 2;
  }
  return norm;
}

/** Moves prices along a direction; a price is never below zero. */
function follow(price: Float64Array, direction: Float64Array, move: number): void {
  for (let j = 0; j < price.length; j++) price[j] = Math.max(0, price[j]! + move * direction[j]!);
}

/**
 * UB = Σ longest path of each planting against the prices
 *    + Σ over days max(0, −round + price · (minutes − overhead) + Σ over beds max(0, links − call)).
 */
function boundAt(model: PlanModel, prices: Prices): Priced {
  const { plantings: n, horizon: H, beds, bedOf, problem, minutesFree } = model;
  const minutesOver = new Float64Array(H);
  const linkOver = new Float64Array(n * H);
  const linksAt = new Float64Array(beds * H);
  // A pick can never take more than a day's minutes less the overheads of its own round and call.
  const room = Float64Array.from(minutesFree, (m) => (m > 0 ? m - problem.roundMinutes - problem.bedMinutes : -1));
  let bound = 0;
  for (let i = 0; i < n; i++) {
    const fixed = prices.link.subarray(i * H, (i + 1) * H);
    const path = bestPath(model, i, { minutePrice: prices.minute, fixed, room });
    bound += path.value;
    let row = 0;
    for (const t of path.days) {
      minutesOver[t]! += model.minutes[i]![row * H + t]!;
      linkOver[i * H + t] = 1;
      if (model.rows[i]! > 1) row = t + 1;
    }
    for (let t = 0; t < H; t++) linksAt[bedOf[i]! * H + t]! += fixed[t]!;
  }
  for (let t = 0; t < H; t++) {
    if (minutesFree[t]! <= 0) continue;
    const called: number[] = [];
    let day = -problem.roundCost + prices.minute[t]! * (minutesFree[t]! - problem.roundMinutes);
    for (let b = 0; b < beds; b++) {
      const gain = linksAt[b * H + t]! - prices.minute[t]! * problem.bedMinutes - problem.bedCost;
      if (gain <= 0) continue;
      day += gain;
      called.push(b);
    }
    if (day <= 0) continue;
    bound += day;
    minutesOver[t]! -= minutesFree[t]! - problem.roundMinutes - called.length * problem.bedMinutes;
    for (let i = 0; i < n; i++) if (called.includes(bedOf[i]!)) linkOver[i * H + t]! -= 1;
  }
  return { bound, minutesOver, linkOver };
}
