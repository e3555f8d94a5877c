export {
  FIRST_DAY,
  IsoDay,
  LAST_DAY,
  RecordDay,
  addDays,
  dayInZone,
  dayNumber,
  dayOfYear,
  daysBetween,
  isoDay,
  weekday,
} from "./day";
export { dayLength, dayOfLight } from "./day-length";
export { ClockTime, LocalMoment, clockTime, hoursOfDay, instantOf, localMoment, minutesOf } from "./local-time";
export { sunTimes, twilight } from "./sun-times";
export { DatedEvent } from "./dated-event";
