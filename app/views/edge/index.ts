export { forecastAnswer, judgeAnswer, planAnswer } from "./answers";
export { readLinesAnswer } from "./read-lines-answer";
export { yearAnswer } from "./year-answer";
