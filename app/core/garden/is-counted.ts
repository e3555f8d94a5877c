import type { Crop } from "../crops";

const COUNTED_GROUPS: readonly Crop["group"][] = ["leaf", "head", "ear", "flower", "extra"];

/** Whether a crop is counted rather than weighed: big pieces, leaves, flowers and eggs are. */
export function isCounted(crop: Crop): boolean {
  return COUNTED_GROUPS.includes(crop.group) || crop.pieceGrams.value >= 200;
}
