export { isCounted, sayCount, sayPieces } from "./amounts";
export { gardenSentences, type GardenSentence, type GardenSentences } from "./sentences";
export { BedState, GardenState, LookTaken, PickMade, PlantingState } from "./garden-state";
export {
  BED_MINUTES,
  HORIZON_DAYS,
  ROUND_MINUTES,
  lookAhead,
  type GardenOutlook,
  type PlantingOutlook,
} from "./look-ahead";
export { THUNDER_STOP, type DayTerms } from "./day-terms";
export { type HazardAct } from "./hazard-acts";
export { type HazardCard, type HazardKind, type Touched } from "./hazard-card";
export { hazardCards } from "./hazard-cards";
export { listOf } from "./in-sentences";
export { inBed } from "./say-beds";
export { type BanReason } from "./pick-bans";
