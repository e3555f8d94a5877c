import type { KnownLook } from "./look";
import { isShared } from "./shared-looks";
import { cueScale, STAGE_OF } from "./likelihood";

/** Two telling cues of one day that disagree: shown, never averaged away. */
export interface Conflict {
  /** The look that says less and the one that says more. */
  less: KnownLook;
  more: KnownLook;
  /** The look that an opened, dug or tasted piece overrules; undefined while nothing settles it. */
  overruled: KnownLook | undefined;
  /** Both are decisive, and nothing settles it: the verdict is to open one. */
  stands: boolean;
}

/** A conflict as it is told. */
export interface ConflictTold {
  less: string;
  more: string;
  settled: boolean;
}

/**
 * Finds two looks of the same day, decisive or strong, whose states lie two apart. A sample (opened, dug,
 * cut, tasted) decides over a look from outside.
 *
 * @param looks - of this cycle
 * @returns the newest such pair, or null
 */
export function conflictAmong(looks: readonly KnownLook[]): Conflict | null {
  const telling = looks
    .filter((l) => !isShared(l) && l.cue.weight !== "weak" && cueScale(l.cue)?.readingIds.includes(l.readingId))
    .sort((a, b) => b.takenOn.localeCompare(a.takenOn) || a.cueId.localeCompare(b.cueId));
  for (const less of telling)
    for (const more of telling) {
      if (less.takenOn !== more.takenOn) continue;
      if (STAGE_OF[more.reading.means]! - STAGE_OF[less.reading.means]! < 2) continue;
      const opened = [less, more].filter((l) => l.cue.kind === "sample");
      const overruled = opened.length === 1 ? (opened[0] === less ? more : less) : byAnother(telling, less, more);
      const stands = !overruled && less.cue.weight === "decisive" && more.cue.weight === "decisive";
      return { less, more, overruled, stands };
    }
  return null;
}

/** Two looks from outside are settled by a piece that was opened or tasted that day: what lies further from it gives way. */
function byAnother(telling: readonly KnownLook[], less: KnownLook, more: KnownLook): KnownLook | undefined {
  const opened = telling.find((l) => l.cue.kind === "sample" && l.takenOn === less.takenOn && l !== less && l !== more);
  if (!opened) return undefined;
  const off = (l: KnownLook) => Math.abs(STAGE_OF[l.reading.means]! - STAGE_OF[opened.reading.means]!);
  return off(less) > off(more) ? less : more;
}

/** What the two looks say. */
export function toldOf({ less, more, overruled }: Conflict): ConflictTold {
  return { less: less.reading.text, more: more.reading.text, settled: overruled !== undefined };
}
