import { GROUND_AND_LEAF } from "./situations-ground";
import { TREES_AND_OTHERS } from "./situations-added";
import { FRUIT_AND_POD } from "./situations-fruit";

export { looksOf, TODAY, type GardenSituation } from "./situation";

export const SITUATIONS = [...GROUND_AND_LEAF, ...FRUIT_AND_POD, ...TREES_AND_OTHERS];
