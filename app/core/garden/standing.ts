import type { YieldPrior } from "../cropping";
import type { IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { cropShare, plantsOf, yearShare } from "../life";
import type { PlantingState } from "./garden-state";

/** The day all of what is taken as a whole came off; null while it stands. */
export function liftedOn(crop: Crop, { picks }: PlantingState): IsoDay | null {
  if (crop.mode !== "once") return null;
  return picks.filter((p) => p.tookAll).map((p) => p.pickedOn).sort().at(-1) ?? null; // prettier-ignore
}

/** Pieces of a fixed crop that still stand: what its plants give in this garden at their age, less what was picked. */
export function standingPieces(crop: Crop, planting: PlantingState, bears: YieldPrior): number {
  if (liftedOn(crop, planting)) return 0;
  const taken = planting.picks.reduce((sum, p) => sum + p.pieces, 0);
  const share = cropShare(crop, planting.seasonCrop) * yearShare(crop, planting.growingYear);
  const all = plantsOf(crop, planting) * crop.piecesPerPlant.value * share * bears.factor;
  return Math.max(isSeenSince(planting) ? Math.min(1, all) : 0, all - taken);
}

/** Looked at since the last pick: whatever the numbers say, some still stand. */
function isSeenSince({ picks, looks }: PlantingState): boolean {
  const last = picks.map((p) => p.pickedOn).sort().at(-1); // prettier-ignore
  return last !== undefined && looks.some((l) => l.takenOn > last || (l.takenOn === last && l.afterPick === true));
}
