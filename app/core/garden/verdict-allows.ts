import { addDays, daysBetween, type IsoDay } from "../calendar";
import { CALL, oddsOn, type Judgement } from "../readiness";

/** Verdicts that ask for patience: nothing is planned before the day they say to look again. */
const WAITS: readonly string[] = ["leave", "look again", "wait dry", "hold", "settle"];
/** Kept for seed, stopped for the year, unfit, lifted: nothing that the plan should come for. */
const NEVER: readonly string[] = ["seed", "stop", "unfit", "cure on", "store", "use first"];
/** What is there is there: it may be taken on any day. */
const STANDS: readonly string[] = ["ready", "take today", "take some", "clear", "past"];

/**
 * Whether the plan may come for a planting on a day: it never picks what the verdict leaves.
 *
 * @param n - days from today
 */
export function verdictAllows(
  { verdict, stages }: Pick<Judgement, "verdict" | "stages">,
  today: IsoDay,
  n: number,
): boolean {
  const { kind, because, lookAgain, takeBy } = verdict;
  if (NEVER.includes(kind) || because.why === "may be over" || because.why === "all picked") return false;
  const then = oddsOn(stages, addDays(today, n));
  const ready = then.prime + then.slipping + then.gone;
  // What is good young and wants thinning may lose its biggest while the rest is on its way.
  if (because.why === "nearly" && because.thin) return then.close + ready >= CALL;
  if (WAITS.includes(kind) && (lookAgain === null || n < daysBetween(today, lookAgain))) return false;
  // What is told apart has tasks of its own: the rest is as its own verdict says.
  if (because.why === "some apart") return verdictAllows({ verdict: because.rest, stages }, today, n);
  if (kind === "take early") return takeBy === null || n <= daysBetween(today, takeBy);
  return STANDS.includes(kind) || ready >= CALL;
}
