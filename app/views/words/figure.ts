import { fromGrams, type Figure, type UnitSystem } from "~/core/units";
import { sayMass } from "./mass";
import { sayLength, sayLengths } from "./measures";

const FOOT_M = 0.3048;
/** Lengths from here on are said in feet: our judgement. */
const FEET_FROM_CM = 120;
const MILE_KM = 1.609344;
const QUART_L = 0.946352946;

const minus = (value: number) => (value < 0 ? `−${Math.abs(value)}` : String(value));
const fahrenheit = (celsius: number) => minus(Math.round(celsius * 1.8 + 32));
const feet = (metres: number) => (metres < 1 ? sayLength(metres * 1000, "us") : `${Number((metres / FOOT_M).toFixed(metres < 3 ? 1 : 0))} ft`); // prettier-ignore
/** A light thing in ounces: under an ounce in tenths. */
const mass = (g: number) => (g > 0 && g < 28 ? `${Number(fromGrams(g, "oz").toPrecision(1))} oz` : sayMass(g, "us"));
const quarts = (litres: number) => `${Number((litres / QUART_L).toFixed(1))} quart${litres < 1.2 ? "" : "s"}`;

/** Two numbers in one unit: "64–70 °F", "0.2 oz to 0.6 oz" where each has its own. */
function both({ low, high, joint }: Figure, say: (value: number) => string): string {
  if (high === null) return say(low);
  const [a, b] = [say(low), say(high)];
  const unit = / [^ \d]+$/.exec(b)?.[0] ?? "";
  if (unit && a.endsWith(unit) && a.split(" ").length === 2) return `${a.slice(0, -unit.length)}${joint}${b}`;
  return `${a}${joint === "–" ? " to " : joint}${b}`;
}

function lengths({ low, high, joint }: Figure, mm: number): string {
  return high === null ? sayLength(low * mm, "us") : sayLengths(low * mm, high * mm, joint);
}

const IN_US: Record<Figure["unit"], (figure: Figure) => string> = {
  "°C": (f) => f.step ? `${both(f, (c) => `${Math.round(c * 1.8)} °F`)} ${f.step}` : both(f, (c) => `${fahrenheit(c)} °F`), // prettier-ignore
  mm: (f) => lengths(f, 1),
  cm: (f) => (f.low >= FEET_FROM_CM ? both({ ...f, low: f.low / 100, high: f.high && f.high / 100 }, feet) : lengths(f, 10)), // prettier-ignore
  m: (f) => both(f, feet),
  km: (f) => both(f, (km) => `${Math.round(km / MILE_KM)} miles`),
  "km/h": (f) => both(f, (kmh) => `${Math.round(kmh / MILE_KM)} mph`),
  kg: (f) => both(f, (kg) => mass(kg * 1000)),
  g: (f) => both(f, mass),
  litre: (f) => both(f, quarts),
};

/** How dense a row stands: "25 in a metre of row", "7.6 in a foot of row"; of trees and bushes, "one every 4 m". */
export function inARow(aMetre: number, units: UnitSystem): string {
  if (aMetre < 1) return `one every ${units === "metric" ? `${Number((1 / aMetre).toFixed(1))} m` : feet(1 / aMetre)}`;
  return units === "metric"
    ? `${Number(aMetre.toFixed(1))} in a metre of row`
    : `${Number((aMetre * FOOT_M).toPrecision(2))} in a foot of row`;
}

/** A figure in the household's units: "80–120 mm", "3⅛–4¾ in"; metric ones as they are written. */
export function sayFigure(units: UnitSystem): (figure: Figure, written: string) => string {
  return units === "metric" ? (_, written) => written : (figure) => IN_US[figure.unit](figure);
}
