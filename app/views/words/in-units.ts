import { fromGrams, type UnitSystem } from "~/core/units";
import { sayMass } from "./mass";
import { sayLength, sayLengths } from "./measures";

const N = String.raw`[−-]?\d+(?:\.\d+)?`;
const TO = String.raw`(?:–| to | and |-)`;
const number = (text: string) => Number(text.replace("−", "-"));
const minus = (value: number) => (value < 0 ? `−${Math.abs(value)}` : String(value));
const fahrenheit = (text: string) => minus(Math.round(number(text) * 1.8 + 32));
const FEET_M = 0.3048;
const feet = (metres: number) => (metres < 1 ? sayLength(metres * 1000, "us") : `${Number((metres / FEET_M).toFixed(metres < 3 ? 1 : 0))} ft`); // prettier-ignore
const quarts = (litres: number) => `${Number((litres / 0.946352946).toFixed(1))} quart${litres < 1.2 ? "" : "s"}`;
const grams = (text: string, unit: string) => number(text) * (unit === "kg" ? 1000 : 1);
/** A light thing in ounces: under an ounce in tenths. */
const mass = (g: number) => (g > 0 && g < 28 ? `${Number(fromGrams(g, "oz").toPrecision(1))} oz` : sayMass(g, "us"));

const MONTH = "(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)(?:uary|ruary|ch|il|e|y|ust|tember|ober|ember)?";

const RULES: readonly [RegExp, (...m: string[]) => string][] = [
  [re(`(${N})(${TO})(${N}) ?°C (colder|warmer)`), (_, a, to, b, how) => `${Math.round(number(a!) * 1.8)}${to}${Math.round(number(b!) * 1.8)} °F ${how}`], // prettier-ignore
  [re(`(${N}) ?°C (colder|warmer)`), (_, a, how) => `${Math.round(number(a!) * 1.8)} °F ${how}`],
  [re(`jumping (${N}) ?°C`), (_, a) => `jumping ${Math.round(number(a!) * 1.8)} °F`],
  [re(`(${N})(${TO})(${N}) ?°C`), (_, a, to, b) => `${fahrenheit(a!)}${to}${fahrenheit(b!)} °F`],
  [re(`(${N}) ?°C(?!·)`), (_, a) => `${fahrenheit(a!)} °F`],
  [re(`(${N}) in a metre of row`), (_, n) => `${Number((number(n!) * FEET_M).toPrecision(2))} in a foot of row`],
  [re(`(${N})(–| to )(${N}) mm`), (_, a, to, b) => sayLengths(number(a!), number(b!), to!)],
  [re(`(${N}) mm`), (_, a) => sayLength(number(a!), "us")],
  [re(`(${N})(–| to )(${N}) cm`), (_, a, to, b) => sayLengths(number(a!) * 10, number(b!) * 10, to!)],
  [re(`(${N}) cm`), (_, a) => sayLength(number(a!) * 10, "us")],
  [re(`(${N})(–| to )(${N}) (?:m|metres)`), (_, a, to, b) => `${feet(number(a!)).replace(/ ft$/, "")}${to}${feet(number(b!))}`], // prettier-ignore
  [re(`(${N}) (?:m|metres?)`), (_, a) => feet(number(a!))],
  [re(`(${N})(–| to )(${N}) (kg|g)`), (_, a, to, b, unit) => `${mass(grams(a!, unit!))}${to === "–" ? " to " : to}${mass(grams(b!, unit!))}`], // prettier-ignore
  [re(`(${N}) ?(kg|g)`), (_, a, unit) => mass(grams(a!, unit!))],
  [re(`(${N}) km/h`), (_, a) => `${Math.round(number(a!) / 1.609344)} mph`],
  [re(`(${N}) (?:km)`), (_, a) => `${Math.round(number(a!) / 1.609344)} miles`],
  [re(`(${N}) (?:litres?|l)`), (_, a) => quarts(number(a!))],
  [re(String.raw`(\d{1,2})(–| to )(\d{1,2}) (${MONTH})`), (_, a, to, b, month) => `${month} ${a}${to}${b}`],
  [re(String.raw`(\d{1,2}) (${MONTH})(?: (\d{4}))?`), (_, day, month, year) => `${month} ${day}${year && year !== "undefined" ? `, ${year}` : ""}`], // prettier-ignore
];

function re(pattern: string): RegExp {
  return new RegExp(`(?<![\\w.])${pattern}(?![\\w/²])`, "g");
}

/**
 * Words in the household's units and order of day and month: "18–21 °C" → "64–70 °F", "20 May 2026" → "May 20, 2026".
 *
 * @param text - of the crops' data, which measures in metric units
 */
export function sayInUnits(text: string, units: UnitSystem): string {
  if (units === "metric" || !/\d/.test(text)) return text;
  return RULES.reduce(
    (said, [pattern, say]) => said.replace(pattern, (...m: unknown[]) => say(...m.map(String))),
    text,
  );
}

/** Parts that are no words: numbers of data, sources, what somebody typed. */
const NO_WORDS = new Set(["id", "path", "standing", "kind", "unit", "value", "name", "varieties", "at", "bed", "bedName", "variety", "note", "notes"]); // prettier-ignore

/** The same for every text of a page's data. */
export function inUnits<T>(value: T, units: UnitSystem): T {
  if (units === "metric") return value;
  if (typeof value === "string") return sayInUnits(value, units) as T;
  if (Array.isArray(value)) return value.map((v: unknown) => inUnits(v, units)) as T;
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, NO_WORDS.has(key) ? (v as unknown) : inUnits(v as unknown, units)])) as T; // prettier-ignore
}
