export {
  ContainersOn,
  CountBody,
  Entry,
  EntryAnswer,
  EntryAnswers,
  EntryBatch,
  FIRST_DAY,
  LAST_DAY,
  LookBody,
  MOST_ENTRIES,
  PickBody,
  WeighingBody,
  type EntryBody,
  type EntryKind,
} from "./entry";
export { fieldErrors, type FieldErrors } from "./field-errors";
