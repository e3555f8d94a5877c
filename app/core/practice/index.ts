export { gardener, measureSize, readableCues, readCue, type Gardener } from "./read-cue";
export { trueHeat, trueWeather, type TrueDay } from "./true-climate";
export { developmentOn, firstPickOf, growTruly, type TruePlanting, type TruthInput } from "./true-planting";
