export { borneOut } from "./borne-out";
export { chillHours, normalChillHours } from "./chill";
export { DailyWeather } from "./daily-weather";
export { averageDegreeDays, dailyDegreeDays, degreeDaysAbove } from "./degree-days";
export { ForecastDay, ForecastError, UNMEASURED, errorAt, measuredError, type LeadError } from "./forecast-error";
export { frostDates, type DateOdds, type FrostDates } from "./frost-dates";
export { HourTold } from "./hour-told";
export { HEAT_CARE_C, HEAT_STOP_C, heatIndex } from "./heat-index";
export { heatSoFar, monthlyDegreeDays, type HeatSoFar } from "./heat-so-far";
export { dewPoint, relativeHumidity, saturationVapourHpa } from "./humidity";
export { leafWetness, type LeafHour } from "./leaf-wetness";
export { monthlyNormals } from "./monthly-normals";
export { expectedDegreeDays, normalDegreeDays, normalsFromSeries, roughNormals, type ClimateNormals } from "./normals";
export { dryFrom, opennessOf, skyHours, type DayHours, type Place, type SkyHour } from "./sky-hours";
export { skyTrack, trackIndex, type SkySource, type SkyTrack, type TrackForecast } from "./sky-track";
export { soilOutlook, type SoilDay } from "./soil-temperature";
export { StationReading, stationDays, type StationDays } from "./station-days";
export { temperatureAt, type CurveDay } from "./temperature-curve";
export { thermalSumOn, thermalTime, type ThermalTime } from "./thermal-time";
export { ClimateFile, ClimatePlace } from "./climate-table";
export { frostSeason, type FrostDays } from "./frost-season";
export {
  LIKENESS,
  leftOut,
  normalsOfPlace,
  PlaceClimate,
  placeClimate,
  type Likeness,
  type GardenPlace,
} from "./place-climate";
export { usualNormals } from "./usual-normals";
