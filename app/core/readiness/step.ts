import type { Flag } from "./flags";
import type { KnownLook } from "./look";
import type { Stage } from "./stages";
import type { VerdictContext } from "./verdict-context";
import type { Verdict, VerdictReason } from "./verdict-reason";

export interface Odds {
  readyOrPast: number;
  over: number;
  now: Record<Stage, number>;
}

/** One step of the order of force: its verdict, or undefined to go on to the next. */
export type Step = (context: VerdictContext, odds: Odds) => Verdict | undefined;

/** A verdict with what it does not say left empty. */
export function answer(
  kind: Verdict["kind"],
  because: VerdictReason,
  probability: number,
  dates: Partial<Verdict> = {},
): Verdict {
  return { kind, because, probability, takeBy: null, lookAgain: null, apart: [], said: [], ...dates };
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** What a look asks for: its advice, or what was seen. */
export const saidBy = ({ reading }: KnownLook) => reading.advice ?? lower(reading.text);

export const advised = ({ look }: Flag) => saidBy(look);
