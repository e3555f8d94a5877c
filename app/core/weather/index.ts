export { DailyWeather } from "./daily-weather";
export { averageDegreeDays, dailyDegreeDays, degreeDaysAbove } from "./degree-days";
export { normalDegreeDays, normalsFromSeries, roughNormals, type ClimateNormals } from "./normals";
export { forecastSpreadC, skyTrack, trackIndex, type SkySource, type SkyTrack } from "./sky-track";
export { thermalSumOn, thermalTime, type ThermalTime } from "./thermal-time";
