export { BED_CLIMATES, BED_KINDS, BedKind, bedMinimum } from "./bed-climate";
export { COVERS, COVER_KINDS, CoverKind, CoverNight, coverGainOf, shieldOf, usualCover, type Shield } from "./cover";
export { FREEZE_CLASSES, nightOddsBelow, type NightOdds } from "./frost";
export { frozenOdds, isDug, liesInTheGround, soilOddsBelow } from "./ground";
export { GUST_KMH, HEAT_C, SOAK_MM, stormOdds, type StormDay } from "./storm";
export { coldLimitAt, survival, type ColdAge, type Survival, type Threat } from "./survival";
export { Treatment, pickBan, type PickBan } from "./treatment";
export { rainOutlook, type RainOutlook } from "./rain-outlook";
