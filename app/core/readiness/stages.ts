import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Development } from "./development";
import { passedBy, passedOn, type Posterior } from "./posterior";

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

/** The odds of each stage on every day of the thermal track; each day sums to one. */
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

/** P(each border is passed) along the track: nearly, opens, closes, gone. */
export type Passages = readonly [Float64Array, Float64Array, Float64Array, Float64Array];

/** When each border of the stages is passed: worked out once, read by the odds and the window. */
export function passages(dev: Development, p: Posterior): Passages {
  const [nearly, opens, closes, gone] = borders(dev);
  return [passedBy(dev, p, nearly), passedBy(dev, p, opens), passedBy(dev, p, closes), passedBy(dev, p, gone)];
}

/** P(prime or later) on one day, without the rest of the track. */
export function readyOddsOn(dev: Development, p: Posterior, day: IsoDay): number {
  const i = daysBetween(dev.thermal.from, day);
  if (i < 0) return 0;
  return passedOn(dev, p, borders(dev)[1], Math.min(i, dev.thermal.sum.length - 1));
}

/** Odds of the five stages along the track. */
export function stageOdds(dev: Development, passed: Passages): StageOdds {
  const between = (a: Float64Array | null, b: Float64Array | null) =>
    Float64Array.from(dev.thermal.sum, (_, i) => Math.max(0, (a ? a[i]! : 1) - (b ? b[i]! : 0)));
  return {
    from: dev.thermal.from,
    odds: {
      "not yet": between(null, passed[0]),
      close: between(passed[0], passed[1]),
      prime: between(passed[1], passed[2]),
      slipping: between(passed[2], passed[3]),
      gone: between(passed[3], null),
    },
  };
}

/** The stage odds of one day. Days outside the track take its nearest end. */
export function oddsOn(stages: StageOdds, day: IsoDay): Record<Stage, number> {
  const length = stages.odds.prime.length;
  const i = Math.min(length - 1, Math.max(0, daysBetween(stages.from, day)));
  return Object.fromEntries(STAGES.map((s) => [s, stages.odds[s][i]!])) as Record<Stage, number>;
}

/** When the prime window opens and closes, as days at 10, 50 and 90 %. */
export function windowOf(dev: Development, [, opens, closes]: Passages): Window {
  const range = (passed: Float64Array): DayRange => {
    const day = (share: number) => {
      const i = passed.findIndex((odds) => odds >= share);
      return i < 0 ? null : addDays(dev.thermal.from, i);
    };
    return { p10: day(0.1), p50: day(0.5), p90: day(0.9) };
  };
  return { opens: range(opens), closes: range(closes) };
}

/** Where the marker stands on the arc today, 0 foot left, 0.5 top, 1 foot right; and how unsure we are. */
export function arcPosition(odds: Record<Stage, number>): { at: number; spread: number } {
  const centre: Record<Stage, number> = { "not yet": 0.08, close: 0.3, prime: 0.5, slipping: 0.72, gone: 0.94 };
  const at = STAGES.reduce((sum, s) => sum + odds[s] * centre[s], 0);
  const variance = STAGES.reduce((sum, s) => sum + odds[s] * (centre[s] - at) ** 2, 0);
  return { at, spread: Math.sqrt(variance) };
}
