export { normalCdf } from "./normal";
export { normalDraw, seeded } from "./seeded";
export { quantile } from "./quantile";
