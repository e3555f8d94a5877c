import { z } from "zod";

/** Containers of one kind on the scale together. */
export const Containers = z.object({ count: z.number().int().min(0), tareGrams: z.number().min(0) });
export type Containers = z.infer<typeof Containers>;

export type NetWeight = { status: "ok"; grams: number } | { status: "impossible"; sentence: string };

/** More than this in one weighing of a home garden is a slip of the finger: our judgement. */
const MOST_GRAMS = 200_000;

/**
 * Net = gross − Σ tare × count.
 *
 * @param grossGrams - reading of the scale, g
 * @param containers - what stood on it, empty weights in g
 * @returns net grams, or a sentence for the gardener
 */
export function netWeight(grossGrams: number, containers: readonly Containers[]): NetWeight {
  const impossible = (sentence: string): NetWeight => ({ status: "impossible", sentence });
  if (!Number.isFinite(grossGrams)) return impossible("That weight is not a number.");
  if (grossGrams < 0) return impossible("A weight cannot be below zero.");
  if (grossGrams > MOST_GRAMS) return impossible("More than 200 kg in one weighing: check the unit.");
  const tare = containers.reduce((sum, c) => sum + c.count * c.tareGrams, 0);
  if (tare > grossGrams)
    return impossible("The empty container weighs more than the whole. Check the gross weight and the tare.");
  if (grossGrams - tare < 1)
    return impossible("Nothing is left once the container is taken off. Weigh at least 1 g, or leave the weight out.");
  return { status: "ok", grams: grossGrams - tare };
}
