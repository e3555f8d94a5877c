import type { Crop } from "../crops";

/** How a planting is told: by its plants, or by the metres of row it fills. */
export interface Stand {
  plants: number;
  /** Metres of row; null where the plants were counted. */
  lengthM: number | null;
}

/** Rows are sown and thinned so much thicker or thinner than usual (log): our judgement. */
const ROW_SPREAD = 0.2;

/** Plants in a number of metres of row, at the crop's spacing; one at least. */
export function plantsInRow({ life }: Crop, lengthM: number): number {
  return Math.max(1, Math.round(lengthM * life.spacing.plantsPerM));
}

/** How many plants stand there: as counted, or as many as stand in its metres of row. */
export function plantsOf(crop: Crop, { plants, lengthM }: Stand): number {
  return lengthM === null ? plants : plantsInRow(crop, lengthM);
}

/** Standard deviation of the logarithm of that number. */
export const standSpread = ({ lengthM }: Pick<Stand, "lengthM">): number => (lengthM === null ? 0 : ROW_SPREAD);
