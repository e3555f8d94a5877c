/** One pick as the totals see it. */
export interface TotalledPick {
  key: string;
  grams: number | null;
  pieces: number | null;
  /** True when the amount was guessed, not weighed or counted. */
  estimated: boolean;
}

export interface Total {
  key: string;
  picks: number;
  weighedGrams: number;
  /** Kept apart: a guess never mixes silently into what was weighed. */
  estimatedGrams: number;
  pieces: number;
}

/**
 * Totals by key (crop, bed, week …), weighed and estimated apart.
 *
 * @returns in order of first appearance
 */
export function totalsBy(picks: readonly TotalledPick[]): Total[] {
  const totals = new Map<string, Total>();
  for (const pick of picks) {
    const total = totals.get(pick.key) ?? { key: pick.key, picks: 0, weighedGrams: 0, estimatedGrams: 0, pieces: 0 };
    total.picks += 1;
    if (pick.estimated) total.estimatedGrams += pick.grams ?? 0;
    else total.weighedGrams += pick.grams ?? 0;
    total.pieces += pick.pieces ?? 0;
    totals.set(pick.key, total);
  }
  return [...totals.values()];
}
