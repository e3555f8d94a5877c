import type { PlantingOutlook } from "./planting-outlook";

/** What to do with a planting on coming back, in the order of the walk. */
export const RETURN_ACTS = ["take off first", "strip", "take", "look", "keep"] as const;
export type ReturnAct = (typeof RETURN_ACTS)[number];

/** P(over) from which what nobody has looked at is stripped all the same: our judgement. */
const OVER = 0.2;

/**
 * What a planting wants when one comes back. What is spoilt comes off first, so that it infects nothing and hinders
 * nothing (common practice); then what stops bearing while old pieces hang on it, stripped of all; then what is ready, the
 * soonest lost first; then what only eyes settle; the rest keeps.
 */
export function returnAct({ judgement: { verdict, odds }, crop }: PlantingOutlook): ReturnAct {
  const { kind, because } = verdict;
  if (kind === "unfit") return "take off first";
  const takes = kind === "ready" || kind === "take today" || kind === "take some" || kind === "take early";
  const isOver = kind === "past" || kind === "clear";
  const over = odds.slipping + odds.gone;
  // What bears on has fresh pieces among the overgrown.
  if (crop.mode === "repeat" && crop.suppressesWhenLeft.value === "yes" && (takes || isOver || over > OVER)) return "strip"; // prettier-ignore
  if (isOver) return "take off first";
  if (takes) return "take";
  if (kind === "look now" || kind === "settle" || (kind === "look again" && because.why !== "leaves wet"))
    return "look";
  return "keep";
}

/** Plantings in the order in which one goes through them after days away: by act, then by what is lost soonest. */
export function returnOrder(plantings: readonly PlantingOutlook[]): { p: PlantingOutlook; act: ReturnAct }[] {
  const hurry = ({ judgement: { odds } }: PlantingOutlook) => odds.slipping + odds.gone + odds.prime / 2;
  return plantings
    .map((p) => ({ p, act: returnAct(p) }))
    .sort((a, b) => RETURN_ACTS.indexOf(a.act) - RETURN_ACTS.indexOf(b.act) || hurry(b.p) - hurry(a.p));
}
