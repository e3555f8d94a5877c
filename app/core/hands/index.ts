export { handsOn, type DayHands } from "./day-hands";
export { DayNow, handsLeft } from "./hands-left";
export { BusyTime, HandsRules, Helper, SKILLS, Skill, Trip } from "./hands-rules";
export { helperMay, skillsFor } from "./helper-may";
export { ownMinutes, withOwnMinutes, type OwnMinutes } from "./own-minutes";
export { SLOTS, SLOT_HOURS, Slot, SlotMinutes, shareWithin } from "./slots";
