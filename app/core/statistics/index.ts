export { normalCdf } from "./normal";
export { normalDraw, seeded } from "./seeded";
