export { walkOf, type Errand, type Stop, type Walk } from "./walk";
