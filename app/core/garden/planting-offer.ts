import type { SettingRate, YieldPrior } from "../cropping";
import type { Crop } from "../crops";
import type { Survival } from "../hazards";
import type { PlantingTask, TaskWay } from "../planner";
import type { Assessment, Development, Judgement } from "../readiness";
import type { DayTerms } from "./day-terms";
import type { GardenSky } from "./garden-sky";
import type { BedState, PlantingState } from "./garden-state";
import type { BanReason } from "./pick-bans";

/** One thing that the plan may come for: a planting, or a part of one. */
export interface TaskPart {
  task: PlantingTask;
  /** Pieces by row and day, as the task's tables. */
  pieces: number[][];
}

/** Another way to treat a task of the plan: under a cover, or stripped before a frost. */
export interface TaskProtection {
  taskId: string;
  way: TaskWay;
  /** When it is done, and the minutes that it takes of the whole planting. */
  doneOn: number[];
  minutes: number;
}

/** What a pick of the planting brings, day by day and row by row. */
export interface PlantingOffer {
  /** Worth of a pick on each day of the horizon as a share of the best, 0 to 1. */
  ridge: number[];
  /** The same if nothing ahead took anything. */
  clear: number[];
  /** The same in kilograms of courgette. */
  worth: number[];
  /** Pieces a first pick on each day would bring. */
  pieces: number[];
  parts: TaskPart[];
  /** Pieces of use that are not ripe, and ripen indoors, on each day; left out where none do. */
  green?: number[];
  /** What picks and counts say of how freely it bears; undefined for a crop taken as a whole. */
  rate: SettingRate | undefined;
  /** Standard deviation of the logarithm of the amounts told. */
  doubt: number;
}

/** Ways that a planting may be treated in. */
export const PROTECTION_WAYS = ["covered", "netted", "shaded", "stripped"] as const;
export type ProtectionWay = (typeof PROTECTION_WAYS)[number];

export interface OfferTerms {
  planting: PlantingState;
  crop: Crop;
  bed: BedState;
  dev: Development;
  assessment: Assessment;
  risk: Survival;
  bans: (BanReason | null)[];
  /** How freely such plants bear in this garden. */
  bears: YieldPrior;
  sky: GardenSky;
  terms: readonly DayTerms[];
  /** P(the plants have come to the end of their lives by a day of the track). */
  dead: (trackDay: number) => number;
}

/** The same once it is judged. */
export interface TakingTerms extends OfferTerms {
  judgement: Judgement;
  /** Whether the verdict lets it be picked on a day of the horizon. */
  allows: (n: number) => boolean;
}
