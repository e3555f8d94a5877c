import { addDays, daysBetween, sayDay, sayNight, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { inTenths, type Survival, type Threat } from "../hazards";
import type { Flag } from "./flags";
import type { Stage, Window } from "./stages";

/** What to do, in the app's own words. */
export interface Verdict {
  kind: "leave" | "look again" | "look now" | "ready" | "take today" | "take early" | "clear" | "past" | "unfit";
  sentence: string;
  /** P(the state the verdict speaks of). */
  probability: number;
  /** Last good day to take it, for the verdicts that say take. */
  takeBy: IsoDay | null;
  lookAgain: IsoDay | null;
}

export interface VerdictContext {
  crop: Crop;
  today: IsoDay;
  /** Odds of the stages on each day from today. */
  oddsByDay: Record<Stage, number>[];
  window: Window;
  survival: Survival;
  /** Days from today on which somebody can pick. */
  handsFree: boolean[];
  flag: Flag | undefined;
  /** Set when the calendar outranks size: the reason. */
  overdue: string | null;
  /** True when only the calendar speaks: first crop of the planting, nothing looked at yet. */
  byDatesOnly: boolean;
}

/** Odds from which a state is called: our judgement. */
const CALL = 0.5;
/** Odds from which it is called over; higher, since it ends the waiting. */
const CALL_OVER = 0.6;
/** A crop worth this much before its time may be taken early when it would be lost. */
const USABLE_EARLY = 0.45;

/**
 * From odds to an answer. The order of force is the field handbook's: unfit, now, past, ready, salvage
 * before a hazard or a trip, nearly, leave.
 */
export function verdictOf(context: VerdictContext): Verdict {
  const { crop, today, flag, overdue } = context;
  const odds = context.oddsByDay[0]!;
  const readyOrPast = odds.prime + odds.slipping + odds.gone;
  const over = odds.slipping + odds.gone;
  const say = (day: IsoDay) => sayDay(day, today);
  const answer = (
    kind: Verdict["kind"],
    sentence: string,
    probability: number,
    dates: Partial<Verdict> = {},
  ): Verdict => ({
    kind,
    sentence,
    probability,
    takeBy: null,
    lookAgain: null,
    ...dates,
  });

  if (flag?.means === "unfit")
    return answer("unfit", `Do not eat it: ${flag.look.reading.advice ?? "take it off and bin it"}.`, 1);
  if (flag?.means === "now" && flagActs(flag, odds))
    return answer(
      "take today",
      `Take it today: ${flag.look.reading.advice ?? lower(flag.look.reading.text)}.`,
      Math.max(readyOrPast, CALL),
      { takeBy: today },
    );
  if (overdue && context.byDatesOnly)
    return answer("take today", `Take it, whatever the size: ${overdue}.`, 1, { takeBy: today });
  if (context.byDatesOnly && readyOrPast >= CALL) {
    const guess = over >= CALL ? "may be going over" : "should be ready";
    return answer("look now", `Look today. By its dates it ${guess}.`, readyOrPast, { lookAgain: today });
  }
  if (flag?.means === "past" || over >= CALL_OVER) {
    const sure = flag?.means === "past" ? 1 : over;
    if (crop.suppressesWhenLeft.value)
      return answer("clear", "Past its best. Take it off, so that the plant goes on cropping.", sure, {
        takeBy: today,
      });
    return answer("past", `Past its best. ${flag?.look.reading.advice ?? "Take it today and use it first"}.`, sure, {
      takeBy: today,
    });
  }
  if (overdue) return answer("take today", `Take it, whatever the size: ${overdue}.`, 1, { takeBy: today });
  if (readyOrPast >= CALL && flag?.means !== "early") {
    const by = takeBy(context);
    if (by.day === today)
      return answer("take today", `Ready. Take it today${by.because}.`, readyOrPast, { takeBy: today });
    return answer("ready", `Ready. Take it by ${say(by.day)}${by.because}.`, readyOrPast, { takeBy: by.day });
  }
  const salvage = flag?.means === "early" ? undefined : salvageOf(context);
  if (salvage) return salvage;
  if (flag?.means === "early") {
    const again = nextFreeDay(context, crop.again?.low ?? 3);
    return answer(
      "leave",
      `Leave it: ${flag.look.reading.advice ?? lower(flag.look.reading.text)}. Look again ${say(again)}.`,
      1,
      { lookAgain: again },
    );
  }
  if (odds.close + readyOrPast >= CALL) {
    const again = nextFreeDay(
      context,
      Math.max(1, Math.min(7, Math.round((crop.again?.low ?? crop.windowDays.value) / 3))),
    );
    return answer("look again", `Nearly. Look again ${say(again)}.`, odds.close, { lookAgain: again });
  }
  const first = context.window.opens.p10;
  const wait = first ? Math.min(14, Math.max(2, daysBetween(today, first))) : 14;
  const again = nextFreeDay(context, wait);
  return answer("leave", `Leave it. Look again ${say(again)}.`, odds["not yet"] + odds.close, { lookAgain: again });
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** A `now` read from the plant acts at once; the ones inside a ripeness scale need at least nearly. */
function flagActs(flag: Flag, odds: Record<Stage, number>): boolean {
  return flag.look.cue.kind === "damage" || flag.look.cue.kind === "flower" || 1 - odds["not yet"] >= 0.3;
}

function nextFreeDay({ today, handsFree }: VerdictContext, days: number): IsoDay {
  for (let n = days; n < handsFree.length; n++) if (handsFree[n]) return addDays(today, n);
  return addDays(today, days);
}

/** The last day with free hands before the window closes or most of the crop is lost. */
function takeBy(context: VerdictContext): { day: IsoDay; because: string } {
  const { today, window, survival, handsFree } = context;
  const closes = window.closes.p50 ? Math.max(0, daysBetween(today, window.closes.p50)) : handsFree.length - 1;
  let last = 0;
  for (let n = 0; n < handsFree.length && n <= closes; n++)
    if (handsFree[n] && survival.sound[n]! >= 0.7 * survival.sound[0]!) last = n;
  const next = survival.sound[Math.min(last + 1, survival.sound.length - 1)]!;
  const threat = next < 0.7 ? survival.threats.find((t) => daysBetween(today, t.lastDayBefore) >= last) : undefined;
  const away = !threat && last < closes && handsFree[last + 1] === false;
  return {
    day: addDays(today, last),
    because: threat ? `, ${sayThreat(threat, today)}` : away ? ", before you are away" : "",
  };
}

/** "before Wednesday night’s frost (8 in 10)". */
function sayThreat(threat: Threat, today: IsoDay): string {
  const odds = inTenths(threat.odds);
  if (threat.kind === "frost") return `before ${possessive(sayNight(threat.lastDayBefore, today))} frost (${odds})`;
  const when = possessive(sayDay(threat.lastDayBefore, today));
  return `before ${when} ${threat.kind === "wind" ? "gale" : "soaking"} (${odds})`;
}

const possessive = (word: string) => `${word}’s`;

/** Not ready, but it would be lost to a hazard first and is of use already. */
function salvageOf(context: VerdictContext): Verdict | undefined {
  const { crop, today, survival, handsFree, oddsByDay } = context;
  const fatal = survival.threats.find((t) => t.loss >= 0.4);
  if (!fatal) return undefined;
  const until = daysBetween(today, fatal.lastDayBefore);
  let last = -1;
  for (let n = 0; n <= until && n < handsFree.length; n++) if (handsFree[n]) last = n;
  if (last < 0) return undefined;
  const then = oddsByDay[last]!;
  const nearly = then.close + then.prime + then.slipping + then.gone;
  const ready = then.prime + then.slipping + then.gone;
  if (ready >= CALL || nearly < CALL || crop.worthEarly.value < USABLE_EARLY) return undefined;
  const day = addDays(today, last);
  const inside = crop.ripensIndoors.value ? " It finishes indoors." : "";
  return {
    kind: "take early",
    sentence: `Take it early, ${last === 0 ? "today" : `by ${sayDay(day, today)}`}, ${sayThreat(fatal, today)}.${inside}`,
    probability: nearly,
    takeBy: day,
    lookAgain: null,
  };
}
