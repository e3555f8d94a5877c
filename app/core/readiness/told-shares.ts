import { daysBetween, type IsoDay } from "../calendar";
import { cueScale, STAGE_OF } from "./likelihood";
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
export function toldShares(looks: readonly KnownLook[], today: IsoDay): ToldShares | undefined {
  const shared = looks.filter((l) => isShared(l) && daysBetween(l.takenOn, today) <= FRESH_DAYS && stateOf(l));
  const lead = [...shared].sort(
    (a, b) => b.takenOn.localeCompare(a.takenOn) || WEIGHTS[a.cue.weight] - WEIGHTS[b.cue.weight],
  )[0];
  if (!lead) return undefined;
  const told: ToldShares = { early: 0, nearly: 0, ready: 0 };
  for (const l of shared) if (l.cueId === lead.cueId && l.takenOn === lead.takenOn) told[stateOf(l)!] += l.share!;
  const sum = told.early + told.nearly + told.ready;
  if (sum < 1) told[told.ready > 0 && told.early === 0 ? "nearly" : "early"] += 1 - sum;
  else for (const state of STATES) told[state] /= sum;
  return told;
}

/** The state that a reading of a ripeness scale speaks of; none of what is past. */
function stateOf({ cue, readingId, reading }: KnownLook): keyof ToldShares | undefined {
  if (!cueScale(cue)?.readingIds.includes(readingId)) return undefined;
  return STATES[STAGE_OF[reading.means]!];
}
