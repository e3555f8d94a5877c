import type { Cue, CueWeight, Meaning } from "../crops";

/** Stage value of the meanings that lie on the way from unripe to over. */
export const STAGE_OF: Partial<Record<Meaning, number>> = { early: 0, nearly: 1, ready: 2, now: 2, past: 3 };

/**
 * How steeply readings of a weight tell neighbouring states apart: the slope of the ordinal logistic
 * model at which a reading is 20, 6 or 2 times as likely in its own state as in the next one
 * (the weights of the field handbook, our judgement).
 */
export const SLOPE: Record<CueWeight, number> = { decisive: slopeFor(20), strong: slopeFor(6), weak: slopeFor(2) };

function logistic(x: number): number {
  return 1 / (1 + Math.exp(-x));
}

/** Solves P(m | middle of m) = ratio × P(m | middle of its neighbour) by bisection. */
function slopeFor(ratio: number): number {
  let low = 0.1;
  let high = 30;
  for (let i = 0; i < 60; i++) {
    const slope = (low + high) / 2;
    const own = logistic(slope / 2) - logistic(-slope / 2);
    const next = logistic(-slope / 2) - logistic((-3 * slope) / 2);
    if (own / next < ratio) low = slope;
    else high = slope;
  }
  return (low + high) / 2;
}

/** A cue as an ordinal scale: the borders on the stage coordinate between its readings, in order. */
export interface CueScale {
  readingIds: string[];
  borders: number[];
  slope: number;
}

const scales = new WeakMap<Cue, CueScale | null>();

/**
 * Places the ordered readings of a cue on the stage coordinate. Readings of one meaning share its band
 * evenly in their order; a cue without a word for a state (hard, then slight give) reads it as the one
 * before, so that "ready" is only said of what is ready.
 *
 * @returns undefined when fewer than two readings lie on the way from early to past: such a cue
 *   (a bolting stalk, a bite) is a flag, not a scale
 */
export function cueScale(cue: Cue): CueScale | undefined {
  const known = scales.get(cue);
  if (known !== undefined) return known ?? undefined;
  const made = makeScale(cue);
  scales.set(cue, made ?? null);
  return made;
}

function makeScale(cue: Cue): CueScale | undefined {
  const ordered = cue.readings.flatMap((r) => {
    const stage = STAGE_OF[r.means];
    return stage === undefined ? [] : [{ id: r.id, stage }];
  });
  // "Rising: take it now; tall: past" is a warning, not a scale: it has no word for what is not yet ripe.
  const ripening = cue.readings.filter((r) => r.means !== "now").flatMap((r) => STAGE_OF[r.means] ?? []);
  if (new Set(ripening).size < 2) return undefined;
  if (ordered.some((r, i) => i > 0 && r.stage < ordered[i - 1]!.stage)) return undefined;
  const borders: number[] = [];
  for (let i = 0; i + 1 < ordered.length; i++) {
    const here = ordered[i]!.stage;
    const next = ordered[i + 1]!.stage;
    if (here === next) {
      const sharing = ordered.filter((r) => r.stage === here).length;
      const before = ordered.slice(0, i + 1).filter((r) => r.stage === here).length;
      borders.push(here - 0.5 + before / sharing);
    } else borders.push(next - 0.5);
  }
  return { readingIds: ordered.map((r) => r.id), borders, slope: SLOPE[cue.weight] };
}

/**
 * P(reading | σ) of an ordered cue: a proportional-odds model, so the probabilities of all its readings
 * sum to one at every σ, and a more mature reading always favours more development.
 *
 * @param scale - of the cue
 * @param reading - position in `scale.readingIds`
 * @param sigma - stage coordinate
 * @source McCullagh 1980, J. R. Stat. Soc. B 42:109–142 (from memory); weights our judgement
 */
export function readingLikelihood(scale: CueScale, reading: number, sigma: number): number {
  const above = (border: number | undefined, outside: number) =>
    border === undefined ? outside : logistic(scale.slope * (sigma - border));
  const atLeast = reading === 0 ? 1 : above(scale.borders[reading - 1], 1);
  return Math.max(1e-12, atLeast - above(scale.borders[reading], 0));
}

/** Whether a look says how far a crop is: a bite, or a clean leaf, does not. */
export function tellsHowFar({
  cue,
  readingId,
  measuredMm,
}: {
  cue: Cue;
  readingId: string;
  measuredMm?: number | undefined;
}): boolean {
  // prettier-ignore
  return measuredMm !== undefined || (cueScale(cue)?.readingIds.includes(readingId) ?? false);
}

/** Stage coordinates at which likelihoods are tabled. */
export const SIGMA = { low: -1.5, high: 4.5, step: 0.04, count: 151 } as const;

/** Nearest tabled place of a stage coordinate. */
export const sigmaBin = (sigma: number): number =>
  Math.min(SIGMA.count - 1, Math.max(0, Math.round((sigma - SIGMA.low) / SIGMA.step)));

/** A tabled row at a stage coordinate, linear between its places. */
export function atSigma(row: Float64Array, sigma: number): number {
  const x = Math.min(SIGMA.count - 1.000001, Math.max(0, (sigma - SIGMA.low) / SIGMA.step));
  const k = Math.floor(x);
  return row[k]! + (x - k) * (row[k + 1]! - row[k]!);
}

/** P(reading | σ) and its logarithm by reading and tabled σ. */
export interface CueTable {
  scale: CueScale;
  odds: Float64Array[];
  log: Float64Array[];
}

const tables = new WeakMap<Cue, CueTable | null>();

/** The likelihoods of a cue, worked out once: judging a garden reads them hundreds of thousands of times. */
export function cueTable(cue: Cue): CueTable | undefined {
  const known = tables.get(cue);
  if (known !== undefined) return known ?? undefined;
  const scale = cueScale(cue);
  const odds = scale?.readingIds.map((_, r) =>
    Float64Array.from({ length: SIGMA.count }, (_, b) => readingLikelihood(scale, r, SIGMA.low + b * SIGMA.step)),
  );
  const made = scale && odds ? { scale, odds, log: odds.map((row) => row.map(Math.log)) } : undefined;
  tables.set(cue, made ?? null);
  return made;
}
