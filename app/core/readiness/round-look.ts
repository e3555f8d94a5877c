import type { z } from "zod";
import { Cue } from "../crops";

/** What a call on a round tells without a cue: something was ready, or nothing was. */
export const ROUND_LOOK: Cue = Cue.parse({
  id: "round_look",
  kind: "sample",
  weight: "strong",
  ask: "Looked over on a round",
  readings: [
    { id: "none_ready", text: "nothing ready", means: "nearly" },
    { id: "some_ready", text: "some ready, picked", means: "ready" },
  ],
  standing: "our judgement",
} satisfies z.input<typeof Cue>);
