import { z } from "zod";
import { Standing } from "./standing";

/** A way of doing it that good gardeners differ on: it may move the prime window, never the evidence. */
export const School = z
  .object({
    /** Number in the handbook's list of schools. */
    no: z.number().int().positive(),
    id: z.string().regex(/^[a-z_]+$/),
    question: z.string(),
    /** Ids of the crops it is a question of. */
    crops: z.array(z.string()).min(1),
    options: z
      .array(
        z.object({
          id: z.string(),
          label: z.string(),
          /** Where prime opens and closes, as shares of the base window: 0 opens with it, 1 is its close. */
          window: z.object({ opens: z.number(), closes: z.number() }).optional(),
          /** How it is taken, when this way is chosen. */
          taking: z.enum(["all at once", "as needed", "in passes"]).optional(),
          /** Whether it is thinned by taking the biggest, when this way is chosen. */
          thins: z.boolean().optional(),
          /** Whether green ones come in too before it would be lost, when this way is chosen. */
          greenToo: z.boolean().optional(),
          /** Said with how to take it, when this way is chosen. */
          advice: z.string().optional(),
          /** Said of what follows the pick, when this way is chosen. */
          after: z.string().optional(),
          /** What of the usual words does not go with this way: clauses that hold one of these are left out. */
          drops: z.array(z.string().min(3)).default([]),
        }),
      )
      .min(2),
    usual: z.string(),
    why: z.string(),
    standing: Standing,
  })
  .refine((s) => s.options.some((o) => o.id === s.usual), "the usual way is none of the options");
export type School = z.infer<typeof School>;
