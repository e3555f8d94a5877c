import { readRowLength } from "../units";

/** How many, as a line begins (or ends): plants, metres of row, or nothing of it. */
export type HowMany =
  | { status: "told"; plants: number; lengthM: number | null; rest: string }
  | { status: "row of unknown length"; rest: string }
  | { status: "not told"; rest: string }
  | { status: "wrong"; sentence: string };

const WORDS: Record<string, number> = { one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12, thirteen: 13, fourteen: 14, fifteen: 15, sixteen: 16, eighteen: 18, twenty: 20, thirty: 30, forty: 40, fifty: 50, sixty: 60, "half a dozen": 6, "a dozen": 12, "a couple": 2, "two dozen": 24, "three dozen": 36 }; // prettier-ignore
const WORD = Object.keys(WORDS).sort((a, b) => b.length - a.length).join("|"); // prettier-ignore
const MOST = 5000;

/** Reads how many from what a line says of the crop; the rest of the words is what they are of. */
export function readHowMany(what: string): HowMany {
  const row = /^(\d+(?:[.,]\d+)?\s*(?:m|metres?|meters?|ft|foot|feet))\s+(?:row\s+)?(?:of\s+)?(.+)$/i.exec(what);
  if (row) {
    const lengthM = readRowLength(row[1]!, "metric");
    if (typeof lengthM === "string") return { status: "wrong", sentence: lengthM };
    return { status: "told", plants: 1, lengthM, rest: row[2]! };
  }
  const before = /^(-?\d+(?:\.\d+)?)\s*(?:x|×|plants?(?:\s+of)?)?\s*(\D.*)$/i.exec(what);
  const after = /^(.*\D)\s*[x×]\s*(\d+)$/i.exec(what);
  const named = new RegExp(`^(${WORD})\\s+(?:of\\s+)?(.+)$`, "i").exec(what);
  const [number, rest] = before ? [Number(before[1]), before[2]!] : after ? [Number(after[2]), after[1]!.trim()] : named ? [WORDS[named[1]!.toLowerCase()]!, named[2]!] : [undefined, what]; // prettier-ignore
  if (number === undefined)
    return /^(?:a\s+|one\s+)?rows?\s+of\s+/i.test(rest)
      ? { status: "row of unknown length", rest: rest.replace(/^(?:a\s+|one\s+)?rows?\s+of\s+/i, "") }
      : { status: "not told", rest };
  if (!Number.isInteger(number) || number < 1 || number > MOST)
    return { status: "wrong", sentence: `${number} is not a number of plants. Use a whole number from 1 to 5000.` };
  return { status: "told", plants: number, lengthM: null, rest };
}
