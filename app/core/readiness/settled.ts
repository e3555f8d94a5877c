import { daysBetween, type IsoDay } from "../calendar";
import { cueScale } from "./likelihood";
import type { KnownLook } from "./look";
import { ROUND_LOOK } from "./round-look";
import { isShared } from "./shared-looks";

/** A taste or a pull says this long what the crop is like, days: our judgement. */
const SETTLES_DAYS = 1;

export interface Settled {
  /** The newest piece that was tasted or opened. */
  taste: KnownLook | undefined;
  /** The newest pull, where nothing was tasted since. */
  release: KnownLook | undefined;
}

/**
 * The looks that settle a matter by themselves: what was tasted or seen inside, and what had to be tugged at. Weak cues
 * and looks at a part settle nothing.
 *
 * @param looks - of this cycle, up to today
 */
export function settledBy(looks: readonly KnownLook[], today: IsoDay): Settled {
  const fresh = looks.filter(
    (l) =>
      daysBetween(l.takenOn, today) <= SETTLES_DAYS &&
      !isShared(l) &&
      l.cue !== ROUND_LOOK &&
      cueScale(l.cue)?.readingIds.includes(l.readingId),
  );
  const newest = (kind: "sample" | "detachment", weights: readonly string[]) =>
    fresh.filter((l) => l.cue.kind === kind && weights.includes(l.cue.weight)).sort((a, b) => b.takenOn.localeCompare(a.takenOn))[0]; // prettier-ignore
  const taste = newest("sample", ["decisive", "strong"]);
  const pull = newest("detachment", ["decisive", "strong"]);
  return { taste, release: pull && taste && taste.takenOn >= pull.takenOn ? undefined : pull };
}
