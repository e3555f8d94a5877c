export { IsoDay, addDays, dayInZone, dayNumber, dayOfYear, daysBetween, isoDay, weekday } from "./day";
export { dayAndMonth, longDay, sayDay, sayNight, shortDay, weekdayName } from "./say-day";
export { sunTimes } from "./sun-times";
