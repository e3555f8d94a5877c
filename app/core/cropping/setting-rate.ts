import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { YieldPrior } from "./yields-learnt";

/** How freely a planting bears against what the catalogue expects of it. */
export interface SettingRate {
  /** 1 = as the catalogue says. */
  factor: number;
  /** Standard deviation of its logarithm. */
  logSpread: number;
  /** Picks and counts it was learnt from. */
  seen: number;
}

/** What the household's picks say of a planting. */
interface Bearing {
  picks: readonly { pickedOn: IsoDay; pieces: number; tookAll: boolean }[];
  counts?: readonly { countedOn: IsoDay; what: "ready" | "leaves"; number: number }[];
}

/** Rates change over a season: older picks are left out. */
const LOOK_BACK_DAYS = 42;

/**
 * Updates the setting rate from picks and counts: gamma prior by what such plants bear in this garden, Poisson counts
 * over what came ready since the pick before.
 *
 * @param expected - pieces that the catalogue has come ready after one day and up to another
 * @source gamma–Poisson conjugate model, e.g. Gelman et al., Bayesian Data Analysis, 2.6 (from memory)
 */
export function settingRate(
  prior: YieldPrior,
  planting: Bearing,
  expected: (after: IsoDay | null, to: IsoDay) => number,
  today: IsoDay,
): SettingRate {
  const full = planting.picks.filter((p) => p.tookAll && p.pickedOn <= today).sort((a, b) => a.pickedOn.localeCompare(b.pickedOn)); // prettier-ignore
  const since = addDays(today, -LOOK_BACK_DAYS);
  let shape = 1 / prior.logSpread ** 2;
  let rate = shape / prior.factor;
  let seen = 0;
  const learn = (after: IsoDay | null, to: IsoDay, pieces: number) => {
    const due = expected(after, to);
    if (due < 0.2) return;
    shape += pieces;
    rate += due;
    seen++;
  };
  for (const [i, here] of full.entries()) {
    const before = full[i - 1];
    // Two weeks and more between picks say as much of the gaps as of the plants.
    if (!before || here.pickedOn < since || daysBetween(before.pickedOn, here.pickedOn) > 14) continue;
    // All that came off between two full picks, the part-picks too.
    const between = planting.picks.filter((p) => p.pickedOn > before.pickedOn && p.pickedOn <= here.pickedOn);
    learn(before.pickedOn, here.pickedOn, between.reduce((sum, p) => sum + p.pieces, 0)); // prettier-ignore
  }
  const last = full.at(-1);
  const count = planting.counts?.filter((c) => c.what === "ready" && last && c.countedOn > last.pickedOn).at(-1);
  if (last && count && count.countedOn >= since) learn(last.pickedOn, count.countedOn, count.number);
  return { factor: Math.min(5, Math.max(0.15, shape / rate)), logSpread: 1 / Math.sqrt(shape), seen };
}
