import { daysBetween, type IsoDay } from "../calendar";
import { STAGE_OF, tellsHowFar } from "./likelihood";
import type { KnownLook } from "./look";
import { isShared } from "./shared-looks";

/**
 * Shares of the pieces by how far they are, as looks at parts of them tell; they sum to one. What is past is told apart
 * and is none of them.
 */
export interface ToldShares {
  early: number;
  nearly: number;
  ready: number;
}

/** Shares as they were told. */
export interface SharesTold {
  shares: ToldShares;
  /** The look that leads them. */
  look: KnownLook;
}

/** Shares told longer ago than this have moved on: our judgement. */
const FRESH_DAYS = 1;
const STATES = ["early", "nearly", "ready"] as const;
const WEIGHTS = { decisive: 0, strong: 1, weak: 2 } as const;

/**
 * What the newest looks at parts tell of how many pieces are how far: of the most telling cue read so. What they leave
 * over is taken for a step less far, since the ripest are seen first.
 *
 * @returns undefined where no look of the last days says of how many it speaks
 */
export function toldShares(looks: readonly KnownLook[], today: IsoDay): SharesTold | undefined {
  const shared = looks.filter((l) => isShared(l) && daysBetween(l.takenOn, today) <= FRESH_DAYS && tellsHowFar(l));
  const lead = [...shared].sort(
    (a, b) =>
      b.takenOn.localeCompare(a.takenOn) ||
      Number(b.afterPick ?? false) - Number(a.afterPick ?? false) ||
      WEIGHTS[a.cue.weight] - WEIGHTS[b.cue.weight],
  )[0];
  if (!lead || looks.some((l) => isPlainAfter(l, lead))) return undefined;
  const told: ToldShares = { early: 0, nearly: 0, ready: 0 };
  let past = 0;
  for (const l of shared) {
    if (l.cueId !== lead.cueId || l.takenOn !== lead.takenOn || (l.afterPick ?? false) !== (lead.afterPick ?? false)) continue; // prettier-ignore
    const state = STATES[STAGE_OF[l.reading.means]!];
    if (state) told[state] += l.share!;
    else past += l.share!;
  }
  const sum = told.early + told.nearly + told.ready;
  if (sum === 0) return undefined;
  const left = 1 - past;
  if (sum < left) told[told.ready > 0 && told.early === 0 ? "nearly" : "early"] += left - sum;
  const whole = told.early + told.nearly + told.ready;
  for (const state of STATES) told[state] /= whole;
  return { shares: told, look: lead };
}

/** The same cue read of all of them since. */
function isPlainAfter(look: KnownLook, lead: KnownLook): boolean {
  if (isShared(look) || look.cueId !== lead.cueId) return false;
  return look.takenOn > lead.takenOn;
}

/** A count is a look at all of them: those counted are ready, the others on their way. */
export function countedShares(ready: number | undefined): ToldShares | undefined {
  return ready === undefined ? undefined : { early: 0, nearly: 1 - ready, ready };
}
