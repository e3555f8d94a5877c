import type { UnitSystem } from "./mass";

const METRES = { m: 1, ft: 0.3048 } as const;
const WORDS = /^(\d+(?:[.,]\d+)?)\s*(m|metres?|meters?|ft|foot|feet)?$/i;
/** Longest row that a home garden has, metres. */
export const LONGEST_ROW_M = 500;

/**
 * Understands a length of row: "2.5", "2,5 m", "8 ft". A bare number is in the household's unit.
 *
 * @returns metres, or a sentence that says what is wrong
 */
export function readRowLength(text: string, system: UnitSystem): number | string {
  const [, digits, unit] = WORDS.exec(text.trim()) ?? [];
  if (!digits) return `“${text.trim()}” is not a length of row. Write it like 2.5 m or 8 ft.`;
  const metric = unit ? unit.toLowerCase().startsWith("m") : system === "metric";
  const metres = Number(digits.replace(",", ".")) * (metric ? METRES.m : METRES.ft);
  if (metres < 0.1 || metres > LONGEST_ROW_M) return "A row is between 10 cm and 500 m long.";
  return Math.round(metres * 100) / 100;
}

/** Metres as the household writes them: metres, or feet. */
export function rowLengthIn(metres: number, system: UnitSystem): number {
  return system === "metric" ? Number(metres.toFixed(2)) : Number((metres / METRES.ft).toFixed(1));
}
