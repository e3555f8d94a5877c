import type { YieldPrior } from "../cropping";
import type { IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { cropShare, plantsOf, yearShare } from "../life";
import type { PlantingState } from "./garden-state";

/** “All that was ready” is all of it from so many pieces a plant on: of what is lifted at once, and of the rest. Our judgement. */
const ALL_OF_IT = { atOnce: 0.5, bitByBit: 0.8 } as const;

/** The day all of what is taken as a whole came off; null while some of it stands. */
export function liftedOn(crop: Crop, planting: PlantingState): IsoDay | null {
  if (crop.mode !== "once") return null;
  const picks = [...planting.picks].sort((a, b) => a.pickedOn.localeCompare(b.pickedOn));
  const least = crop.life.taking.way === "all at once" ? ALL_OF_IT.atOnce : ALL_OF_IT.bitByBit;
  const all = least * plantsOf(crop, planting);
  let taken = 0;
  let on: IsoDay | null = null;
  for (const { pieces, tookAll, pickedOn } of picks) {
    taken += pieces;
    if (tookAll && taken >= all) on = pickedOn;
  }
  return on;
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
