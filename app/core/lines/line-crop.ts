import type { Catalogue, Crop } from "../crops";
import { cropInWords, isVarietyName, plainName, type CropWords } from "./crop-words";
import { readLineAmount, type LineAmount } from "./line-amount";
import { isBedLike } from "./line-bed";
import type { LineWords } from "./variety-name";

/** Pieces between commas, semicolons, bars and dashes that stand apart; a comma inside a number parts nothing. */
export function piecesOf(text: string): string[] {
  return text
    .split(/(?<!\d),|,(?!\d)|[;|]|\s[-–—]\s(?!\d)|(?<=[a-z”"]):\s/i)
    .map((p) =>
      p
        .replace(/(?:^|\s+)(?:in|on|at|from|since|by|around|about|the|and|then|were|was|are|is|,)+$/i, "")
        .replace(/^(?:and|then|in|were|was)\s+/i, "")
        .replace(/^[\s():–-]+(?!\d)|^[\s():–]+|[\s(.]+$/g, "")
        .replace(/^([^(]*)\)$/, "$1"),
    ) // prettier-ignore
    .map((p) => p.trim())
    .filter((p) => /[\p{L}\p{N}]/u.test(p));
}

/** The piece of a line that names its crop. */
export interface LineCrop {
  at: number;
  /** Other pieces that were read with it. */
  with: readonly number[];
  amount: LineAmount;
  words: CropWords;
}

/** The piece that names the crop; what stands apart and tells its variety or its kind is read with it. */
export function cropOfPieces(catalogue: Catalogue, pieces: readonly string[], lore: LineWords): LineCrop {
  const read = pieces.map((piece, at): LineCrop => {
    const amount = amountAmong(piece, lore);
    return { at, with: [], amount, words: cropInWords(catalogue, amount.rest, lore) };
  });
  const isName = ({ words, amount }: LineCrop) => words.status === "one" && words.known !== undefined && isVariety(lore, amount.rest); // prettier-ignore
  const best = (["one", "several", "another plant", "nearly"] as const).map((s) => read.find((r) => r.words.status === s && !isName(r))).find(Boolean); // prettier-ignore
  const found = best ?? read.find((r) => r.words.status === "one") ?? read[0];
  if (!found) return { at: -1, with: [], amount: { status: "not told", rest: "" }, words: { status: "none" } };
  return read.reduce((sofar, other) => (other === found ? sofar : readWith(catalogue, sofar, other, lore)), found);
}

/** "garlic, hardneck", "Tomatoes: 4 Brandywine": a piece that narrows the crop is read in front of it. */
function readWith(catalogue: Catalogue, sofar: LineCrop, other: LineCrop, lore: LineWords): LineCrop {
  if (!["one", "several"].includes(sofar.words.status) || !other.amount.rest) return sofar;
  if (other.amount.status === "plants" && sofar.amount.status === "plants") return sofar;
  const words = cropInWords(catalogue, `${other.amount.rest} ${sofar.amount.rest}`, lore);
  if (words.status !== "one") return sofar;
  const was = sofar.words.status === "one" ? sofar.words.crop : undefined;
  const narrows = words.crop !== was && (words.variety === "" || words.known !== undefined || isKin(words.crop, was));
  const saysTheSame = words.crop === was && sofar.words.status === "one" && words.variety === sofar.words.variety;
  if (!narrows && !saysTheSame && !isVariety(lore, other.amount.rest)) return sofar;
  const amount = sofar.amount.status === "not told" && other.amount.status !== "not told" ? { ...other.amount, rest: sofar.amount.rest } : sofar.amount; // prettier-ignore
  return { ...sofar, with: [...sofar.with, other.at], amount, words };
}

const isKin = (a: Crop, b: Crop | undefined) => b !== undefined && a.family === b.family;
const isVariety = (lore: LineWords, text: string) => isVarietyName(lore.varieties, text);

/** How much; a number in the middle ("strawberries 24 Cambridge Favourite") too, where it is in no name. */
function amountAmong(piece: string, lore: LineWords): LineAmount {
  const amount = readLineAmount(piece);
  if (amount.status !== "not told" || lore.varieties.some((v) => /\d/.test(v.name) && plainName(piece).includes(plainName(v.name)))) return amount; // prettier-ignore
  const middle = /^(.*[\p{L}’”"')])\s+(?:[x×]\s*)?(\d{1,4})\s+(\D+)$/u.exec(piece);
  const count = middle && readLineAmount(middle[2]!);
  return middle && count?.status === "plants" ? { ...count, rest: `${middle[1]!} ${middle[3]!}` } : amount;
}

/** The crop that somebody chose stands, whatever the words leave open; they are its variety then. */
export function withChosen(what: LineCrop, catalogue: Catalogue, chosen: string | undefined): LineCrop {
  const crop = catalogue.find((c) => c.id === chosen);
  if (!crop || what.words.status === "another plant") return what;
  const variety = what.words.status === "none" ? what.amount.rest : what.words.variety;
  return { ...what, words: { status: "one", crop, variety, known: undefined } };
}

/** What the other pieces say: how much, the variety, the bed; another crop; or nothing that is known. */
export function leftovers(
  catalogue: Catalogue,
  pieces: readonly string[],
  what: LineCrop,
  bed: string | null,
  lore: LineWords,
) {
  let amount = what.amount;
  let variety = "";
  let place = bed;
  const left: string[] = [];
  const crops = what.words.status === "one" ? twoCrops(catalogue, what, lore) : [];
  pieces.forEach((piece, at) => {
    if (at === what.at || what.with.includes(at)) return;
    const much = readLineAmount(piece);
    const of = much.rest.replace(/\b(?:plants?|of them|each|in all|total|rows?|seeds?)\b/gi, "").trim();
    if (much.status !== "not told" && of === "" && ["not told", "open", "two ways"].includes(amount.status))
      amount = timesRows(much, amount);
    else if (isVariety(lore, much.rest) && much.status === "plants" && what.words.status === "one")
      crops.push(what.words.crop);
    else if (/^["“'‘].*["”'’]$/.test(piece) || /^(?:var(?:iety)?\.?|cv\.?|cultivar)\s/i.test(piece))
      variety = piece.replace(/["“”‘’']|^(?:var(?:iety)?\.?|cv\.?|cultivar)\s*/gi, ""); // prettier-ignore
    else if (!place && isBedLike(piece)) place = piece.replace(/^(?:in|at|on)\s+(?:the\s+)?/i, "");
    else {
      const other = cropInWords(catalogue, much.rest, lore);
      const bare = other.status === "one" && other.variety === "" && !other.known;
      if (other.status === "one" && (bare || much.status === "plants") && what.words.status === "one")
        crops.push(what.words.crop, other.crop);
      else if (other.status === "several" && other.variety === "" && what.words.status === "one")
        crops.push(what.words.crop, ...other.crops);
      else left.push(piece);
    }
  });
  return { amount, variety, bed: place, left, crops };
}

/** "2 rows of beans, 12 ft each": the length is that of one row. */
const timesRows = (much: LineAmount, was: LineAmount): LineAmount =>
  much.status === "row" && was.status === "open" ? { ...much, lengthM: Math.round(much.lengthM * was.rows * 100) / 100 } : much; // prettier-ignore

/** Two crops that an "and" joins: neither is the other's variety. */
function twoCrops(catalogue: Catalogue, { amount, words }: LineCrop, lore: LineWords): Crop[] {
  if (words.status !== "one" || (words.known && /\b(?:and|&)\b/i.test(words.known.name))) return [];
  const parts = amount.rest.split(/\s+(?:and|&|\+|plus)\s+/i);
  const found = parts.map((p) => cropInWords(catalogue, readLineAmount(p).rest, lore));
  const crops = found.flatMap((f) => (f.status === "one" ? [f.crop] : []));
  return parts.length > 1 && crops.length === parts.length && new Set(crops).size > 1 ? crops : [];
}
