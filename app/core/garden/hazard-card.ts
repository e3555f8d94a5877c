import type { IsoDay } from "../calendar";
import type { BedKind } from "../hazards";
import type { Picks } from "../planner";
import type { HazardAct } from "./hazard-acts";
import type { PlantingOutlook } from "./look-ahead";

export const HAZARD_KINDS = [
  "frost",
  "chill",
  "frozen ground",
  "storm",
  "heat",
  "thunder",
  "watery",
  "wet leaves",
] as const;
export type HazardKind = (typeof HAZARD_KINDS)[number];

/** Kinds that take something from the crop; the others ask people for patience or to stay in. */
const THREATS: readonly HazardKind[] = ["frost", "chill", "frozen ground", "storm", "heat"];
export const isThreat = (kind: HazardKind) => THREATS.includes(kind);

/** A planting that a hazard touches. */
export interface Touched {
  plantingId: string;
  /** "French bean, climbing". */
  name: string;
  bed: string;
  /** Expected share lost if it is still out there. */
  loss: number;
  /** The same in grams of what could be picked the day before. */
  grams: number;
  /** Day index of the planned pick that is ahead of it; null when none is. */
  comesIn: number | null;
}

/** Something the sky has in store, in plain words. */
export interface HazardCard {
  key: string;
  kind: HazardKind;
  from: IsoDay;
  to: IsoDay;
  odds: number;
  /** "Frost likely Wednesday night". */
  lead: string;
  /** How likely, where: "7 in 10 in the low bed, 3 in 10 by the wall". */
  where: string;
  beds: { bedId: string; name: string; kind: BedKind; odds: number; bedMinC: number }[];
  touched: Touched[];
  /** What it would cost and what comes in before, in sentences. */
  stake: string[];
  acts: HazardAct[];
  caution: string | null;
}

/** "likely", "possible", "not ruled out". */
export const likely = (odds: number) => (odds >= 0.6 ? "likely" : odds >= 0.3 ? "possible" : "not ruled out");

/** What a hazard does to one planting, and the plan's pick ahead of it. */
export function touch(p: PlantingOutlook, picks: Picks, n: number, loss: number): Touched {
  const planned = (picks[p.planting.id] ?? []).filter((t) => t <= n);
  return {
    plantingId: p.planting.id,
    name: p.planting.variety ? `${p.crop.name}, ${p.planting.variety}` : p.crop.name,
    bed: p.bed.name,
    loss,
    grams: (p.pieces[n] ?? 0) * p.crop.pieceGrams.value * loss,
    comesIn: planned.at(-1) ?? null,
  };
}
