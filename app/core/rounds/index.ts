export { walkOf, type Errand, type Stop, type StopReason, type Walk, type WalkJob } from "./walk";
export { sharedByTwo, type Half } from "./share";
export { walkInTime, type StopToCome, type WalkInTime } from "./time-short";
export { startTime, type StartReason, type StartTime } from "./start-time";
