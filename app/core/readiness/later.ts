import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { normalQuantile } from "../statistics";
import { thermalSumOn } from "../weather";
import type { Development } from "./development";
import type { ToldShares } from "./told-shares";

/** What is not ready of what was told, a state at a time, and the day on which half of it should be. */
export interface Later {
  state: "nearly" | "early";
  share: number;
  on: IsoDay;
}

/** Nobody is sent away for longer than this, days: our judgement. */
const LONGEST = 14;
const SURELY = 0.02;

/**
 * The next days of pieces that are not ready: pieces lie apart by a share of the heat they need, so that what heat
 * has brought the ready share so far tells when it brings the next.
 *
 * @param spread - of the pieces' development (log), as believed
 */
export function laterOf(crop: Crop, dev: Development, spread: number, told: ToldShares, today: IsoDay): Later[] {
  const states = [
    { state: "nearly", share: told.nearly, until: told.ready + told.nearly / 2 },
    { state: "early", share: told.early, until: told.ready + told.nearly + told.early / 2 },
  ] as const;
  return states
    .filter(({ share }) => share >= SURELY)
    .map(({ state, share, until }) => {
      const days = daysTo(dev, spread, told.ready, until, today) ?? usualDays(crop, state);
      return { state, share, on: addDays(today, Math.max(1, Math.min(LONGEST, days))) };
    });
}

/** Days until the share that is ready has grown; undefined where no heat has been gathered to go by. */
function daysTo(dev: Development, spread: number, from: number, to: number, today: IsoDay): number | undefined {
  const heat = thermalSumOn(dev.thermal, today);
  if (heat <= 0 || from <= 0) return undefined;
  const z = (share: number) => normalQuantile(Math.min(1 - SURELY, Math.max(SURELY, share)));
  const wanted = heat * Math.exp(spread * (z(to) - z(from)));
  const { sum, from: first } = dev.thermal;
  const i = sum.findIndex((s) => s >= wanted);
  return i < 0 ? LONGEST : daysBetween(today, addDays(first, i));
}

/** By the crop's own pace. */
function usualDays({ again, windowDays }: Crop, state: Later["state"]): number {
  if (state === "nearly") return Math.round(Math.min(3, again?.low ?? 3));
  return Math.round(again?.high ?? Math.min(7, Math.max(3, windowDays.value / 2)));
}
