export { readAmount, type Amount } from "./amount";
export { MassUnit, UNIT_SYSTEMS, UnitSystem, fromGrams, sayMass, toGrams } from "./mass";
export { celsiusFrom } from "./temperature";
export { fromLength, sayLength, sayDegrees, sayRain, sayReadingText, sayTemperature, sayWind } from "./size";
export { EVERYDAY, everydaySize, nearestObject, type EverydayObject } from "./everyday";
