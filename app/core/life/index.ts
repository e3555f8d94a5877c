export { bearingOf, type Bearing } from "./bearing";
export {
  bearingEnds,
  cropCalendar,
  cropLife,
  grownYear,
  standingStart,
  type CropLife,
  type YearStart,
} from "./crop-calendar";
export { growthPace } from "./growth-pace";
export { heatNeed, type HeatNeed } from "./heat-need";
export { kindOf, startOpens, usualStarts } from "./kind";
export { plantsInRow, plantsOf, standSpread, type Stand } from "./stand";
export { cropShare, nextCropOf, spanOf, type Span } from "./start-span";
export { doubtRange, yearShare, yieldExpected, yieldSpread, type YieldExpected } from "./yield";
export { type Ending, type YearPlace } from "./year-walk";
