import { MassUnit, toGrams } from "./mass";

/** An amount as typed, understood. */
export type Amount =
  | { status: "mass"; grams: number }
  | { status: "count"; count: number }
  | { status: "not understood"; sentence: string };

const UNIT_WORDS: Record<string, MassUnit> = {
  g: "g", gram: "g", grams: "g", kg: "kg", kilo: "kg", kilos: "kg", oz: "oz", ounce: "oz", ounces: "oz",
  lb: "lb", lbs: "lb", pound: "lb", pounds: "lb",
}; // prettier-ignore
const COUNT_WORDS = new Set([
  "",
  "piece",
  "pieces",
  "bunch",
  "bunches",
  "head",
  "heads",
  "ear",
  "ears",
  "leaf",
  "leaves",
]);

/**
 * Understands "2.3 kg", "1 lb 4 oz", "840g", "9", "9 pieces".
 *
 * @param text - as typed; a comma may stand for the decimal point
 * @returns grams, a whole count, or a sentence that says what is wrong
 */
export function readAmount(text: string): Amount {
  const wrong = (sentence: string): Amount => ({ status: "not understood", sentence });
  const tidy = text
    .trim()
    .toLowerCase()
    .replace(/−/g, "-")
    .replace(/(\d),(\d)/g, "$1.$2");
  if (!tidy) return wrong("Say how much, for example 840 g or 9.");
  const pairs = [...tidy.matchAll(/([-+]?\d+(?:\.\d+)?)\s*([a-z]*)/g)];
  if (
    pairs.length === 0 ||
    pairs
      .map((p) => p[0])
      .join(" ")
      .replace(/\s/g, "") !== tidy.replace(/\s/g, "")
  )
    return wrong(`“${text.trim()}” is not an amount. Write it like 840 g, 2 lb 3 oz or 9.`);
  let grams = 0;
  for (const [, digits = "", word = ""] of pairs) {
    const value = Number(digits);
    if (value < 0) return wrong("An amount cannot be below zero.");
    if (pairs.length === 1 && COUNT_WORDS.has(word)) {
      if (!Number.isInteger(value)) return wrong("Count whole pieces, or add a unit such as kg.");
      return { status: "count", count: value };
    }
    const unit = UNIT_WORDS[word];
    if (!unit) return wrong(`“${word || digits}” is not a unit known here. Use g, kg, oz or lb.`);
    grams += toGrams(value, unit);
  }
  return { status: "mass", grams };
}
