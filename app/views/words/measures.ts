import type { UnitSystem } from "~/core/units";

/** A length as it is said: "150 mm", or to the nearest quarter inch "6 in", "1¾ in". */
export function sayLength(mm: number, system: UnitSystem): string {
  if (system === "metric") return `${Math.round(mm)} mm`;
  const quarters = Math.max(1, Math.round((mm / 25.4) * 4));
  const whole = Math.floor(quarters / 4);
  const part = ["", "¼", "½", "¾"][quarters % 4] ?? "";
  return `${whole || ""}${part} in`;
}

/** Millimetres in a reading's own words, turned into the household's units: "20–35 mm" → "¾–1½ in". */
export function sayReadingText(text: string, system: UnitSystem): string {
  if (system === "metric") return text;
  return text
    .replace(
      /(\d+)–(\d+) mm/g,
      (_, a: string, b: string) => `${sayLength(+a, "us").replace(" in", "")}–${sayLength(+b, "us")}`,
    )
    .replace(/(\d+) mm/g, (_, a: string) => sayLength(+a, "us"));
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
