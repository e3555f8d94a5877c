import { GROUND_AND_LEAF } from "./situations-ground";
import { FRUIT_AND_POD } from "./situations-fruit";

export { looksOf, TODAY, type GardenSituation } from "./situation";

export const SITUATIONS = [...GROUND_AND_LEAF, ...FRUIT_AND_POD];
