import type { IsoDay } from "../calendar";
import type { PlantingState } from "./garden-state";

/** The first pick of the season, whatever came off. */
export const firstPickOf = ({ picks, startedOn }: PlantingState): IsoDay | null =>
  picks.filter((p) => p.pickedOn >= startedOn).map((p) => p.pickedOn).sort()[0] ?? null; // prettier-ignore

/** The last pick after which a crop that keeps giving begins again; one before the season's start is of none. */
export function lastFullPick({ picks, startedOn }: PlantingState): IsoDay | null {
  return picks.filter((p) => p.tookAll && p.pickedOn >= startedOn).map((p) => p.pickedOn).sort().at(-1) ?? null; // prettier-ignore
}

/** The last day on which something came off or was counted ready. */
export function lastSeenBearing({ picks, counts }: PlantingState): IsoDay | null {
  const picked = picks.filter((p) => p.pieces > 0).map((p) => p.pickedOn);
  const counted = counts.filter((c) => c.what === "ready" && c.number > 0).map((c) => c.countedOn);
  return [...picked, ...counted].sort().at(-1) ?? null;
}
