export { normalCdf, normalQuantile } from "./normal";
export { normalDraw, seeded } from "./seeded";
export { quantile } from "./quantile";
export { shrinkTo, type Levels, type Shrunk } from "./shrink";
