export { IsoDay, addDays, dayInZone, dayNumber, dayOfYear, daysBetween, isoDay, weekday } from "./day";
export { ClockTime, LocalMoment, clockTime, hoursOfDay, instantOf, localMoment, minutesOf } from "./local-time";
export { dayAndMonth, longDay, sayDay, sayNight, shortDay, weekdayName } from "./say-day";
export { sunTimes, twilight } from "./sun-times";
