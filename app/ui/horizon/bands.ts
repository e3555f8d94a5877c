import type { Band } from "~/views/sky/bands";

/** Names in the strip, highest first where bands overlap. */
export const BAND_ORDER: Band["kind"][] = ["away", "heat", "storm", "frost"];
