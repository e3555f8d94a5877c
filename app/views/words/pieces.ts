import type { Crop } from "~/core/crops";
import { isCounted } from "~/core/garden";
import type { UnitSystem } from "~/core/units";
import { sayMass } from "./mass";

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

/** "1 planting", "3 plantings". */
export const counted = (count: number, what: string) => `${count} ${what}${count === 1 ? "" : "s"}`;
