export { cropInWords, knownVariety } from "./crop-words";
export { ReadLine, TypedLine, type LineSetting } from "./line-reading";
export { readLines } from "./read-lines";
export { VarietyName, type LineWords } from "./variety-name";
