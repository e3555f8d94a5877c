import type { YieldPrior } from "../cropping";
import type { Crop } from "../crops";
import { cropShare, plantsOf, yearShare } from "../life";
import type { PlantingState } from "./garden-state";

/** Pieces of a fixed crop that still stand: what its plants give in this garden at their age, less what was picked. */
export function standingPieces(crop: Crop, planting: PlantingState, bears: YieldPrior): number {
  const taken = planting.picks.reduce((sum, p) => sum + p.pieces, 0);
  const share = cropShare(crop, planting.seasonCrop) * yearShare(crop, planting.growingYear);
  return Math.max(0, plantsOf(crop, planting) * crop.piecesPerPlant.value * share * bears.factor - taken);
}
