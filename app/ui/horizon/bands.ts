import { ink } from "~/ui/theme";
import type { Band } from "~/views/sky/bands";

/** Each kind of band has its own pattern, so that colour is not needed to tell them apart. */
export const BAND_PATTERN: Record<Band["kind"], React.CSSProperties> = {
  // Frost: slanting hatch on a cold wash.
  frost: {
    backgroundColor: `color-mix(in srgb, ${ink("slateWash")} 55%, transparent)`,
    backgroundImage: `repeating-linear-gradient(135deg, color-mix(in srgb, ${ink("slate")} 55%, transparent) 0 1px, transparent 1px 7px)`,
  },
  // Storm: close upright strokes between two firm edges.
  storm: {
    backgroundImage: `repeating-linear-gradient(90deg, color-mix(in srgb, ${ink("slate")} 60%, transparent) 0 1.5px, transparent 1.5px 6px)`,
    borderInline: `2px solid ${ink("slate")}`,
  },
  // Heat: level lines.
  heat: {
    backgroundImage: `repeating-linear-gradient(0deg, color-mix(in srgb, ${ink("persimmonFill")} 55%, transparent) 0 1px, transparent 1px 9px)`,
  },
  // Away: dots, no hands.
  away: {
    backgroundColor: `color-mix(in srgb, ${ink("awayWash")} 45%, transparent)`,
    backgroundImage: `radial-gradient(color-mix(in srgb, ${ink("soft")} 75%, transparent) 1px, transparent 1.4px)`,
    backgroundSize: "10px 10px",
  },
};

/** Names in the strip, highest first where bands overlap. */
export const BAND_ORDER: Band["kind"][] = ["away", "heat", "storm", "frost"];
