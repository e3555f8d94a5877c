export { Crop, Cue, CueWeight, Meaning, Reading, School, START_EVENTS, StartEvent } from "./crop";
export { findCrop, type Catalogue } from "./find-crop";
export { readPlantingLine, type PlantingLine } from "./planting-line";
export { Standing } from "./standing";
