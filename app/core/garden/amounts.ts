import type { Crop } from "../crops";
import { sayMass, type UnitSystem } from "../units";

const COUNTED_GROUPS: readonly Crop["group"][] = ["leaf", "head", "ear", "flower", "extra"];

/** Whether a crop is counted rather than weighed: big pieces, leaves, flowers and eggs are. */
export function isCounted(crop: Crop): boolean {
  return COUNTED_GROUPS.includes(crop.group) || crop.pieceGrams.value >= 200;
}

/** Expected pieces as they are said: "9", "12 leaves" or "2.6 kg". Small amounts never round to nothing. */
export function sayPieces(crop: Crop, pieces: number, system: UnitSystem): string {
  if (isCounted(crop)) {
    const count = Math.max(1, Math.round(pieces));
    return `${count} ${count === 1 ? crop.piece.one : crop.piece.many}`;
  }
  const grams = Math.max(10, pieces * crop.pieceGrams.value);
  const step = grams < 200 ? 10 : grams < 1000 ? 50 : 100;
  return sayMass(Math.round(grams / step) * step, system);
}

/** Small numbers in words, "two"; larger in figures. */
export function sayCount(count: number): string {
  return ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine"][count] ?? String(count);
}
