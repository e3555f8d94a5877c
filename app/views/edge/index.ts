export { forecastAnswer, judgeAnswer, planAnswer } from "./answers";
