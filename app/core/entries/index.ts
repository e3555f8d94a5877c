export {
  ContainersOn,
  CountBody,
  Entry,
  EntryAnswer,
  EntryAnswers,
  EntryBatch,
  LookBody,
  MOST_ENTRIES,
  PickBody,
  SAY_HOW_MUCH,
  WeighingBody,
  saysHowMuch,
  type EntryBody,
  type EntryKind,
} from "./entry";
export { TWIN_MINUTES, pairOf, twinsOf, type PickByDevice } from "./twins";
export {
  isFinishedHere,
  jobsWaiting,
  looksWaiting,
  roundWaiting,
  pairsWaiting,
  stopsWaiting,
  type StopWaiting,
  type Waiting,
} from "./waiting";
