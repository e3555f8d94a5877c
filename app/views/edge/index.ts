export { forecastAnswer, judgeAnswer, planAnswer, solveAnswer } from "./answers";
export { readLinesAnswer } from "./read-lines-answer";
export { yearAnswer } from "./year-answer";
