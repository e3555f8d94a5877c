export { inBed, oddsByBed } from "./beds";
export { columnDay, dayAndMonth, longDay, sayDay, sayNight, sayStart, shortDay, weekdayName } from "./days";
export { EVERYDAY, everydaySize, nearestObject, type EverydayObject } from "./everyday";
export { capital, cropAndVariety, cropNames, listOf, lower, nameOf } from "./in-sentences";
export { sayAmount, sayMass } from "./mass";
export { sayDegrees, sayLength, sayRain, sayReadingText, sayTemperature, sayWind } from "./measures";
export { inTenths } from "./odds";
export { between, counted, sayCount, sayExpected, sayPieces } from "./pieces";
export { shareInWords } from "./share";
