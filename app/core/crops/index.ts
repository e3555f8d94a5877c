export { CROP_GROUPS, Crop, Cue, CueWeight, Meaning, Reading, START_EVENTS, StartEvent } from "./crop";
export { findCrop, type Catalogue } from "./find-crop";
export { END_CAUSES, Life, PRESERVING_CAUTIONS, type ColdLimit, type Kind, type StartSeason } from "./life";
export { patchCrop, resolveLikes, unsaidOf, type CropData } from "./patch-crop";
export { readPlantingLine, type PlantingLine } from "./planting-line";
export { School } from "./school";
export { Standing } from "./standing";
export { ofVariety, Variety } from "./variety";
export { changeValue, cropValues, forgetValue, HOUSEHOLD_STANDING, type CropValue } from "./crop-values";
