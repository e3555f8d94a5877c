import { daysBetween, type IsoDay } from "../calendar";
import type { KnownLook } from "./look";
import { ROUND_LOOK } from "./round-look";
import type { VerdictContext } from "./verdict-context";

/** What today's and yesterday's readings advise, the newest first. */
export function advicesOf(looks: readonly KnownLook[], today: IsoDay): VerdictContext["advices"] {
  return looks
    .filter((l) => daysBetween(l.takenOn, today) <= 1 && l.cue !== ROUND_LOOK)
    .flatMap(({ reading }) => (reading.advice ? [{ means: reading.means, advice: reading.advice }] : []))
    .reverse();
}
