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
  WeighingBody,
  type EntryBody,
  type EntryKind,
} from "./entry";
export {
  isFinishedHere,
  jobsWaiting,
  looksWaiting,
  roundWaiting,
  stopsWaiting,
  type StopWaiting,
  type Waiting,
} from "./waiting";
