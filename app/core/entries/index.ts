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
