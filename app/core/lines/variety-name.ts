import { z } from "zod";
import { Standing } from "../crops";

/** A variety that gardeners name, of one crop: what is known of it. */
export const VarietyName = z.object({
  name: z.string().min(2),
  cropId: z.string(),
  /** Colour when ripe, where it differs from the usual one. */
  colour: z.string().optional(),
  packet: z
    .object({ low: z.number().int().min(10), high: z.number().int().max(900) })
    .refine((p) => p.low <= p.high, "the later day is before the earlier one")
    .optional(),
  sizeMm: z
    .object({ low: z.number().positive(), high: z.number().positive() })
    .refine((s) => s.low < s.high, "the sizes are not in order")
    .optional(),
  /** An ordinary word, or a name of people's: only read beside its crop. */
  needsCrop: z.boolean().optional(),
  standing: Standing,
});
export type VarietyName = z.infer<typeof VarietyName>;

/** What lines are read with. */
export interface LineWords {
  varieties: readonly VarietyName[];
  /** Names that end or begin with a crop’s noun and are plants of their own, which the catalogue does not have. */
  otherPlants: readonly string[];
}
