import { fromGrams, toGrams, type UnitSystem } from "~/core/units";

/** How a number with a unit of the data is written and read in a household of US units. */
interface InUs {
  unit: string;
  to: (value: number) => number;
  from: (value: number) => number;
}

const round = (value: number, digits: number) => Number(value.toFixed(digits));
const US: Record<string, InUs> = {
  "°C": { unit: "°F", to: (c) => round(c * 1.8 + 32, 1), from: (f) => round((f - 32) / 1.8, 2) },
  "°C·d": { unit: "°F·d", to: (d) => round(d * 1.8, 0), from: (d) => round(d / 1.8, 1) },
  mm: { unit: "in", to: (mm) => round(mm / 25.4, 2), from: (inches) => round(inches * 25.4, 1) },
  cm: { unit: "in", to: (cm) => round(cm / 2.54, 1), from: (inches) => round(inches * 2.54, 1) },
  g: { unit: "oz", to: (g) => round(fromGrams(g, "oz"), 2), from: (oz) => round(toGrams(oz, "oz"), 1) },
  "kg a season": { unit: "lb a season", to: (kg) => round(fromGrams(kg * 1000, "lb"), 2), from: (lb) => round(toGrams(lb, "lb") / 1000, 3) }, // prettier-ignore
  "hours below 7.2 °C": { unit: "hours below 45 °F", to: (h) => h, from: (h) => h },
  kg: { unit: "lb", to: (kg) => round(fromGrams(kg * 1000, "lb"), 2), from: (lb) => round(toGrams(lb, "lb") / 1000, 3) }, // prettier-ignore
  "m²": { unit: "sq ft", to: (m2) => round(m2 * 10.7639, 1), from: (ft2) => round(ft2 / 10.7639, 3) },
  "a metre": { unit: "a foot", to: (n) => round(n * 0.3048, 2), from: (n) => round(n / 0.3048, 2) },
};

/** A number of the data as the household writes it, with its unit. */
export function householdNumber(value: number, unit: string, units: UnitSystem): { value: number; unit: string } {
  const us = units === "us" ? US[unit] : undefined;
  return us ? { value: us.to(value), unit: us.unit } : { value, unit };
}

/** What the household typed, in the unit of the data; text that is no number is left as it is. */
export function dataNumber(typed: string, unit: string, units: UnitSystem): string {
  const us = units === "us" ? US[unit] : undefined;
  const number = Number(typed.trim().replace(",", ".").replace("−", "-"));
  return us && typed.trim() !== "" && Number.isFinite(number) ? String(us.from(number)) : typed;
}
