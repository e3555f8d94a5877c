import { fromGrams, toGrams, type UnitSystem } from "~/core/units";

/** A mass as it is said: "840 g", "2.3 kg", "1 lb 14 oz". */
export function sayMass(grams: number, system: UnitSystem): string {
  if (system === "metric") {
    if (Math.abs(grams) < 999.5) return `${Math.round(grams)} g`;
    const kg = grams / 1000;
    return `${kg.toFixed(kg < 9.95 ? 2 : 1).replace(/\.?0+$/, "")} kg`;
  }
  const ounces = Math.round(fromGrams(grams, "oz"));
  if (Math.abs(ounces) < 16) return `${ounces} oz`;
  const rest = ounces % 16;
  return `${Math.trunc(ounces / 16)} lb${rest ? ` ${rest} oz` : ""}`;
}

const stepOfGrams = (grams: number) => (grams < 200 ? 10 : grams < 1000 ? 50 : grams < 10_000 ? 100 : 500);
const stepOfOunces = (ounces: number) => (ounces < 8 ? 1 : ounces < 16 ? 2 : ounces < 80 ? 8 : 16);

/** A mass that is only expected, not said to the gram nor to the ounce: "850 g", "1 lb 8 oz"; never nothing. */
export function sayRoughly(grams: number, system: UnitSystem): string {
  const step = system === "metric" ? stepOfGrams(grams) : stepOfOunces(fromGrams(grams, "oz")) * toGrams(1, "oz");
  return sayMass(Math.max(1, Math.round(grams / step)) * step, system);
}

/** What came of a pick: "9, 840 g", "about 2 kg". */
export function sayAmount(
  { grams, pieces, estimated }: { grams: number | null; pieces: number | null; estimated: boolean },
  system: UnitSystem,
): string {
  const parts = [pieces === null ? "" : String(pieces), grams === null ? "" : sayMass(grams, system)].filter(Boolean);
  return parts.length > 0 ? `${estimated ? "about " : ""}${parts.join(", ")}` : "";
}
