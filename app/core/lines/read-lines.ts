import type { Catalogue } from "../crops";
import { bedHeading, isBedLike } from "./line-bed";
import type { LineSetting, ReadLine, TypedLine } from "./line-reading";
import { readLine } from "./read-line";
import type { LineWords } from "./variety-name";

/**
 * Understands lines of a whole garden. A bed's heading ("Bed 4:") stands for the lines below it that name no bed of
 * their own.
 *
 * @param lines - as typed, with what was answered to them; empty ones are answered too
 * @returns one answer a line, in their order
 */
export function readLines(
  catalogue: Catalogue,
  lines: readonly TypedLine[],
  setting: LineSetting,
  lore: LineWords,
): ReadLine[] {
  // prettier-ignore
  let bed: string | null = null;
  return lines.map(({ text, ...answers }) => {
    const heading = bedHeading(text);
    const read = readLine(catalogue, text, setting, lore, answers);
    if (heading !== undefined && (isBedLike(heading) || (read.cropId === null && read.options.length === 0))) {
      bed = heading;
      return { ...read, status: "understood", cropId: null, options: [], variety: "", plants: null, asks: [], left: [], bed, heading: true, sentence: `What follows stands in ${heading}.` }; // prettier-ignore
    }
    if (read.bed !== null || bed === null || read.status === "refused") return read;
    return { ...read, bed, sentence: read.status === "understood" ? read.sentence.replace(/\.$/, `, in ${bed}.`) : read.sentence }; // prettier-ignore
  });
}
