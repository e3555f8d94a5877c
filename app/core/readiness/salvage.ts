import { addDays, daysBetween } from "../calendar";
import { absence, CALL, type VerdictContext } from "./verdict-context";
import type { Limit, Verdict } from "./verdict-reason";

/** A crop worth this much before its time may be taken early when it would be lost. */
const USABLE_EARLY = 0.4;
/** A threat that takes this share is worth taking a crop early for: our judgement. */
const FATAL = 0.4;
/** Days without free hands that count as being away. */
const AWAY_DAYS = 3;

interface Ending {
  /** Last day index on which it can still be taken. */
  until: number;
  limit: Limit;
  /** It ends the plant, so that whatever is of use comes off. */
  final: boolean;
}

/**
 * Not ready, but it would be lost first (frost, gale, soaking, heat, a trip, the bed is wanted) and is of
 * use already: take it early, on the last day with free hands.
 */
export function salvageOf(context: VerdictContext): Verdict | undefined {
  const { crop } = context;
  if (crop.worthEarly.value < USABLE_EARLY) return undefined;
  for (const ending of endingsOf(context)) {
    const verdict = salvageBefore(context, ending);
    if (verdict) return verdict;
  }
  return undefined;
}

/** Taken early before one ending, if it is of use by then. */
function salvageBefore({ crop, today, handsFree, oddsByDay }: VerdictContext, ending: Ending): Verdict | undefined {
  let last = -1;
  for (let n = 0; n <= ending.until && n < handsFree.length; n++) if (handsFree[n]) last = n;
  if (last < 0) return undefined;
  const then = oddsByDay[last]!;
  const ready = then.prime + then.slipping + then.gone;
  const nearly = then.close + ready;
  if (ready >= CALL) return undefined;
  const greenToo = ending.final && crop.indoors?.fromGreenDays !== undefined;
  if (nearly < CALL && !greenToo) return undefined;
  return {
    kind: "take early",
    because: { why: "would be lost", from: nearly < CALL ? "green" : "nearly", limit: ending.limit },
    probability: Math.max(nearly, greenToo ? CALL : 0),
    takeBy: addDays(today, last),
    lookAgain: null,
    apart: [],
    said: [],
  };
}

/** What ends the waiting, the soonest first. */
function endingsOf(context: VerdictContext): Ending[] {
  const { crop, today, survival, bedNeededOn } = context;
  const endings: Ending[] = survival.threats
    .filter((t) => t.loss >= FATAL && (t.act ?? "pick") === "pick")
    .map((threat) => ({
      until: daysBetween(today, threat.lastDayBefore),
      limit: { by: "threat", threat },
      final: threat.kind === "frost",
    }));
  const heat = heatEnding(context);
  if (heat) endings.push(heat);
  const away = awayEnding(context);
  if (away) endings.push(away);
  // The last day before the bed is cleared takes whatever is of use off what keeps giving.
  if (bedNeededOn && daysBetween(today, bedNeededOn) < context.handsFree.length)
    endings.push({
      until: Math.max(0, daysBetween(today, bedNeededOn)),
      limit: { by: "bed", neededOn: bedNeededOn },
      final: crop.mode === "repeat",
    });
  return endings.sort((a, b) => a.until - b.until);
}

/** A run of hot days takes a head bit by bit: it counts once the run as a whole would. */
function heatEnding({ crop, today, survival }: VerdictContext): Ending | undefined {
  const hot = survival.threats.filter((t) => t.kind === "heat");
  const threat = hot[0];
  if (!threat || !crop.heat) return undefined;
  const kept = hot.reduce((share, t) => share * (1 - t.loss), 1);
  if (1 - kept < FATAL) return undefined;
  return {
    until: daysBetween(today, threat.lastDayBefore),
    limit: { by: "heat", threat, effect: crop.heat.effect },
    final: false,
  };
}

/** Away so long that it is over when somebody is back. */
function awayEnding(context: VerdictContext): Ending | undefined {
  const { crop, nobody, oddsByDay } = context;
  for (let n = 0; n < nobody.length; n++) {
    let back = n;
    while (back < nobody.length && nobody[back]) back++;
    if (back - n >= AWAY_DAYS) {
      const then = oddsByDay[Math.min(back, oddsByDay.length - 1)]!;
      const over = then.slipping + then.gone;
      if (over < CALL || crop.mode === "once") return undefined;
      return { until: n - 1, limit: absence(context, n), final: false };
    }
    n = Math.max(n, back);
  }
  return undefined;
}
