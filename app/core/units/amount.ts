import { MassUnit, toGrams } from "./mass";
import { NUMBER_WORD, numberOf } from "./number-words";

/** An amount as typed, understood; `about` where it was told as a guess. */
export type Amount =
  | { status: "mass"; grams: number; about: boolean }
  | { status: "count"; count: number; about: boolean }
  /** A measure of room: what it weighs hangs on the crop. */
  | { status: "volume"; litres: number; about: boolean }
  | { status: "not understood"; sentence: string };

const MASS_WORDS: Record<string, MassUnit> = {
  g: "g", gr: "g", gram: "g", grams: "g", gramme: "g", grammes: "g", kg: "kg", kgs: "kg", kilo: "kg", kilos: "kg",
  kilogram: "kg", kilograms: "kg", oz: "oz", ounce: "oz", ounces: "oz", lb: "lb", lbs: "lb", pound: "lb", pounds: "lb",
}; // prettier-ignore
/** Litres in a measure: the US quart is 57.75 cubic inches, the inch 25.4 mm (exact). */
const LITRES: Record<string, number> = { l: 1, litre: 1, litres: 1, liter: 1, liters: 1, ml: 0.001, quart: 0.946352946, quarts: 0.946352946, qt: 0.946352946, pint: 0.473176473, pints: 0.473176473, gallon: 3.785411784, gallons: 3.785411784 }; // prettier-ignore
const COUNT_WORDS =
  /^(?:|pieces?|bunch(?:es)?|heads?|ears?|leaf|leaves|punnets?|pods?|stems?|bulbs?|roots?|fruits?|stalks?|cloves?|pcs?|of them|in all)$/;
/** What follows a whole unit without one of its own: "1 lb 8", "2 kg 300". */
const NEXT: Partial<Record<MassUnit, MassUnit>> = { lb: "oz", kg: "g" };
const FRACTIONS: Record<string, number> = { "½": 0.5, "¼": 0.25, "¾": 0.75, "⅓": 1 / 3, "⅔": 2 / 3, "⅛": 0.125, half: 0.5, "half a": 0.5, "a half": 0.5, "a quarter": 0.25, "a quarter of a": 0.25, "three quarters of a": 0.75 }; // prettier-ignore
const ABOUT =
  /^(?:about|around|approx(?:imately|\.)?|roughly|some|circa|c\.|ca\.?|~|≈|nearly|almost|maybe|a good|a bit (?:over|under))\s*/;
const STATE = /\s+(?:shelled|podded|trimmed|peeled|cleaned|net|or so|ish|in all|worth)$/;
const NUMBER = String.raw`(?:\d+\s*[½¼¾⅓⅔⅛]|\d+\s+\d+\/\d+|\d+\/\d+|\d[\d.,]*|[½¼¾⅓⅔⅛]|${NUMBER_WORD}|three quarters of a|a quarter of a|a quarter|half an?|a half|half|an?)`; // prettier-ignore

/** Said where room was told and a weight is needed. */
export const NO_VOLUME =
  "How much that weighs hangs on the crop: weigh it, or say about how much it weighs, like “about 1 kg”.";

const wrong = (sentence: string): Amount => ({ status: "not understood", sentence });

/**
 * Understands an amount in words: "2.3 kg", "1 lb 8", "½ lb", "a pound", "about 2 kg", "6–7 lb", "1,200 g", "9",
 * "a dozen", "2 bunches", "3 quarts".
 *
 * @param text - as typed; a comma before one or two digits is a decimal one, before three it parts thousands
 * @returns grams, a whole count, litres, or a sentence that says or asks what is open
 */
export function readAmount(text: string): Amount {
  const shown = text.trim();
  const plain = shown.toLowerCase().replace(/−/g, "-").replace(/\s+/g, " ").replace(/\.$/, "").replace(STATE, "").replace(/(\d)ish\b/, "$1"); // prettier-ignore
  if (!plain) return wrong("Say how much, for example 840 g or 9.");
  const about = ABOUT.test(plain) || /(?:or so|ish)$/i.test(shown);
  const words = plain.replace(ABOUT, "");
  if (/^-/.test(words)) return wrong("An amount cannot be below zero.");
  const range = new RegExp(String.raw`^(${NUMBER})\s*(?:-|–|to|or)\s*(${NUMBER})(\s.*|[a-z].*)?$`).exec(words);
  if (range) return middleOf(shown, range[1]!, range[2]!, range[3] ?? "");
  const read = readParts(shown, words);
  return read.status === "not understood" ? read : { ...read, about };
}

/** "6–7 lb": the middle, and a guess. */
function middleOf(shown: string, low: string, high: string, rest: string): Amount {
  const [a, b] = [readParts(shown, `${low} ${rest.trim()}`.trim()), readParts(shown, `${high} ${rest.trim()}`.trim())];
  if (a.status === "mass" && b.status === "mass") return { status: "mass", grams: (a.grams + b.grams) / 2, about: true }; // prettier-ignore
  if (a.status === "count" && b.status === "count") return { status: "count", count: Math.round((a.count + b.count) / 2), about: true }; // prettier-ignore
  if (a.status === "volume" && b.status === "volume") return { status: "volume", litres: (a.litres + b.litres) / 2, about: true }; // prettier-ignore
  return a.status === "not understood" ? a : b;
}

function readParts(shown: string, words: string): Amount {
  const pairs = [...words.matchAll(new RegExp(String.raw`\s*(?:and\s+)?(${NUMBER})\s*([a-z]+(?: (?:them|all))?\.?)?`, "gy"))]; // prettier-ignore
  if (pairs.length === 0 || pairs.map((p) => p[0]).join("").length !== words.length)
    return wrong(`“${shown}” is not an amount. Write it like 840 g, 2 lb 3 oz or 9.`);
  let grams = 0;
  let last: MassUnit | undefined;
  for (const [, digits = "", typed = ""] of pairs) {
    const word = typed.replace(/\.$/, "");
    const value = valueOf(digits, word);
    if (typeof value === "string") return wrong(value);
    if (pairs.length === 1 && COUNT_WORDS.test(word))
      return Number.isInteger(value) ? { status: "count", count: value, about: false } : wrong("Count whole pieces, or add a unit such as kg."); // prettier-ignore
    if (pairs.length === 1 && LITRES[word] !== undefined) return { status: "volume", litres: value * LITRES[word], about: false }; // prettier-ignore
    const unit: MassUnit | undefined = MASS_WORDS[word] ?? (word === "" && last ? NEXT[last] : undefined);
    if (!unit) return wrong(`“${word || digits}” is not a unit known here. Use g, kg, oz or lb.`);
    grams += toGrams(value, unit);
    last = unit;
  }
  return { status: "mass", grams, about: false };
}

/** A number as typed; a question where its commas and points may be read in two ways. */
function valueOf(digits: string, unit: string): number | string {
  const mixed = /^(\d+)?\s*(?:([½¼¾⅓⅔⅛])|(\d+)\/(\d+))$/.exec(digits);
  if (mixed) return Number(mixed[1] ?? 0) + (mixed[2] ? FRACTIONS[mixed[2]]! : Number(mixed[3]) / Number(mixed[4]));
  const named = FRACTIONS[digits.replace(/\ban$/, "a")];
  if (named !== undefined) return named;
  if (/^an?$/.test(digits)) return 1;
  if (!/^\d/.test(digits)) return numberOf(digits) ?? `“${digits}” is not a number.`;
  const shown = `${digits}${unit ? ` ${unit}` : ""}`;
  if (/,/.test(digits) && /\./.test(digits)) return `Does “${shown}” mean thousands or a decimal? Write it without the thousands’ mark, like 1200.5.`; // prettier-ignore
  if (/^\d{1,3}(?:,\d{3})+$/.test(digits))
    return unit === "kg" || unit === "lb" ? `Is “${shown}” ${digits.replace(/,/g, "")} ${unit} or ${digits.replace(",", ".")} ${unit}? Write it without the comma.` : Number(digits.replace(/,/g, "")); // prettier-ignore
  const plain = digits.replace(",", ".");
  return /^\d+(?:\.\d+)?$/.test(plain) ? Number(plain) : `“${digits}” is not a number.`;
}
