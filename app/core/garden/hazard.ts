import type { IsoDay } from "../calendar";
import type { BedKind, CoverKind } from "../hazards";
import type { Picks } from "../planner";
import { plannedPicks } from "./planned-picks";
import type { PlantingOutlook } from "./planting-outlook";

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
  /** Expected share lost if it is still out there. */
  loss: number;
  /** The same in grams of what could be picked the day before. */
  grams: number;
  /** Day index of the planned pick that is ahead of it; null when none is. */
  comesIn: number | null;
}

/** A bed's odds of a cold night, and the low to expect in it. */
export interface BedOdds {
  bedId: string;
  name: string;
  kind: BedKind;
  odds: number;
  bedMinC: number;
}

/**
 * Something that helps. What each does is common practice, its figures as their own tables say. `of` are plantings.
 */
export type HazardAct =
  /** The last planned round before it, and what a spare hour would still save. */
  | { act: "pick"; lastRound: number | null; spare: string[] }
  | { act: "pick green"; of: string[] }
  | { act: "pick cool" }
  | { act: "dig before" }
  | { act: "bring in" }
  | { act: "cut vines" }
  | { act: "earth up"; of: string[] }
  /** With `bedId` set the app can note it and reckon with it: this bed, this night. */
  | {
      act: "cover";
      bedId: string;
      /** And the days and nights that follow it, so many in all. */
      evening: IsoDay;
      nights: number;
      cover: CoverKind;
      covered: boolean;
      bareOdds: number;
      underOdds: number;
    }
  | { act: "mulch" }
  | { act: "water"; against: "frost" | "heat"; pots: boolean }
  | { act: "tie in"; of: string[] }
  | { act: "lift"; of: string[] }
  | { act: "stop" }
  | { act: "wait"; of: string[]; dryDays: number }
  | { act: "taste" }
  | { act: "knife first" };

interface Ahead {
  key: string;
  from: IsoDay;
  to: IsoDay;
  odds: number;
  beds: BedOdds[];
  touched: Touched[];
  acts: HazardAct[];
}

/** Something the sky has in store, as data. */
export type Hazard = Ahead &
  (
    | { kind: "frost"; /** Above freezing, and yet harmful. */ onlyCold: boolean; bedMinC: number }
    | { kind: "chill" }
    | { kind: "frozen ground" }
    | { kind: "storm"; gustOdds: number; windKmh: number | null; soakOdds: number; rainMm: number | null; hailOdds: number } // prettier-ignore
    | { kind: "heat"; topC: number; feelsC: number; /** Heat shuts some hours. */ shut: boolean }
    | { kind: "thunder"; between: [string, string] | null }
    | { kind: "watery"; soakedOn: IsoDay }
    | { kind: "wet leaves"; by: "rain" | "dew"; dryFrom: string | null; rainHoursKnown: boolean }
  );

/** What a hazard does to one planting, and the plan's pick ahead of it. */
export function touch(p: PlantingOutlook, picks: Picks, n: number, loss: number): Touched {
  const planned = plannedPicks(p, picks).map((pick) => pick.day).filter((day) => day <= n); // prettier-ignore
  return {
    plantingId: p.planting.id,
    loss,
    grams: (p.pieces[n] ?? 0) * p.crop.pieceGrams.value * loss,
    comesIn: planned.at(-1) ?? null,
  };
}
