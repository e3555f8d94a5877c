export { leafOffer, type LeafOffer } from "./leaves";
export { onceOffer, stageWorth, type PickOffer } from "./once";
export { repeatOffer, type RepeatOffer } from "./repeat";
export { ripening, type Ripening } from "./ripening";
export { settingRate, type SettingRate } from "./setting-rate";
