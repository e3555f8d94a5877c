export { BED_CLIMATES, BED_KINDS, BedKind, bedMinimum } from "./bed-climate";
export { FREEZE_CLASSES, nightOddsBelow, type NightOdds } from "./frost";
export { inTenths } from "./in-tenths";
export { GUST_KMH, HEAT_C, SOAK_MM, stormOdds, type StormDay } from "./storm";
export { survival, type Survival, type Threat } from "./survival";
export { rainOutlook, type RainOutlook } from "./rain-outlook";
