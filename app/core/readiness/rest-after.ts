import type { IsoDay } from "../calendar";
import type { KnownLook } from "./look";
import type { PartFlag } from "./flags";
import { countedShares, toldShares, type ToldShares } from "./told-shares";

/** What came off, as far as it changes what is left to look at. */
export interface Taken {
  pickedOn: IsoDay;
  /** Of the pieces that stood before. */
  pieces: number;
  /** All that was ready came off. */
  tookAll: boolean;
}

/** Whether a pick came after a look: on a later day, or on the same one unless the look was taken after it. */
export const cameAfter = (pick: Taken, look: Pick<KnownLook, "takenOn" | "afterPick">): boolean =>
  pick.pickedOn > look.takenOn || (pick.pickedOn === look.takenOn && !look.afterPick);

/**
 * Shares of the pieces once what was ready of them has been picked: the ripest come off first.
 *
 * @param told - as it was before the picks
 * @param picks - made after it was told
 * @param pieces - that there were when it was told
 * @returns undefined when nothing is left
 */
export function restAfter(
  told: ToldShares,
  picks: readonly Taken[],
  pieces: number | undefined,
): ToldShares | undefined {
  if (picks.length === 0) return told;
  let off = pieces ? picks.reduce((sum, p) => sum + p.pieces, 0) / pieces : 0;
  if (picks.some((p) => p.tookAll)) off = Math.max(off, told.ready);
  const take = (share: number) => {
    const taken = Math.min(share, off);
    off -= taken;
    return share - taken;
  };
  const [ready, nearly, early] = [take(told.ready), take(told.nearly), take(told.early)];
  const left = ready + nearly + early;
  if (left < LEAST_LEFT) return undefined;
  return { ready: ready / left, nearly: nearly / left, early: early / left };
}

/** Less than this is nothing. */
const LEAST_LEFT = 0.01;

export interface SharesOf {
  taken?: readonly Taken[];
  /** Share counted ready today. */
  counted?: number | undefined;
  pieces?: number | undefined;
}

/** Shares of the pieces as told, less what came off since. */
export function sharesLeft(looks: readonly KnownLook[], today: IsoDay, { taken = [], counted, pieces }: SharesOf) {
  const told = toldShares(looks, today);
  const shares = told?.shares ?? countedShares(counted);
  if (!shares) return { left: undefined, pickedSince: false };
  const since = told ? taken.filter((p) => cameAfter(p, told.look)) : [];
  return { left: restAfter(shares, since, pieces), pickedSince: since.length > 0 };
}

/** What was told apart is gone once all that was ready came off, or as many as it was. */
export function cameOff({ means, pieces, look }: PartFlag, taken: readonly Taken[]): boolean {
  const since = taken.filter((p) => cameAfter(p, look));
  if (means === "early" || since.length === 0) return false;
  return since.some((p) => p.tookAll) || since.reduce((sum, p) => sum + p.pieces, 0) >= (pieces ?? Infinity);
}
