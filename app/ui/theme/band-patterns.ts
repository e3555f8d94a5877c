import { ink } from "./colours";

const part = (colour: Parameters<typeof ink>[0], percent: number) => `color-mix(in srgb, ${ink(colour)} ${percent}%, transparent)`; // prettier-ignore

/** Each kind of band has its own pattern, so that colour is not needed to tell them apart: a class for each. */
export const BAND_PATTERNS = {
  // Frost: slanting hatch on a cold wash.
  ".band-frost": {
    backgroundColor: part("slateWash", 55),
    backgroundImage: `repeating-linear-gradient(135deg, ${part("slate", 55)} 0 1px, transparent 1px 7px)`,
  },
  // Storm: close upright strokes between two firm edges.
  ".band-storm": {
    backgroundImage: `repeating-linear-gradient(90deg, ${part("slate", 60)} 0 1.5px, transparent 1.5px 6px)`,
    borderInline: `2px solid ${ink("slate")}`,
  },
  // Heat: level lines.
  ".band-heat": {
    backgroundImage: `repeating-linear-gradient(0deg, ${part("persimmonFill", 55)} 0 1px, transparent 1px 9px)`,
  },
  // Away: dots, no hands.
  ".band-away": {
    backgroundColor: part("awayWash", 45),
    backgroundImage: `radial-gradient(${part("soft", 75)} 1px, transparent 1.4px)`,
    backgroundSize: "10px 10px",
  },
};
