/** A harvest summed from its movements: what was guessed and what was never fit for use are parts of the whole. */
export interface SummedHarvest {
  picks: number;
  grams: number;
  pieces: number;
  /** Of the grams, those that were guessed. */
  estimatedGrams: number;
  /** Of the grams, those never fit for use; and of them those that were guessed. */
  spoiltGrams: number;
  spoiltEstimatedGrams: number;
  /** Of the pieces, those never fit for use. */
  spoiltPieces: number;
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
export function totalsBy(sums: readonly (SummedHarvest & { key: string })[]): Total[] {
  const totals = new Map<string, Total>();
  for (const { key, picks, grams, pieces, estimatedGrams, spoiltGrams, spoiltEstimatedGrams, spoiltPieces } of sums) {
    const total = totals.get(key) ?? { key, picks: 0, weighedGrams: 0, estimatedGrams: 0, pieces: 0, spoiltGrams: 0, spoiltPieces: 0 }; // prettier-ignore
    const guessed = estimatedGrams - spoiltEstimatedGrams;
    total.picks += picks;
    total.estimatedGrams += guessed;
    total.weighedGrams += grams - spoiltGrams - guessed;
    total.pieces += pieces - spoiltPieces;
    total.spoiltGrams += spoiltGrams;
    total.spoiltPieces += spoiltPieces;
    totals.set(key, total);
  }
  return [...totals.values()];
}

/** What the ledger's lines are put in order by. */
export const LEDGER_SORTS = ["day", "crop", "bed", "grams", "pieces", "condition", "fate", "note"] as const;
export type LedgerSort = (typeof LEDGER_SORTS)[number];
