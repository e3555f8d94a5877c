import { z } from "zod";

/** Ways in which an outside service works, or goes wrong. */
export const STAND_IN_MODES = [
  "as usual",
  "down",
  "slow",
  "half a document",
  "wrong units",
  "not numbers",
  "days twice",
  "days missing",
  "jumping 40 °C",
] as const;
export const StandInMode = z.enum(STAND_IN_MODES);
export type StandInMode = z.infer<typeof StandInMode>;
