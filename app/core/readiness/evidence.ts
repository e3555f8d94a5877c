import type { IsoDay } from "../calendar";
import type { Development } from "./development";
import type { KnownLook } from "./look";
import type { Belief } from "./posterior";
import { readyOddsOn } from "./stages";
import { saidBy } from "./step";
import type { Verdict } from "./verdict-reason";

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
  /** The verdict goes by it, whatever it moved: it is bolting, or it was tasted. */
  decides: boolean;
}

/** What a verdict quotes of the looks it goes by. */
function quotedBy({ because, apart }: Verdict): Set<string> {
  const rest = because.why === "some apart" || because.why === "leaves wet" ? because.rest.because : because;
  const advice = "advice" in rest && rest.advice ? [rest.advice] : [];
  return new Set([...advice, ...apart.map((a) => a.reading)]);
}

/**
 * Leave-one-out: the answer with every look, less the answer without this one. Those the verdict goes by first, then
 * the strongest.
 */
export function evidenceOf(
  dev: Development,
  belief: Belief,
  looks: readonly KnownLook[],
  today: IsoDay,
  verdict: Verdict,
): Evidence[] {
  const quoted = quotedBy(verdict);
  const movedBy = (without: Belief["posterior"]) => (without === belief.posterior ? 0 : withAll - readyOddsOn(dev, without, today)); // prettier-ignore
  const withAll = readyOddsOn(dev, belief.posterior, today);
  return looks
    .map((look) => ({
      cueId: look.cueId,
      ask: look.cue.ask,
      reading: look.reading.text,
      measuredMm: look.measuredMm ?? null,
      takenOn: look.takenOn,
      decides: quoted.has(saidBy(look)) || quoted.has(look.reading.text),
      moved: movedBy(belief.without(look)),
    }))
    .sort((a, b) => Number(b.decides) - Number(a.decides) || Math.abs(b.moved) - Math.abs(a.moved));
}
