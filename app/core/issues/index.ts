export { fieldErrors, type FieldErrors } from "./field-errors";
export { issueSentence } from "./issue-sentence";
