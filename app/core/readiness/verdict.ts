import { salvageVerdict, readyVerdict, someVerdict } from "./steps-ready";
import { earlyVerdict, insideVerdict, nowVerdict, overVerdict, releaseVerdict, seenReadyVerdict, settleVerdict, unfitVerdict, wateredVerdict } from "./steps-seen"; // prettier-ignore
import { byDatesVerdict, holdVerdict, mayBeOverVerdict, nearlyVerdict, notYet, overdueByDates, overdueVerdict, seedVerdict, stopVerdict, youngVerdict } from "./steps-reckoned"; // prettier-ignore
import type { Step } from "./step";
import type { VerdictContext } from "./verdict-context";
import type { Verdict, VerdictReason } from "./verdict-reason";

/**
 * From odds to an answer. The order of force: what is unfit (its share only), a treatment's interval, a taste or an
 * opened piece that settles it, rain that waters down, how it lets go, a hazard, a trip or the bed, past, ready, nearly,
 * leave. Two decisive looks that disagree are settled by a sample, not by averaging.
 */
export function verdictOf(context: VerdictContext): Verdict {
  const now = context.oddsByDay[0]!;
  const readyOrPast = now.prime + now.slipping + now.gone;
  const odds = { readyOrPast, over: now.slipping + now.gone, now };
  for (const step of ORDER_OF_FORCE) {
    const verdict = step(context, odds);
    if (verdict) return withApart(verdict, context);
  }
  return withApart(notYet(context, odds), context);
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
  return { kind: "take some", because, probability: 1, takeBy: today, lookAgain: rest.lookAgain, apart };
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
  readyVerdict,
  salvageVerdict,
  seenReadyVerdict,
  earlyVerdict,
  nearlyVerdict,
];
