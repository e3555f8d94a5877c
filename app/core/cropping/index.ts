export { onceOffer, stageWorth, type PickOffer } from "./once";
export { repeatOffer, type RepeatOffer } from "./repeat";
