import type { Crop } from "~/core/crops";
import { isCounted } from "~/core/garden";
import { doubtRange } from "~/core/life";
import type { UnitSystem } from "~/core/units";
import { sayRoughly } from "./mass";

/** Expected pieces as they are said: "9", "12 leaves" or "2.6 kg". Small amounts never round to nothing. */
export function sayPieces(crop: Crop, pieces: number, system: UnitSystem): string {
  if (isCounted(crop)) {
    const count = Math.max(1, Math.round(pieces));
    return `${count} ${count === 1 ? crop.piece.one : crop.piece.many}`;
  }
  return sayRoughly(pieces * crop.pieceGrams.value, system);
}

/** Two amounts as a range: "2 to 5 kg", "31 to 77 courgettes", "840 g to 1.2 kg", "9 oz to 1 lb 8 oz"; one where both are alike. */
export function between(least: string, most: string): string {
  if (least === most) return `about ${least}`;
  const ONE_UNIT = /^([^ ]+) ([^ ]+)$/;
  const [few, many] = [ONE_UNIT.exec(least), ONE_UNIT.exec(most)];
  return few && many && few[2] === many[2] ? `${few[1]} to ${most}` : `${least} to ${most}`;
}

/** Doubt under which one number is enough: our judgement. */
const SURE = 0.2;

/**
 * An expected amount with its doubt: "2 to 5 kg", "8 to 20 pods"; "about 2.6 kg" where it is well known.
 *
 * @param doubt - standard deviation of its logarithm
 */
export function sayExpected(crop: Crop, pieces: number, doubt: number, system: UnitSystem): string {
  const { low, high } = doubtRange(pieces, doubt);
  if (doubt < SURE) return `about ${sayPieces(crop, pieces, system)}`;
  if (isCounted(crop)) {
    const [few, many] = [Math.max(1, Math.round(low)), Math.max(1, Math.round(high))];
    return few === many ? `about ${sayPieces(crop, few, system)}` : `${few} to ${many} ${crop.piece.many}`;
  }
  return between(sayPieces(crop, low, system), sayPieces(crop, high, system));
}

/** Small numbers in words, "two"; larger in figures. */
export function sayCount(count: number): string {
  return ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine"][count] ?? String(count);
}

/** "1 planting", "3 plantings". */
export const counted = (count: number, what: string) => `${count} ${what}${count === 1 ? "" : "s"}`;
