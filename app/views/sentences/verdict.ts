import type { IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import type { Threat } from "~/core/hazards";
import type { ConflictTold, Limit, Verdict } from "~/core/readiness";
import type { UnitSystem } from "~/core/units";
import { apartSentence, ofTheRest, sayAdvice } from "./apart";
import { capital, inTenths, lower, sayDay, sayNight, sayTemperature, shareInWords } from "../words";

/** What a verdict is said with. */
export interface VerdictWords {
  crop: Crop;
  today: IsoDay;
  units: UnitSystem;
}

const possessive = (word: string) => `${word}’s`;
const ORDINALS = [
  "zeroth",
  "first",
  "second",
  "third",
  "fourth",
  "fifth",
  "sixth",
  "seventh",
  "eighth",
  "ninth",
  "tenth",
];

/** "before Wednesday night’s frost (8 in 10)". */
export function sayThreat(threat: Threat, today: IsoDay): string {
  const odds = inTenths(threat.odds);
  if (threat.kind === "frost") return `before ${possessive(sayNight(threat.lastDayBefore, today))} frost (${odds})`;
  const when = possessive(sayDay(threat.lastDayBefore, today));
  const what = { wind: "gale", soaking: "soaking", heat: "heat", hail: "hail", chill: "lasting chill" }[threat.kind];
  return `before ${when} ${what} (${odds})`;
}

/** What ends the waiting: "before you are away". */
function sayLimit(limit: Limit, today: IsoDay): string {
  switch (limit.by) {
    case "threat":
      return sayThreat(limit.threat, today);
    case "heat":
      return `${sayThreat(limit.threat, today)}: it ${limit.effect}`;
    case "away":
      return limit.backOn ? `before you are away until ${sayDay(limit.backOn, today)}` : "before you are away";
    case "hands":
      return limit.nextOn ? `since nobody is there before ${sayDay(limit.nextOn, today)}` : "since nobody is there in the days after"; // prettier-ignore
    case "bed":
      return `before the bed is needed on ${sayDay(limit.neededOn, today)}`.replace("on today", "today");
  }
}

const THINNING = " Take the biggest, it gives the rest room.";

/** A verdict as a sentence or two that cover all of the planting: what is told apart first, then the rest. */
export function verdictSentence(verdict: Verdict, words: VerdictWords): string {
  const apart = verdict.apart.map((a) => apartSentence(a, words.crop));
  const said = verdict.said.map((advice) => `${capital(advice)}.`);
  if (apart.length === 0) return [wholeSentence(verdict, words), ...said].join(" ");
  const rest = verdict.because.why === "some apart" ? verdict.because.rest : verdict;
  return [...apart, ofTheRest(wholeSentence({ ...rest, apart: [] }, words)), ...said].join(" ");
}

function wholeSentence(verdict: Verdict, words: VerdictWords): string {
  const { because, takeBy, lookAgain } = verdict;
  const { today, crop } = words;
  const again = sayDay(lookAgain ?? today, today);
  switch (because.why) {
    case "unfit":
      return `Do not eat it: ${sayAdvice(because.advice ?? "take it off and bin it")}.`;
    case "treated": {
      const { until, product, treatedOn, intervalDays } = because.ban;
      const days = `${intervalDays} ${intervalDays === 1 ? "day" : "days"}`;
      return `Do not pick before ${sayDay(until, today)}: treated with ${product} ${sayDay(treatedOn, today)}, ${days} by its label.`;
    }
    case "for seed":
      return `Leave it for seed${because.advice ? `: ${sayAdvice(because.advice)}` : " until it is dry"}.`;
    case "too young":
      return `Leave it to grow: this is its ${ORDINALS[because.growingYear] ?? "first"} year, its first crop comes in the ${ORDINALS[because.firstCropYear]}.`;
    case "seen now":
      return `Take it today: ${sayAdvice(because.advice)}.`;
    case "picked enough":
      return `Stop for this year: picked for ${because.weeks} weeks, and ${because.because}.`;
    case "overdue":
      return `Take it, whatever the size: ${because.daysPast} growing days past its packet date, and ${because.because}.`;
    case "by its dates":
      return byDates(because, crop);
    case "may be over":
      return mayBeOver(because, crop);
    case "all picked":
      return `Is that all? As many ${crop.piece.many} were picked as it had. If some still stand, look at one; if not, say that all of it was taken.`; // prettier-ignore
    case "looks disagree":
      return "Open one before you pick: two looks disagree.";
    case "ripe, perhaps over":
      return "Ready, and perhaps going over. Take it today.";
    case "past":
      if (because.advice) return `Past its best: ${sayAdvice(because.advice)}.`;
      if (because.keepsCropping) return "Past its best. Take it off, so that the plant goes on cropping.";
      return "Past its best. Take it today and use it first.";
    case "watered down":
      return `Wait for dry days: ${because.because}. Take one to taste ${again}.`;
    case "lift in the dry":
      return `Ready. Wait for dry days: lift it ${again}, ${because.dryDays} dry days follow.`;
    case "ready":
      return readySentence(verdict.kind, because, takeBy ?? today, words);
    case "would be lost": {
      const what = because.from === "green" ? "Take all but the smallest" : "Take it early";
      const when = takeBy === today ? "today" : `by ${sayDay(takeBy ?? today, today)}`;
      return `${what}, ${when}, ${sayLimit(because.limit, today)}.${indoorsSentence(crop, because.from, words.units)}`;
    }
    case "seen early":
      return `Leave it: ${sayAdvice(because.advice)}. Look again ${again}.`;
    case "seen inside":
      if (because.state === "past") return `Past its best: ${sayAdvice(because.advice)}.`;
      return because.state === "early" ? `Leave it: ${sayAdvice(because.advice)}. Look again ${again}.` : `Nearly: ${sayAdvice(because.advice)}. Look again ${again}.`; // prettier-ignore
    case "holds on":
      return `Leave it, it holds on: ${sayAdvice(because.advice)}. Try again ${again}.`;
    case "some ready":
      return `Take the ${crop.thins?.value ? "biggest" : "ripe ones"} today, ${shareInWords(because.share)} of them. Leave the rest${because.later[0]?.state === "nearly" ? ", nearly ready" : ""}. Look again ${again}.`; // prettier-ignore
    case "leaves wet":
      return `Wait until the leaves are dry: wet hands carry disease. ${wholeSentence(because.rest, words)}`;
    case "some apart":
      return wholeSentence(because.rest, words);
    case "growth ended":
      return growthEnded(verdict, because, words);
    case "curing":
      return curing(verdict, because, words);
    case "keeps":
      return `Store it: ${crop.after.store}.${because.until ? ` Best used by ${sayDay(because.until, today)}.` : ""}`;
    case "will not keep":
      return `Use it first: ${sayAdvice(because.advice)}.`;
    case "kept long":
      return `Use it first: it has been kept for ${because.days} days. Look it over before you eat it.`;
    case "nearly":
      return `Nearly. Look again ${again}.${because.thin ? THINNING : ""}`;
    case "not yet":
      return `Leave it. Look again ${again}.`;
  }
}

function readySentence(
  kind: Verdict["kind"],
  { share, limit, thin, holds }: Extract<Verdict["because"], { why: "ready" }>,
  takeBy: IsoDay,
  { today, crop }: VerdictWords,
): string {
  const part = share === null ? "" : `, ${shareInWords(share)} of them`;
  const ready = `Ready${part}.`;
  const before = limit ? `, ${limit.by === "bed" ? "before the bed is needed" : sayLimit(limit, today)}` : "";
  // Whoever comes seldom takes the small ones too: they would be giants by then.
  const small = crop.mode === "repeat" && (limit?.by === "away" || limit?.by === "hands") ? " Take the small ones too." : ""; // prettier-ignore
  const by = kind === "take today" ? "today" : `by ${sayDay(takeBy, today)}`;
  const bigger = thin ? THINNING : "";
  if (crop.life.taking.way === "as needed" && kind === "ready" && !thin)
    return holds ? `${ready} Dig what a meal needs; the rest holds in the ground.` : `${ready} Dig what a meal needs; all of it ${by}${before}.`; // prettier-ignore
  if (holds && kind === "ready") return `${ready} It holds for two weeks and more.${bigger}`;
  return `${ready} Take ${part ? "those" : "it"} ${by}${before}.${kind === "take today" ? "" : bigger}${small}`;
}

/** "Look today. By its dates it should be ready. Dig one first, and then decide." */
function byDates(
  { over, openFirst, askPicked }: Extract<Verdict["because"], { why: "by its dates" }>,
  crop: Crop,
): string {
  const state = over ? "may be going over" : crop.mode === "repeat" ? "should be bearing" : "should be ready";
  const asks = askPicked ? " Picked already? Log when last." : "";
  return `Look today. By its dates it ${state}.${openFirst ? ` ${openOne(crop)} one first, and then decide on the rest.` : ""}${asks}`; // prettier-ignore
}

const openOne = ({ group }: Crop) => (["root", "tuber", "bulb"].includes(group) ? "Dig" : "Open");

function growthEnded(
  { kind, takeBy }: Verdict,
  { limit, holds }: Extract<Verdict["because"], { why: "growth ended" }>,
  { today, crop }: VerdictWords,
): string {
  const why = "It has grown as far as it will: hardly any warmth is ahead.";
  if (crop.life.taking.way === "as needed" && holds)
    return `${why} Dig what a meal needs; the rest holds in the ground.`;
  const before = limit ? `, ${limit.by === "bed" ? "before the bed is needed" : sayLimit(limit, today)}` : "";
  const by = kind === "take today" ? "today" : holds ? "when it suits you" : `by ${sayDay(takeBy ?? today, today)}`;
  return `${why} Take it ${by}${before}: it gains nothing by standing.`;
}

/** What was lifted and is not cured. */
function curing(
  { lookAgain }: Verdict,
  { advice, until, due, then }: Extract<Verdict["because"], { why: "curing" }>,
  { today, crop }: VerdictWords,
): string {
  const after = then === "use first" ? " Then keep it apart and use it first." : "";
  if (due && until) {
    const ask = crop.liftedCues[0]?.ask;
    return `By its days it should be cured. Look before you store it${ask ? `: ${lower(ask)}` : "."}${after}`;
  }
  const how = advice ? `: ${sayAdvice(advice)}` : "";
  const when = until ? ` About ${sayDay(until, today)} it should be cured.` : ` Look again ${sayDay(lookAgain ?? today, today)}.`; // prettier-ignore
  return `Cure it on${how}.${when}${after}`;
}

const ENDINGS: Record<string, string> = {
  spent: "It has borne as long as such plants do",
  bolted: "By its age it may have run to flower",
  cold: "By its age it may be spent",
  age: "By its age it is time to stop",
};

/** "Is it over? It has borne as long as such plants do …" */
function mayBeOver({ ends, picked }: Extract<Verdict["because"], { why: "may be over" }>, crop: Crop): string {
  const why = ENDINGS[ends] ?? `What stood the winter ${ends} once the days warm`;
  const then = picked
    ? "If it still bears, log a pick or a count; if not, say that it is over."
    : `If ${crop.piece.many} come, look at one; if it was picked before, log when last.`;
  return `Is it over? ${why}. ${then}`;
}

/** " It finishes indoors in about 5 days at 18–21 °C: single layer …" or nothing. */
function indoorsSentence(crop: Crop, from: "nearly" | "green", units: UnitSystem): string {
  const { indoors } = crop;
  const days = from === "green" ? indoors?.fromGreenDays : indoors?.fromNearlyDays;
  if (!indoors || days === undefined) return "";
  const low = sayTemperature(indoors.atLowC, units).replace("°", "");
  const high = sayTemperature(indoors.atHighC, units).replace("°", units === "us" ? " °F" : " °C");
  return ` It finishes indoors in about ${days} days at ${low}–${high}: ${indoors.text}.`;
}

/** Two looks that disagree. */
export function conflictSentence(conflict: ConflictTold): string {
  const settle = conflict.settled
    ? "What you saw inside decides."
    : "Open, cut, dig or taste one before you pick the rest.";
  return `Two looks disagree: “${conflict.less}” speaks for waiting, “${conflict.more}” for taking. ${settle}`;
}
