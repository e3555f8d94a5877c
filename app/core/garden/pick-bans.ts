import { z } from "zod";
import type { Crop } from "../crops";
import { helperMay, type Slot } from "../hands";
import { frozenOdds, isDug, pickBan, type Survival } from "../hazards";
import type { SoilDay } from "../weather";
import type { DayTerms, RoundTerms } from "./day-terms";
import type { PlantingState } from "./garden-state";
import { BED_MINUTES, ROUND_MINUTES } from "./plan-problem";

/** Why a planting may not be picked on a day. */
export const BanReason = z.enum(["treated", "helper", "frozen ground", "wet leaves"]);
export type BanReason = z.infer<typeof BanReason>;

/** Minutes with dry leaves that a pick needs at least: our judgement. */
const DRY_ENOUGH = 5;
/** A crop that would lose this share by the next day is taken wet rather than lost: our judgement. */
const LOST_OTHERWISE = 0.3;

/** Too little of a round has dry leaves. */
const isWet = ({ dryMinutes }: RoundTerms) => dryMinutes !== null && dryMinutes < DRY_ENOUGH;

/** Long enough to set out in. */
const isRound = ({ minutes }: RoundTerms) => minutes > ROUND_MINUTES + BED_MINUTES;

/** Parts of each day in which a crop may not be touched, where another part of the day has dry leaves and time. */
export const wetSlotsOf = (crop: Crop, terms: readonly DayTerms[]): Slot[][] =>
  terms.map(({ rounds }) => {
    const wet = crop.handsOffWhenWet.value ? rounds.filter(isWet) : [];
    return rounds.some((r) => isRound(r) && !isWet(r)) ? wet.map((r) => r.slot) : [];
  });

/**
 * What keeps the hands off a planting, day by day.
 *
 * @param soil - of its bed, by day
 * @param leavesWet - somebody has told that they are, today
 */
export function bansOf(
  crop: Crop,
  planting: PlantingState,
  terms: readonly DayTerms[],
  soil: readonly SoilDay[],
  { sound }: Survival,
  leavesWet = false,
): (BanReason | null)[] {
  return terms.map((day, n): BanReason | null => {
    if (pickBan(planting.treatments, day.day)) return "treated";
    const { helper } = day.hands;
    if (helper && !helperMay(helper, crop)) return "helper";
    if (isDug(crop) && frozenOdds(soil[n]!) >= 0.5) return "frozen ground";
    const rounds = day.rounds.filter(isRound);
    const wet = rounds.length > 0 && rounds.every(isWet);
    const lost = 1 - (sound[n + 1] ?? sound[n]!) / Math.max(1e-9, sound[n]!);
    return crop.handsOffWhenWet.value && (wet || (n === 0 && leavesWet)) && lost < LOST_OTHERWISE ? "wet leaves" : null;
  });
}
