/** One harvested movement as the totals see it. */
export interface TotalledPick {
  key: string;
  /** The pick it came of: several movements of one are one pick. */
  pickId: string;
  grams: number | null;
  pieces: number | null;
  /** True when the amount was guessed, not weighed or counted. */
  estimated: boolean;
  /** Never fit for use: no harvest. */
  spoilt: boolean;
}

export interface Total {
  key: string;
  picks: number;
  weighedGrams: number;
  /** Kept apart: a guess never mixes silently into what was weighed. */
  estimatedGrams: number;
  pieces: number;
  /** Kept apart: what went to the compost or the bin is no harvest. */
  spoiltGrams: number;
  spoiltPieces: number;
}

/**
 * Totals by key (crop, bed, week …): weighed, estimated and spoilt apart.
 *
 * @returns in order of first appearance
 */
export function totalsBy(moved: readonly TotalledPick[]): Total[] {
  const totals = new Map<string, Total & { of: Set<string> }>();
  for (const { key, pickId, grams, pieces, estimated, spoilt } of moved) {
    const total = totals.get(key) ?? { key, picks: 0, weighedGrams: 0, estimatedGrams: 0, pieces: 0, spoiltGrams: 0, spoiltPieces: 0, of: new Set<string>() }; // prettier-ignore
    total.of.add(pickId);
    if (spoilt) {
      total.spoiltGrams += grams ?? 0;
      total.spoiltPieces += pieces ?? 0;
    } else {
      if (estimated) total.estimatedGrams += grams ?? 0;
      else total.weighedGrams += grams ?? 0;
      total.pieces += pieces ?? 0;
    }
    totals.set(key, total);
  }
  return [...totals.values()].map(({ of, ...total }) => ({ ...total, picks: of.size }));
}
