import type { IsoDay } from "../calendar";
import type { Development } from "./development";
import { posteriorAfter, type KnownLook } from "./posterior";
import { readyOddsOn } from "./stages";

/** How far one look moved the answer. */
export interface Evidence {
  cueId: string;
  ask: string;
  reading: string;
  takenOn: IsoDay;
  /** Change of P(prime or later) that this look makes, −1 to 1. */
  moved: number;
}

function readyOdds(dev: Development, looks: readonly KnownLook[], today: IsoDay): number {
  return readyOddsOn(dev, posteriorAfter(dev, looks), today);
}

/** Leave-one-out: the answer with every look, less the answer without this one. Strongest first. */
export function evidenceOf(dev: Development, looks: readonly KnownLook[], today: IsoDay): Evidence[] {
  const withAll = readyOdds(dev, looks, today);
  return looks
    .map((look) => ({
      cueId: look.cueId,
      ask: look.cue.ask,
      reading: look.reading.text,
      takenOn: look.takenOn,
      moved: withAll - readyOdds(dev, looks.filter((other) => other !== look), today), // prettier-ignore
    }))
    .sort((a, b) => Math.abs(b.moved) - Math.abs(a.moved));
}

const STATE: Record<string, number> = { early: 0, nearly: 1, ready: 2, now: 2, past: 3 };

/**
 * Two telling cues that disagree, in a sentence; they are shown, not averaged away.
 *
 * @param looks - of this cycle; only the decisive and strong ones of the same day count
 */
export function conflictAmong(looks: readonly KnownLook[]): string | null {
  const telling = looks.filter((l) => l.cue.weight !== "weak" && STATE[l.reading.means] !== undefined);
  for (const a of telling)
    for (const b of telling) {
      if (a.takenOn !== b.takenOn || STATE[b.reading.means]! - STATE[a.reading.means]! < 2) continue;
      return `Two looks disagree: “${a.reading.text}” speaks for waiting, “${b.reading.text}” for taking. Open, cut or taste one to settle it.`;
    }
  return null;
}
