import { z } from "zod";
import { Cue } from "./crop";

/** A cue that many crops are read by alike: of what stands, or of what was lifted. */
export const SharedCue = z.object({
  /** Ids of the crops it fits. */
  crops: z.array(z.string()).min(1),
  of: z.enum(["standing", "lifted"]).default("standing"),
  cue: Cue,
});
export type SharedCue = z.infer<typeof SharedCue>;
