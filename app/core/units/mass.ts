import { z } from "zod";

export const MassUnit = z.enum(["g", "kg", "oz", "lb"]);
export type MassUnit = z.infer<typeof MassUnit>;

export const UNIT_SYSTEMS = ["metric", "us"] as const;
export const UnitSystem = z.enum(UNIT_SYSTEMS);
export type UnitSystem = z.infer<typeof UnitSystem>;

/** Grams in one unit. The pound is exact: international yard and pound agreement, 1959. */
const GRAMS: Record<MassUnit, number> = { g: 1, kg: 1000, oz: 453.59237 / 16, lb: 453.59237 };

/**
 * A mass in grams.
 *
 * @param value - in `unit`
 * @throws {RangeError} when not finite
 */
export function toGrams(value: number, unit: MassUnit): number {
  if (!Number.isFinite(value)) throw new RangeError(`value: ${value} is not a mass`);
  return value * GRAMS[unit];
}

/** A mass in `unit` from grams. */
export function fromGrams(grams: number, unit: MassUnit): number {
  return grams / GRAMS[unit];
}
