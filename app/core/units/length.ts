import type { UnitSystem } from "./mass";

/** A length as typed in the household's unit (mm, or inches), in mm. */
export function fromLength(value: number, system: UnitSystem): number {
  return system === "metric" ? value : value * 25.4;
}
