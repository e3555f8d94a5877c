import { growthEndedVerdict, readyVerdict, restVerdict, salvageVerdict, someVerdict } from "./steps-ready";
import { earlyVerdict, insideVerdict, nowVerdict, overVerdict, releaseVerdict, seenReadyVerdict, settleVerdict, unfitVerdict, wateredVerdict } from "./steps-seen"; // prettier-ignore
import { allPickedVerdict, byDatesVerdict, holdVerdict, mayBeOverVerdict, nearlyVerdict, notYet, overdueByDates, overdueVerdict, seedVerdict, stopVerdict, youngVerdict } from "./steps-reckoned"; // prettier-ignore
import type { Meaning } from "../crops";
import type { Step } from "./step";
import type { VerdictContext } from "./verdict-context";
import type { Verdict, VerdictReason } from "./verdict-reason";

/**
 * From odds to an answer. The order of force: what is unfit (its share only), a treatment's interval, a taste or an
 * opened piece that settles it, rain that waters down, how it lets go, a hazard, a trip or the bed, past, ready,
 * growth that has ended, nearly, leave. Two decisive looks that disagree are settled by a sample, not by averaging.
 */
export function verdictOf(context: VerdictContext): Verdict {
  const now = context.oddsByDay[0]!;
  const readyOrPast = now.prime + now.slipping + now.gone;
  const odds = { readyOrPast, over: now.slipping + now.gone, now };
  for (const step of ORDER_OF_FORCE) {
    const verdict = step(context, odds);
    if (verdict) return withSaid(withApart(verdict, context), context);
  }
  return withSaid(withApart(notYet(context, odds), context), context);
}

/** More than this is a lecture. */
const MOST_SAID = 2;

/** What the readings advise is said with the verdict, unless it speaks against it or has been said. */
function withSaid(verdict: Verdict, { advices }: VerdictContext): Verdict {
  const { kind, because, apart } = verdict;
  if (kind === "unfit" || kind === "hold" || kind === "seed") return verdict;
  const rest = because.why === "some apart" || because.why === "leaves wet" ? because.rest : verdict;
  const told = [...("advice" in rest.because ? [rest.because.advice] : []), ...apart.map((a) => a.advice)];
  const waits = WAITING.includes(rest.kind);
  const fits = ({ means }: { means: Meaning }) => means === "none" || (means === "ready" ? !waits : (means === "early" || means === "nearly") && waits); // prettier-ignore
  const said = advices.filter((a) => fits(a) && !told.includes(a.advice)).map((a) => a.advice);
  return { ...verdict, said: [...new Set(said)].slice(0, MOST_SAID) };
}

const WAITING: readonly Verdict["kind"][] = ["leave", "look again", "wait dry", "look now"];

/** What is true of some pieces only is told apart; where the rest waits, they alone are taken. */
function withApart(whole: Verdict, context: VerdictContext): Verdict {
  const { apart, ban, today } = context;
  const rest = onceDry(whole, context);
  if (apart.length === 0) return rest;
  const takes = apart.some((a) => a.means === "now" || a.means === "past");
  if (!takes || ban || !WAITING.includes(rest.kind)) return { ...rest, apart };
  const because: VerdictReason = { why: "some apart", rest };
  return { kind: "take some", because, probability: 1, takeBy: today, lookAgain: rest.lookAgain, apart, said: [] };
}

/** Wet leaves wait for the sun, unless today is the last day for it. */
function onceDry(verdict: Verdict, { leavesWet, today }: VerdictContext): Verdict {
  const { kind, because } = verdict;
  const takes = kind === "ready" || kind === "take today" || kind === "take some";
  if (!leavesWet || !takes || (because.why === "ready" && because.limit?.by === "threat" && verdict.takeBy === today)) return verdict; // prettier-ignore
  return { ...verdict, kind: "wait dry", because: { why: "leaves wet", rest: verdict }, lookAgain: today };
}

const ORDER_OF_FORCE: readonly Step[] = [
  unfitVerdict,
  holdVerdict,
  seedVerdict,
  youngVerdict,
  allPickedVerdict,
  insideVerdict,
  wateredVerdict,
  releaseVerdict,
  nowVerdict,
  stopVerdict,
  mayBeOverVerdict,
  overdueByDates,
  byDatesVerdict,
  settleVerdict,
  overVerdict,
  overdueVerdict,
  someVerdict,
  restVerdict,
  readyVerdict,
  salvageVerdict,
  growthEndedVerdict,
  seenReadyVerdict,
  earlyVerdict,
  nearlyVerdict,
];
