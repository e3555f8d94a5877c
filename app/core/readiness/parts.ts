import type { IsoDay } from "../calendar";
import type { Crop } from "../crops";
import type { Verdict } from "./verdict-reason";

/** What is done with a part of a planting. */
export const PART_ACTS = [
  "take",
  "take the ripe ones",
  "take the biggest",
  "take what a meal needs",
  "take early",
  "strip it all",
  "take and use first",
  "throw out",
  "leave",
  "look",
  "open one",
  "wait for dry days",
  "wait for dry leaves",
  "hold",
  "leave for seed",
  "stop",
  "cure on",
  "store",
  "use first",
] as const;
export type PartAct = (typeof PART_ACTS)[number];

/** A part of a planting and what is done with it. */
export interface VerdictPart {
  act: PartAct;
  /** Share of the pieces that stand, 0 to 1. */
  share: number;
  /** Which they are, where a reading tells them: its words. */
  reading: string | null;
  advice: string | null;
  /** Last good day, of what is taken. */
  by: IsoDay | null;
  lookAgain: IsoDay | null;
}

export interface PartsOf {
  crop: Crop;
  today: IsoDay;
  /** Share that is ready, as told or reckoned. */
  shareReady: number;
  /** Share that a meal takes, of what is dug as needed. */
  mealShare: number | null;
}

const SIMPLE: Partial<Record<Verdict["kind"], PartAct>> = {
  leave: "leave",
  "look again": "leave",
  "look now": "look",
  settle: "open one",
  "wait dry": "wait for dry days",
  hold: "hold",
  seed: "leave for seed",
  stop: "stop",
  "cure on": "cure on",
  store: "store",
  "use first": "use first",
  unfit: "throw out",
  clear: "take and use first",
  past: "take and use first",
};
/** Verdicts on what was lifted. */
const LIFTED: readonly Verdict["kind"][] = ["cure on", "store", "use first"];
const APART: Record<Verdict["apart"][number]["means"], PartAct> = {
  unfit: "throw out",
  past: "take and use first",
  now: "take and use first",
  early: "leave",
};

/**
 * A verdict as the parts it speaks of: what is told apart, what is taken now, and what is left. Shares sum to one.
 */
export function verdictParts(verdict: Verdict, of: PartsOf): VerdictPart[] {
  const lying = LIFTED.includes(verdict.kind);
  const apart = verdict.apart.map((a): VerdictPart => ({
    act: lying && a.means !== "unfit" ? "use first" : APART[a.means],
    share: a.share,
    reading: a.reading,
    advice: a.advice,
    by: !lying && (a.means === "now" || a.means === "past") ? of.today : null,
    lookAgain: a.means === "early" ? verdict.lookAgain : null,
  }));
  const left = Math.max(0, 1 - apart.reduce((sum, a) => sum + a.share, 0));
  const main = verdict.because.why === "some apart" ? verdict.because.rest : verdict;
  return [...apart, ...restParts(main, of).map((p) => ({ ...p, share: p.share * left }))].filter((p) => p.share > 0);
}

function restParts(verdict: Verdict, { crop, shareReady, mealShare }: PartsOf): VerdictPart[] {
  const { kind, because, takeBy, lookAgain } = verdict;
  const part = (act: PartAct, share: number, dates: Partial<VerdictPart> = {}): VerdictPart => ({
    act,
    share,
    reading: null,
    advice: "advice" in because ? because.advice : null,
    by: null,
    lookAgain: null,
    ...dates,
  });
  const two = (act: PartAct, share: number, rest: Partial<VerdictPart> = {}) => [
    part(act, share, { by: takeBy }),
    part("leave", 1 - share, { lookAgain, ...rest }),
  ];
  if (because.why === "leaves wet") return [part("wait for dry leaves", 1, { by: because.rest.takeBy, lookAgain })];
  if (because.why === "some ready")
    return [
      part(crop.thins?.value ? "take the biggest" : "take the ripe ones", because.share, { by: takeBy }),
      ...because.later.map((l) => part("leave", l.share, { lookAgain: l.on })),
    ];
  if (because.why === "by its dates" && because.openFirst) return [part("open one", 1, { lookAgain })];
  if (because.why === "nearly" && because.thin) return two("take the biggest", shareReady);
  if (kind === "take early" && because.why === "would be lost") return [part(because.from === "green" ? "strip it all" : "take early", 1, { by: takeBy })]; // prettier-ignore
  const simple = SIMPLE[kind];
  if (simple) return [part(simple, 1, { by: simple === "take and use first" ? takeBy : null, lookAgain })];
  if (because.why === "ready" && because.thin) return two("take the biggest", shareReady);
  if (because.why === "ready" && because.share !== null) return two("take the ripe ones", because.share);
  if (because.why === "ready" && mealShare !== null && mealShare < 1) return two("take what a meal needs", mealShare, { by: takeBy }); // prettier-ignore
  if (crop.mode === "repeat") return [part("take the ripe ones", 1, { by: takeBy })];
  return [part("take", 1, { by: takeBy })];
}
