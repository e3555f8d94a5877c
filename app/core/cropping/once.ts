import { addDays, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { oddsOn, STAGES, type Stage, type StageOdds } from "../readiness";

/** What a pick on each day of the horizon would bring. */
export interface PickOffer {
  /** Worth before effort, kg of courgette. */
  worth: number[];
  pieces: number[];
}

/** Worth kept a day by what stays out beyond the horizon, unforeseen hazards and pests: our judgement. */
const KEPT_PER_DAY = 0.996;
const BEYOND_DAYS = 45;
/** Before it is nearly ready only what is good young is worth anything, and then this share: our judgement. */
const YOUNG = { goodFrom: 0.5, share: 0.25 } as const;

/** Worth of a piece picked in each stage, as a share of prime. */
export function stageWorth(crop: Crop): Record<Stage, number> {
  const early = crop.worthEarly.value;
  const past = crop.worthPast.value;
  const young = crop.thins?.value && early >= YOUNG.goodFrom ? YOUNG.share * early : 0;
  return { "not yet": young, close: early, prime: 1, slipping: (1 + past) / 2, gone: past };
}

/**
 * A crop lifted in one go: w(t) = V · quality(t) · share still sound(t). What has gone over is halved in the days until
 * it is gone.
 *
 * @param pieces - still standing
 * @param sound - share sound on each day from today, length of the horizon
 * @returns the offer, and the worth of leaving it all beyond the horizon
 */
export function onceOffer(
  crop: Crop,
  stages: StageOdds,
  pieces: number,
  sound: Float64Array,
  today: IsoDay,
): PickOffer & { leftWorth: number } {
  const quality = stageWorth(crop);
  const full = (pieces * crop.pieceGrams.value * crop.worthPerKg.value) / 1000;
  const goneKept = 0.5 ** (1 / Math.sqrt(crop.life.past.low * crop.life.past.high));
  const worthOn = (n: number) => {
    const odds = oddsOn(stages, addDays(today, n));
    return full * STAGES.reduce((sum, s) => sum + odds[s] * quality[s] * (s === "gone" ? goneKept ** n : 1), 0);
  };
  const horizon = sound.length;
  const worth = Array.from(sound, (share, n) => worthOn(n) * share);
  let leftWorth = 0;
  for (let n = horizon; n < horizon + BEYOND_DAYS; n++)
    leftWorth = Math.max(leftWorth, worthOn(n) * sound[horizon - 1]! * KEPT_PER_DAY ** (n - horizon + 1));
  return { worth, pieces: Array.from(sound, (share) => pieces * share), leftWorth };
}
