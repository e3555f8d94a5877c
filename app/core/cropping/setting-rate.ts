import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { trackIndex, type SkyTrack } from "../weather";
import { paceOn } from "./pace";

/** How freely a planting bears against what the catalogue expects of it. */
export interface SettingRate {
  /** 1 = as the catalogue says. */
  factor: number;
  /** Picks and counts it was learnt from. */
  seen: number;
}

/** What the household's picks say of a planting. */
interface Bearing {
  plants: number;
  startedOn: IsoDay;
  picks: readonly { pickedOn: IsoDay; pieces: number; tookAll: boolean }[];
  counts?: readonly { countedOn: IsoDay; what: "ready" | "leaves"; number: number }[];
}

/** Shape and rate of the prior: as the catalogue says, give or take half. Our judgement. */
const PRIOR = 4;
/** Pieces come in flushes, so a count tells less than a Poisson's would: our judgement. */
const OVERDISPERSION = 3;
/** Rates change over a season: older picks are left out. */
const LOOK_BACK_DAYS = 28;

/**
 * Updates the setting rate from picks and counts: gamma prior, Poisson counts over the warm days since
 * the pick before.
 *
 * @param track - the sky over the last weeks
 * @param extraC - warmth of the bed by day, °C
 * @source gamma–Poisson conjugate model, e.g. Gelman et al., Bayesian Data Analysis, 2.6 (from memory)
 */
export function settingRate(
  crop: Crop,
  planting: Bearing,
  track: SkyTrack,
  extraC: number,
  today: IsoDay,
): SettingRate {
  const full = planting.picks.filter((p) => p.tookAll && p.pickedOn <= today).sort((a, b) => a.pickedOn.localeCompare(b.pickedOn)); // prettier-ignore
  const since = addDays(today, -LOOK_BACK_DAYS);
  let shape = PRIOR;
  let rate = PRIOR;
  let seen = 0;
  const learn = (from: IsoDay, to: IsoDay, pieces: number) => {
    const first = Math.max(0, trackIndex(track, from) + 1);
    let warmDays = 0;
    for (let i = first; i <= trackIndex(track, to); i++) warmDays += paceOn(crop, track, i, extraC);
    const expected = planting.plants * crop.piecesPerPlant.value * warmDays;
    if (expected < 0.2) return;
    shape += pieces / OVERDISPERSION;
    rate += expected / OVERDISPERSION;
    seen++;
  };
  for (let i = 1; i < full.length; i++) {
    const [before, here] = [full[i - 1]!, full[i]!];
    // A week and more between picks says as much of the gaps as of the plants.
    if (here.pickedOn < since || before.pickedOn < track.from || daysBetween(before.pickedOn, here.pickedOn) > 10)
      continue;
    learn(before.pickedOn, here.pickedOn, here.pieces);
  }
  const last = full.at(-1);
  const count = planting.counts?.filter((c) => c.what === "ready" && last && c.countedOn > last.pickedOn).at(-1);
  if (last && count && last.pickedOn >= track.from) learn(last.pickedOn, count.countedOn, count.number);
  return { factor: Math.min(4, Math.max(0.25, shape / rate)), seen };
}
