import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Development } from "./development";
import { passedOn, type Posterior } from "./posterior";

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

/** P(prime or later) on one day. */
export function readyOddsOn(dev: Development, p: Posterior, day: IsoDay): number {
  const i = daysBetween(dev.thermal.from, day);
  if (i < 0) return 0;
  return passedOn(dev, p, borders(dev)[1], Math.min(i, dev.thermal.sum.length - 1));
}

/** Odds of the five stages from three weeks before today to the end of the track. */
export function stageOdds(dev: Development, p: Posterior, today: IsoDay): StageOdds {
  const first = Math.min(dev.thermal.sum.length - 1, Math.max(0, daysBetween(dev.thermal.from, today) - DAYS_BACK));
  const days = dev.thermal.sum.length - first;
  const edges = borders(dev);
  const odds = Object.fromEntries(STAGES.map((s) => [s, new Float64Array(days)])) as StageOdds["odds"];
  let before = [0, 0, 0, 0];
  for (let d = 0; d < days; d++) {
    // Never back: what was passed yesterday is passed today, and a later border is passed later.
    const last = before;
    const now = edges.map((u, b) => Math.max(last[b]!, passedOn(dev, p, u, first + d)));
    for (let b = 1; b < 4; b++) now[b] = Math.min(now[b]!, now[b - 1]!);
    before = now;
    STAGES.forEach((stage, b) => {
      odds[stage][d] = (b === 0 ? 1 : now[b - 1]!) - (b === 4 ? 0 : now[b]!);
    });
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
