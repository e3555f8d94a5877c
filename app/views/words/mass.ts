import { fromGrams, type UnitSystem } from "~/core/units";

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

/** What came of a pick: "9, 840 g", "about 2 kg". */
export function sayAmount(
  { grams, pieces, estimated }: { grams: number | null; pieces: number | null; estimated: boolean },
  system: UnitSystem,
): string {
  const parts = [pieces === null ? "" : String(pieces), grams === null ? "" : sayMass(grams, system)].filter(Boolean);
  return parts.length > 0 ? `${estimated ? "about " : ""}${parts.join(", ")}` : "";
}
