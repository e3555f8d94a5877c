import type { UnitSystem } from "~/core/units";

const INCH_MM = 25.4;
const SIXTEENTHS = [
  "",
  "1/16",
  "⅛",
  "3/16",
  "¼",
  "5/16",
  "⅜",
  "7/16",
  "½",
  "9/16",
  "⅝",
  "11/16",
  "¾",
  "13/16",
  "⅞",
  "15/16",
];
/** A length is written in the coarsest parts of an inch that are not further off than this. */
const NEAR_ENOUGH = 0.06;
const PARTS = [4, 8, 16];

function inches(sixteenths: number): string {
  const whole = Math.floor(sixteenths / 16) || "";
  const part = SIXTEENTHS[sixteenths % 16]!;
  return `${whole}${whole && part.includes("/") ? " " : ""}${part}`;
}

/** Sixteenths of an inch, rounded to parts of it. */
const inParts = (mm: number, parts: number) => Math.max(16 / parts, Math.round((mm / INCH_MM) * parts) * (16 / parts));

function sixteenthsOf(mm: number): number {
  const near = PARTS.find((p) => Math.abs((inParts(mm, p) * INCH_MM) / 16 - mm) <= NEAR_ENOUGH * mm);
  return inParts(mm, near ?? 16);
}

/** A length as it is said: "150 mm", or in quarters of an inch, finer where it is small: "6 in", "1 ¾ in", "5/16 in". */
export function sayLength(mm: number, system: UnitSystem): string {
  return system === "metric" ? `${Math.round(mm)} mm` : `${inches(sixteenthsOf(mm))} in`;
}

/** Two lengths in inches that stay apart, however near they are: "¼–5/16 in". */
export function sayLengths(lowMm: number, highMm: number, joint = "–"): string {
  const parts = PARTS.find((p) => inParts(lowMm, p) < inParts(highMm, p) && Math.abs((inParts(lowMm, p) * INCH_MM) / 16 - lowMm) <= 2 * NEAR_ENOUGH * lowMm) ?? 16; // prettier-ignore
  const low = inParts(lowMm, parts);
  return `${inches(low)}${joint}${inches(Math.max(low + 16 / parts, inParts(highMm, parts)))} in`;
}

/** A temperature as it is said: "−1°", "30 °F" style only for US households. */
export function sayTemperature(celsius: number, system: UnitSystem): string {
  const value = Math.round(system === "metric" ? celsius : (celsius * 9) / 5 + 32);
  return `${value < 0 ? "−" : ""}${Math.abs(value)}°`;
}

/** A difference of temperature as it is said: "2 °C", "4 °F". */
export function sayDegrees(differenceC: number, system: UnitSystem): string {
  return system === "metric" ? `${Number(differenceC.toFixed(1))} °C` : `${Math.round(differenceC * 1.8)} °F`;
}

/** Rain as it is said: "7.7 mm", "0.30 in"; under a tenth of a millimetre it is dry. */
export function sayRain(mm: number, system: UnitSystem): string {
  if (mm < 0.1) return "dry";
  return system === "metric" ? `${mm.toFixed(mm < 10 ? 1 : 0)} mm` : `${(mm / 25.4).toFixed(2)} in`;
}

/** Wind as it is said: "52 km/h", "32 mph". */
export function sayWind(kmh: number, system: UnitSystem): string {
  return system === "metric" ? `${Math.round(kmh)} km/h` : `${Math.round(kmh / 1.609344)} mph`;
}
