export { leafOffer, type LeafOffer } from "./leaves";
export { onceOffer, stageWorth, type PickOffer } from "./once";
export { greenPieces } from "./green";
export { repeatOffer, type RepeatOffer } from "./repeat";
export { FIRST_PICK_AGE, ripening, type Ripening } from "./ripening";
export { settingRate, type SettingRate } from "./setting-rate";
export { asTheCatalogueSays, yieldLearnt, type SeasonYield, type YieldPrior } from "./yields-learnt";
