export { gardener, measureSize, readableCues, readCue, readPiece, type Gardener } from "./read-cue";
export { trueHeat, trueWeather, type TrueDay } from "./true-climate";
export { bearTruly, readyPieces, type TrueCrop } from "./true-crop";
export {
  climateDays,
  developmentOn,
  firstPickOf,
  growTruly,
  heatOfYear,
  scatterOf,
  type TrueNeed,
  type TruePlanting,
  type TruthInput,
} from "./true-planting";
export { LOST_TO, SUPPRESSES, TrueStand, type BedCame, type LostTo, type SkyCame, type Taken } from "./true-stand";
