import { addDays, daysBetween, sayDay, type IsoDay } from "../calendar";
import type { PickBan } from "../hazards";
import type { Flag } from "./flags";
import { salvageOf, sayThreat } from "./salvage";
import { shareInWords } from "./share-in-words";
import type { Stage } from "./stages";
import { CALL, nextFreeDay, type Verdict, type VerdictContext } from "./verdict-context";

/** Odds from which a crop is called over; higher, since it ends the waiting. */
const CALL_OVER = 0.6;

/**
 * From odds to an answer. The order of force is the field handbook's: unfit, a treatment's interval, now, past, ready, salvage
 * before a hazard or a trip, nearly, leave. Two decisive looks that disagree are settled by a sample, not
 * by averaging.
 */
export function verdictOf(context: VerdictContext): Verdict {
  const { crop, today, flag, overdue } = context;
  const odds = context.oddsByDay[0]!;
  const readyOrPast = odds.prime + odds.slipping + odds.gone;
  const over = odds.slipping + odds.gone;

  if (flag?.means === "unfit")
    return answer("unfit", `Do not eat it: ${flag.look.reading.advice ?? "take it off and bin it"}.`, 1);
  if (context.ban) return holdVerdict(context.ban, today);
  if (context.forSeed)
    return answer(
      "seed",
      `Leave it for seed${crop.seedSaving ? `: ${crop.seedSaving.text}` : " until it is dry"}.`,
      1,
      { lookAgain: nextFreeDay(context, 7) },
    );
  if (flag?.means === "now" && flagActs(flag, odds))
    return answer(
      "take today",
      `Take it today: ${flag.look.reading.advice ?? lower(flag.look.reading.text)}.`,
      Math.max(readyOrPast, CALL),
      { takeBy: today },
    );
  const stop = stopOf(context);
  if (stop) return stop;
  if (overdue && context.byDatesOnly)
    return answer("take today", `Take it, whatever the size: ${overdue}.`, 1, { takeBy: today });
  if (context.byDatesOnly && readyOrPast >= CALL) {
    const guess = over >= CALL ? "may be going over" : "should be ready";
    return answer("look now", `Look today. By its dates it ${guess}.`, readyOrPast, { lookAgain: today });
  }
  if (context.conflict?.stands)
    return answer("settle", "Open one before you pick: two looks disagree.", Math.max(readyOrPast, 1 - readyOrPast), {
      lookAgain: today,
    });
  const seemsOver = over >= CALL_OVER && flag?.means !== "past";
  // Dates may say that it is long over; hands that found it ripe and nothing worse are nearer the truth.
  if (seemsOver && context.seenPast === false)
    return answer("take today", "Ready, and perhaps going over. Take it today.", readyOrPast, { takeBy: today });
  if (seemsOver || flag?.means === "past") return pastVerdict(context, over);
  if (overdue) return answer("take today", `Take it, whatever the size: ${overdue}.`, 1, { takeBy: today });
  if (readyOrPast >= CALL && flag?.means !== "early") return readyVerdict(context, readyOrPast);
  const salvage = flag?.means === "early" ? undefined : salvageOf(context);
  if (salvage) return salvage;
  if (flag?.means === "early") {
    const again = nextFreeDay(context, crop.again?.low ?? 3);
    const why = flag.look.reading.advice ?? lower(flag.look.reading.text);
    return answer("leave", `Leave it: ${why}. Look again ${sayDay(again, today)}.`, 1, { lookAgain: again });
  }
  if (odds.close + readyOrPast >= CALL) {
    const rest = Math.round((crop.again?.low ?? crop.windowDays.value) / 3);
    const again = nextFreeDay(context, Math.max(1, Math.min(7, rest)));
    return answer("look again", `Nearly. Look again ${sayDay(again, today)}.${thinning(context)}`, odds.close, {
      lookAgain: again,
    });
  }
  const first = context.window.opens.p10;
  const wait = first ? Math.min(14, Math.max(2, daysBetween(today, first))) : 14;
  const again = nextFreeDay(context, wait);
  return answer("leave", `Leave it. Look again ${sayDay(again, today)}.`, odds["not yet"] + odds.close, {
    lookAgain: again,
  });
}

function answer(kind: Verdict["kind"], sentence: string, probability: number, dates: Partial<Verdict> = {}): Verdict {
  return { kind, sentence, probability, takeBy: null, lookAgain: null, ...dates };
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** A `now` read from the plant acts at once; the ones inside a ripeness scale need at least nearly. */
function flagActs(flag: Flag, odds: Record<Stage, number>): boolean {
  const ofItself = ["damage", "flower", "animal", "time", "foliage"].includes(flag.look.cue.kind);
  return ofItself || 1 - odds["not yet"] >= 0.3;
}

/** Treated: not to be picked until the interval of the label is over, whatever else is true of it. */
function holdVerdict({ until, product, treatedOn, intervalDays }: PickBan, today: IsoDay): Verdict {
  const days = `${intervalDays} ${intervalDays === 1 ? "day" : "days"}`;
  return answer(
    "hold",
    `Do not pick before ${sayDay(until, today)}: treated with ${product} ${sayDay(treatedOn, today)}, ${days} by its label.`,
    1,
    { lookAgain: until },
  );
}

/** Picking that has to end for the plant's sake. */
function stopOf({ crop, today, firstPickOn }: VerdictContext): Verdict | undefined {
  const rule = crop.stopCropping;
  if (!rule || !firstPickOn || daysBetween(firstPickOn, today) <= rule.afterDays) return undefined;
  const weeks = Math.floor(daysBetween(firstPickOn, today) / 7);
  return answer("stop", `Stop for this year: picked for ${weeks} weeks, and ${rule.because}.`, 1);
}

function pastVerdict({ crop, today, flag }: VerdictContext, over: number): Verdict {
  const sure = flag?.means === "past" ? 1 : over;
  const advice = flag?.means === "past" ? flag.look.reading.advice : undefined;
  if (advice) return answer("past", `Past its best: ${advice}.`, sure, { takeBy: today });
  if (crop.suppressesWhenLeft.value !== "no" && crop.mode === "repeat")
    return answer("clear", "Past its best. Take it off, so that the plant goes on cropping.", sure, { takeBy: today });
  return answer("past", "Past its best. Take it today and use it first.", sure, { takeBy: today });
}

function readyVerdict(context: VerdictContext, readyOrPast: number): Verdict {
  const { crop, today, rain } = context;
  const by = takeBy(context);
  const pressed = by.because !== "" || by.day === today;
  const { rainWait, dryDays } = crop;
  if (rainWait && rain.soakedDaysAgo !== null && rain.soakedDaysAgo < rainWait.high && !pressed) {
    const again = nextFreeDay(context, Math.max(1, rainWait.high - rain.soakedDaysAgo));
    return answer("wait dry", `Wait for dry days: ${rainWait.because}. Take one to taste ${sayDay(again, today)}.`, readyOrPast, { lookAgain: again }); // prettier-ignore
  }
  if (dryDays && rain.dryRun[0] !== null && rain.dryRun[0]! < dryDays.days) {
    const until = daysBetween(today, by.day);
    const start = rain.dryRun.findIndex((run, n) => n <= until && context.handsFree[n] && (run ?? 0) >= dryDays.days);
    if (start > 0) {
      const day = addDays(today, start);
      return answer("wait dry", `Ready. Wait for dry days: lift it ${sayDay(day, today)}, ${dryDays.days} dry days follow.`, readyOrPast, { takeBy: by.day, lookAgain: day }); // prettier-ignore
    }
  }
  const share = sharePhrase(context);
  if (by.day === today)
    return answer("take today", `Ready${share}. Take ${share ? "those" : "it"} today${by.because}.`, readyOrPast, {
      takeBy: today,
    });
  return answer(
    "ready",
    `Ready${share}. Take ${share ? "those" : "it"} by ${sayDay(by.day, today)}${by.because}.${thinning(context)}`,
    readyOrPast,
    { takeBy: by.day },
  );
}

/** ", about a third of them": said when a good part is not ready yet. */
function sharePhrase({ crop, shareReady }: VerdictContext): string {
  if (shareReady >= 0.72 || (crop.mode !== "passes" && !crop.thins)) return "";
  return `, ${shareInWords(shareReady)} of them`;
}

function thinning({ crop, shareReady }: VerdictContext): string {
  return crop.thins?.value && shareReady >= 0.08 && shareReady < 0.72
    ? " Take the biggest, it gives the rest room."
    : "";
}

/** The last day with free hands before the window closes, most of the crop is lost, or the bed is wanted. */
function takeBy(context: VerdictContext): { day: IsoDay; because: string } {
  const { today, window, survival, handsFree, nobody, bedNeededOn } = context;
  const closes = window.closes.p50 ? Math.max(0, daysBetween(today, window.closes.p50)) : handsFree.length - 1;
  const wanted = bedNeededOn ? Math.max(0, daysBetween(today, bedNeededOn)) : Infinity;
  let last = 0;
  for (let n = 0; n < handsFree.length && n <= Math.min(closes, wanted); n++)
    if (handsFree[n] && survival.sound[n]! >= 0.7 * survival.sound[0]!) last = n;
  const next = survival.sound[Math.min(last + 1, survival.sound.length - 1)]!;
  const threat =
    next < 0.7 * survival.sound[0]!
      ? survival.threats.find((t) => daysBetween(today, t.lastDayBefore) >= last)
      : undefined;
  const away = !threat && last < closes && last < wanted && nobody[last + 1] === true;
  const bed = !threat && !away && wanted <= closes;
  return {
    day: addDays(today, last),
    because: threat
      ? `, ${sayThreat(threat, today)}`
      : away
        ? ", before you are away"
        : bed
          ? ", before the bed is needed"
          : "",
  };
}
