import type { WantBlock } from "~/core/garden";
import { BANS } from "./bans";

/** Why a day that is asked for cannot be, to stand after a colon. */
export const BLOCKS: Record<WantBlock, string> = {
  ...BANS,
  "no hands": "nobody has a free minute then",
  "not ready": "it is not ready by then, as far as can be told",
  once: "it comes off once, and another day is asked for already",
  minutes: "the minutes of that day are too few for it and what else is asked for",
  rounds: "the rounds that you set for the week are used up",
  kitchen: "the kitchen cannot deal with more that day",
  fridge: "the fridge is full by then",
  curing: "the racks are full then",
};
