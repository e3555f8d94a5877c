import { daysBetween, type IsoDay } from "../calendar";
import type { KnownLook } from "./look";
import { ROUND_LOOK } from "./round-look";
import { isShared } from "./shared-looks";
import type { VerdictContext } from "./verdict-context";

/** What today's and yesterday's readings advise, the newest first; what speaks of some pieces only is told with them. */
export function advicesOf(looks: readonly KnownLook[], today: IsoDay): VerdictContext["advices"] {
  return looks
    .filter((l) => daysBetween(l.takenOn, today) <= 1 && l.cue !== ROUND_LOOK && !isShared(l))
    .flatMap(({ reading }) => (reading.advice ? [{ means: reading.means, advice: reading.advice }] : []))
    .reverse();
}
