import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Development } from "./development";
import { heatNodes, passedAt, passedOn } from "./passed";
import type { Posterior } from "./requirement-grid";

export type Stage = "not yet" | "close" | "prime" | "slipping" | "gone";
export const STAGES: readonly Stage[] = ["not yet", "close", "prime", "slipping", "gone"];

/** Days at 10, 50 and 90 %: the earliest likely, the middle, the latest likely. Null beyond the track. */
export interface DayRange {
  p10: IsoDay | null;
  p50: IsoDay | null;
  p90: IsoDay | null;
}

export interface Window {
  opens: DayRange;
  closes: DayRange;
}

/** The odds of each stage on every day of a span; each day sums to one. */
export interface StageOdds {
  from: IsoDay;
  /** odds[stage][day] */
  odds: Record<Stage, Float64Array>;
}

/** u at the five stages' borders. Slipping lasts as long as prime did, our judgement. */
function borders(dev: Development): [number, number, number, number] {
  const { opens, closes } = dev.prime;
  return [Math.min(dev.nearlyFrom, opens * dev.nearlyFrom), opens, closes, closes + Math.max(0.03, closes - opens)];
}

/** Days before today from which the odds are worked out: picks left behind reach no further back. */
const DAYS_BACK = 22;
/** Days after today up to which they are: what is left out beyond the horizon is worth looking at that far. */
const DAYS_AHEAD = 62;

/** P(prime or later) on one day. */
export function readyOddsOn(dev: Development, p: Posterior, day: IsoDay): number {
  const i = daysBetween(dev.thermal.from, day);
  if (i < 0) return 0;
  return passedOn(dev, p, borders(dev)[1], Math.min(i, dev.thermal.sum.length - 1));
}

/** Odds of the five stages from three weeks before today to two months after. */
export function stageOdds(dev: Development, p: Posterior, today: IsoDay): StageOdds {
  const first = Math.min(dev.thermal.sum.length - 1, Math.max(0, daysBetween(dev.thermal.from, today) - DAYS_BACK));
  const end = Math.max(first + 1, daysBetween(dev.thermal.from, today) + DAYS_AHEAD);
  const days = Math.min(dev.thermal.sum.length, end) - first;
  const [nearly, opens, closes, gone] = borders(dev).map(Math.log) as [number, number, number, number];
  const odds: StageOdds["odds"] = {
    "not yet": new Float64Array(days),
    close: new Float64Array(days),
    prime: new Float64Array(days),
    slipping: new Float64Array(days),
    gone: new Float64Array(days),
  };
  const nodes = new Float64Array(5);
  let a = 0;
  let b = 0;
  let c = 0;
  let d = 0;
  for (let i = 0; i < days; i++) {
    const count = heatNodes(dev.thermal.sum[first + i]!, dev.thermal.spread[first + i]!, nodes);
    // Never back: what was passed yesterday is passed today, and a later border is passed later.
    if (a < 1) a = Math.max(a, passedAt(p, nearly, nodes, count));
    if (b < 1) b = Math.min(a, Math.max(b, passedAt(p, opens, nodes, count)));
    if (c < 1) c = Math.min(b, Math.max(c, passedAt(p, closes, nodes, count)));
    if (d < 1) d = Math.min(c, Math.max(d, passedAt(p, gone, nodes, count)));
    odds["not yet"][i] = 1 - a;
    odds.close[i] = a - b;
    odds.prime[i] = b - c;
    odds.slipping[i] = c - d;
    odds.gone[i] = d;
  }
  return { from: addDays(dev.thermal.from, first), odds };
}

/** The stage odds of one day. Days outside the span take its nearest end. */
export function oddsOn(stages: StageOdds, day: IsoDay): Record<Stage, number> {
  const length = stages.odds.prime.length;
  const i = Math.min(length - 1, Math.max(0, daysBetween(stages.from, day)));
  return {
    "not yet": stages.odds["not yet"][i]!,
    close: stages.odds.close[i]!,
    prime: stages.odds.prime[i]!,
    slipping: stages.odds.slipping[i]!,
    gone: stages.odds.gone[i]!,
  };
}

/** When the prime window opens and closes, as days at 10, 50 and 90 %. */
export function windowOf(dev: Development, p: Posterior): Window {
  const [, opens, closes] = borders(dev);
  return { opens: rangeOf(dev, p, opens), closes: rangeOf(dev, p, closes) };
}

function rangeOf(dev: Development, p: Posterior, u: number): DayRange {
  const days = dev.thermal.sum.length;
  const day = (share: number) => {
    let low = 0;
    let high = days;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (passedOn(dev, p, u, middle) >= share) high = middle;
      else low = middle + 1;
    }
    return low < days ? addDays(dev.thermal.from, low) : null;
  };
  return { p10: day(0.1), p50: day(0.5), p90: day(0.9) };
}

/** Where the marker stands on the arc today, 0 foot left, 0.5 top, 1 foot right; and how unsure we are. */
export function arcPosition(odds: Record<Stage, number>): { at: number; spread: number } {
  const centre: Record<Stage, number> = { "not yet": 0.08, close: 0.3, prime: 0.5, slipping: 0.72, gone: 0.94 };
  const at = STAGES.reduce((sum, s) => sum + odds[s] * centre[s], 0);
  const variance = STAGES.reduce((sum, s) => sum + odds[s] * (centre[s] - at) ** 2, 0);
  return { at, spread: Math.sqrt(variance) };
}
