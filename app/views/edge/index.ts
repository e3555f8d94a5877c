export { forecastAnswer, judgeAnswer, planAnswer } from "./answers";
export { yearAnswer } from "./year-answer";
