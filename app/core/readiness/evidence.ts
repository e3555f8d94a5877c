import type { IsoDay } from "../calendar";
import type { Development } from "./development";
import type { KnownLook } from "./look";
import type { Belief } from "./posterior";
import { readyOddsOn } from "./stages";

/** How far one look moved the answer. */
export interface Evidence {
  cueId: string;
  ask: string;
  reading: string;
  /** The measurement behind it, mm. */
  measuredMm: number | null;
  takenOn: IsoDay;
  /** Change of P(prime or later) that this look makes, −1 to 1. */
  moved: number;
}

/** Leave-one-out: the answer with every look, less the answer without this one. Strongest first. */
export function evidenceOf(dev: Development, belief: Belief, looks: readonly KnownLook[], today: IsoDay): Evidence[] {
  const withAll = readyOddsOn(dev, belief.posterior, today);
  return looks
    .map((look) => ({
      cueId: look.cueId,
      ask: look.cue.ask,
      reading: look.reading.text,
      measuredMm: look.measuredMm ?? null,
      takenOn: look.takenOn,
      moved: withAll - readyOddsOn(dev, belief.without(look), today),
    }))
    .sort((a, b) => Math.abs(b.moved) - Math.abs(a.moved));
}
