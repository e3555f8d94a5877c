export { isCounted, sayCount, sayPieces } from "./amounts";
export { gardenSentences, type GardenSentence, type GardenSentences } from "./sentences";
export { BedState, GardenState, LookTaken, PickMade, PlantingState, Trip } from "./garden-state";
export {
  BED_MINUTES,
  HORIZON_DAYS,
  ROUND_MINUTES,
  lookAhead,
  type GardenOutlook,
  type PlantingOutlook,
} from "./look-ahead";
