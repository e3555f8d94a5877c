import type { Flag } from "./flags";
import type { KnownLook } from "./look";
import type { Stage } from "./stages";
import { advised, answer, saidBy, type Odds } from "./step";
import { readyVerdict, salvageVerdict, waitForDry } from "./steps-ready";
import { takeBy } from "./take-by";
import { CALL, CALL_OVER, nextFreeDay, type VerdictContext } from "./verdict-context";
import type { Verdict, VerdictReason } from "./verdict-reason";

export function unfitVerdict({ flag }: VerdictContext): Verdict | undefined {
  if (flag?.means !== "unfit") return undefined;
  return answer("unfit", { why: "unfit", advice: flag.look.reading.advice ?? null }, 1);
}

/** A taste, or a piece opened today or yesterday, that settles it. */
export function insideVerdict(context: VerdictContext, odds: Odds): Verdict | undefined {
  const { settled, crop, today } = context;
  const look = settled.taste;
  if (!look) return undefined;
  const { means } = look.reading;
  if (means === "ready" && odds.readyOrPast < CALL) return readyVerdict(context, { ...odds, readyOrPast: CALL });
  if (means !== "early" && means !== "nearly" && means !== "past") return undefined;
  const because: VerdictReason = { why: "seen inside", state: means, advice: insideSaid(look) };
  if (means === "past") return answer(crop.mode === "repeat" ? "clear" : "past", because, 1, { takeBy: today });
  const lookAgain = nextFreeDay(context, means === "early" ? Math.max(2, crop.again?.low ?? 4) : 2);
  return answer(means === "early" ? "leave" : "look again", because, 1, { lookAgain });
}

/** What is past and carries no advice of its own is used first. */
const insideSaid = (look: KnownLook) =>
  look.reading.means === "past" && !look.reading.advice ? `${saidBy(look)} inside, use it first` : saidBy(look);

/** Soaked fruit is soft and swollen for a day or two: nothing that is felt or seen outside counts until it has dried. */
export function wateredVerdict(context: VerdictContext, odds: Odds): Verdict | undefined {
  const { settled, crop, rain } = context;
  const watery = settled.taste?.reading.means === "nearly" && rain.soakedDaysAgo !== null;
  if (!crop.rainWait || odds.readyOrPast < CALL || watery) return undefined;
  const verdict = waitForDry(context, takeBy(context), odds.readyOrPast);
  return verdict?.because.why === "watered down" ? verdict : undefined;
}

/** What has to be tugged at is not ripe, whatever it looks like. */
export function releaseVerdict(context: VerdictContext): Verdict | undefined {
  const { settled, crop } = context;
  if (settled.release?.reading.means !== "early") return undefined;
  const lookAgain = nextFreeDay(context, Math.max(1, Math.min(4, Math.round(crop.windowDays.value / 2))));
  return salvageVerdict(context) ?? answer("leave", { why: "holds on", advice: saidBy(settled.release) }, 1, { lookAgain }); // prettier-ignore
}

export function nowVerdict({ flag, today }: VerdictContext, { now, readyOrPast }: Odds): Verdict | undefined {
  if (flag?.means !== "now" || !flagActs(flag, now)) return undefined;
  const advice = advised(flag);
  return answer("take today", { why: "seen now", advice }, Math.max(readyOrPast, CALL), { takeBy: today });
}

/** A `now` read from the plant acts at once; the ones inside a ripeness scale need at least nearly. */
function flagActs(flag: Flag, odds: Record<Stage, number>): boolean {
  const ofItself = ["damage", "flower", "animal", "time", "foliage"].includes(flag.look.cue.kind);
  return ofItself || 1 - odds["not yet"] >= 0.3;
}

export function settleVerdict({ conflict, today }: VerdictContext, { readyOrPast }: Odds): Verdict | undefined {
  if (!conflict?.stands) return undefined;
  return answer("settle", { why: "looks disagree" }, Math.max(readyOrPast, 1 - readyOrPast), { lookAgain: today });
}

export function overVerdict(context: VerdictContext, { readyOrPast, over }: Odds): Verdict | undefined {
  const { crop, today, flag } = context;
  const seenPast = flag?.means === "past";
  // Shares that somebody told, and none of them past, know better than the dates.
  if ((over < CALL_OVER || context.told || flag?.means === "early") && !seenPast) return undefined;
  // Dates may say that it is long over; hands that found it ripe and nothing worse are nearer the truth.
  if (!seenPast && context.seenPast === false)
    return answer("take today", { why: "ripe, perhaps over" }, readyOrPast, { takeBy: today });
  const advice = seenPast ? (flag.look.reading.advice ?? null) : null;
  const ofPieces = !advice || flag?.look.reading.of === "piece";
  const keepsCropping = ofPieces && crop.suppressesWhenLeft.value !== "no" && crop.mode === "repeat";
  const kind = keepsCropping ? "clear" : "past";
  return answer(kind, { why: "past", advice, keepsCropping }, seenPast ? 1 : over, { takeBy: today });
}

/** By the days since the last pick nothing is due; eyes that find it ready know better. */
export function seenReadyVerdict(context: VerdictContext, odds: Odds): Verdict | undefined {
  return context.seenReady
    ? readyVerdict(context, { ...odds, readyOrPast: Math.max(CALL, odds.readyOrPast) })
    : undefined;
}

export function earlyVerdict(context: VerdictContext): Verdict | undefined {
  const { flag, crop } = context;
  if (flag?.means !== "early") return undefined;
  const lookAgain = nextFreeDay(context, crop.again?.low ?? 3);
  return answer("leave", { why: "seen early", advice: advised(flag) }, 1, { lookAgain });
}
