export { growingYear, yearTurnOn } from "./crop-year";
export { END_REASONS, EndReason, SEASON_CROPS, START_STANDINGS, Season, SeasonCrop, seasonOn, startOf } from "./season";
export { BOLTS_FROM_HOURS, REST_DAYS, startBefore, usualChill, workedOutStart } from "./worked-out-start";
