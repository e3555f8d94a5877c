import { addDays, daysBetween, sayDay, sayNight, type IsoDay } from "../calendar";
import { inTenths, type Threat } from "../hazards";
import { indoorsSentence } from "./indoors";
import { CALL, type Verdict, type VerdictContext } from "./verdict-context";

/** A crop worth this much before its time may be taken early when it would be lost. */
const USABLE_EARLY = 0.4;
/** A threat that takes this share is worth taking a crop early for: our judgement. */
const FATAL = 0.4;
/** Days without free hands that count as being away. */
const AWAY_DAYS = 3;

const possessive = (word: string) => `${word}’s`;

/** "before Wednesday night’s frost (8 in 10)". */
export function sayThreat(threat: Threat, today: IsoDay): string {
  const odds = inTenths(threat.odds);
  if (threat.kind === "frost") return `before ${possessive(sayNight(threat.lastDayBefore, today))} frost (${odds})`;
  const when = possessive(sayDay(threat.lastDayBefore, today));
  const what = { wind: "gale", soaking: "soaking", heat: "heat", hail: "hail", chill: "lasting chill" }[threat.kind];
  return `before ${when} ${what} (${odds})`;
}

interface Reason {
  /** Last day index on which it can still be taken. */
  until: number;
  words: string;
  /** It ends the plant, so that whatever is of use comes off. */
  final: boolean;
}

/**
 * Not ready, but it would be lost first (frost, gale, soaking, heat, a trip, the bed is wanted) and is of
 * use already: take it early, on the last day with free hands.
 */
export function salvageOf(context: VerdictContext): Verdict | undefined {
  const { crop, today, handsFree, oddsByDay } = context;
  if (crop.worthEarly.value < USABLE_EARLY) return undefined;
  for (const reason of reasonsOf(context)) {
    let last = -1;
    for (let n = 0; n <= reason.until && n < handsFree.length; n++) if (handsFree[n]) last = n;
    if (last < 0) continue;
    const then = oddsByDay[last]!;
    const ready = then.prime + then.slipping + then.gone;
    const nearly = then.close + ready;
    if (ready >= CALL) continue;
    const greenToo = reason.final && crop.indoors?.fromGreenDays !== undefined;
    if (nearly < CALL && !greenToo) continue;
    const day = addDays(today, last);
    const when = last === 0 ? "today" : `by ${sayDay(day, today)}`;
    const what = nearly < CALL ? "Take all but the smallest" : "Take it early";
    return {
      kind: "take early",
      sentence: `${what}, ${when}, ${reason.words}.${indoorsSentence(crop, nearly < CALL ? "green" : "nearly")}`,
      probability: Math.max(nearly, greenToo ? CALL : 0),
      takeBy: day,
      lookAgain: null,
    };
  }
  return undefined;
}

/** What ends the waiting, the soonest first. */
function reasonsOf(context: VerdictContext): Reason[] {
  const { crop, today, survival, bedNeededOn } = context;
  const reasons: Reason[] = survival.threats
    .filter((t) => t.loss >= FATAL)
    .map((t) => ({
      until: daysBetween(today, t.lastDayBefore),
      words: sayThreat(t, today),
      final: t.kind === "frost",
    }));
  const heat = heatReason(context);
  if (heat) reasons.push(heat);
  const away = awayReason(context);
  if (away) reasons.push(away);
  if (bedNeededOn && crop.mode === "once")
    reasons.push({
      until: daysBetween(today, bedNeededOn),
      words: `before the bed is needed on ${sayDay(bedNeededOn, today)}`.replace("on today", "today"),
      final: false,
    });
  return reasons.sort((a, b) => a.until - b.until);
}

/** A run of hot days takes a head bit by bit: it counts once the run as a whole would. */
function heatReason({ crop, today, survival }: VerdictContext): Reason | undefined {
  const hot = survival.threats.filter((t) => t.kind === "heat");
  const first = hot[0];
  if (!first || !crop.heat) return undefined;
  const kept = hot.reduce((share, t) => share * (1 - t.loss), 1);
  if (1 - kept < FATAL) return undefined;
  return {
    until: daysBetween(today, first.lastDayBefore),
    words: `${sayThreat(first, today)}: it ${crop.heat.effect}`,
    final: false,
  };
}

/** Away so long that it is over when somebody is back. */
function awayReason({ crop, today, nobody, oddsByDay }: VerdictContext): Reason | undefined {
  let leave = -1;
  for (let n = 0; n < nobody.length; n++) {
    let back = n;
    while (back < nobody.length && nobody[back]) back++;
    if (back - n >= AWAY_DAYS) {
      leave = n;
      const then = oddsByDay[Math.min(back, oddsByDay.length - 1)]!;
      const over = then.slipping + then.gone;
      if (over < CALL || crop.mode === "once") return undefined;
      return {
        until: leave - 1,
        words: `before you are away until ${sayDay(addDays(today, back), today)}`,
        final: false,
      };
    }
    n = Math.max(n, back);
  }
  return undefined;
}
