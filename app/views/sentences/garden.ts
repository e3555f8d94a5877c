import { addDays } from "~/core/calendar";
import { hazardsAhead, isThreat, plantingOfTask, type PlantingOutlook } from "~/core/garden";
import type { Loser, Saver } from "~/core/planner";
import { verdictSentence } from "./verdict";
import type { Planned } from "../planned";
import { hazardCard } from "./hazard";
import { capital, nameOf, sayCount, sayDay, sayRoughly } from "../words";

/** One plain sentence of the start page; `urgent` ones are set in the accent. */
export interface GardenSentence {
  plantingId: string | null;
  lead: string;
  text: string;
  urgent: boolean;
}

export interface GardenSentences {
  best: GardenSentence[];
  turning: GardenSentence[];
  threatened: GardenSentence[];
}

const MOST_EACH = 4;

const kindOf = (p: PlantingOutlook) => p.judgement.verdict.kind;
const reasonOf = (p: PlantingOutlook) => p.judgement.verdict.because.why;
const overOf = ({ judgement: { odds } }: PlantingOutlook) => odds.slipping + odds.gone;

function about(p: PlantingOutlook, text: string, urgent = false): GardenSentence {
  return { plantingId: p.planting.id, lead: `${nameOf(p)} (${p.bed.name})`, text, urgent };
}

/** Paragraphs beside the horizon: at its best, about to turn, threatened. */
export function gardenSentences(planned: Planned): GardenSentences {
  const { plantings, today } = planned.outlook;
  const said = (p: PlantingOutlook, urgent: boolean) =>
    about(p, verdictSentence(p.judgement.verdict, { crop: p.crop, today, units: planned.units }), urgent);
  const best = plantings
    .filter((p) => ["ready", "take today"].includes(kindOf(p)) || reasonOf(p) === "some ready")
    .sort((a, b) => b.judgement.odds.prime - a.judgement.odds.prime);
  const turning = plantings
    .filter((p) => ["past", "clear", "look now"].includes(kindOf(p)) || reasonOf(p) === "some apart")
    .sort((a, b) => overOf(b) - overOf(a));
  return {
    best: best.slice(0, MOST_EACH).map((p) => said(p, kindOf(p) === "take today")),
    turning: turning.slice(0, MOST_EACH).map((p) => said(p, kindOf(p) !== "look now")),
    threatened: threatened(planned),
  };
}

/**
 * The last paragraph: what does not fit into the time there is.
 *
 * @param losers - of the same plan
 */
export function unfitSentences(planned: Planned, losers: readonly Loser[]): GardenSentence[] {
  return byPlanting(losers).filter(({ id }) => isSeen(planned, id)).slice(0, 3).flatMap((loser) => unfit(planned, loser)); // prettier-ignore
}

function threatened({ outlook, plan, units }: Planned): GardenSentence[] {
  return hazardsAhead(outlook, plan.picks)
    .filter((hazard) => isThreat(hazard.kind) && hazard.odds >= 0.3)
    .slice(0, MOST_EACH)
    .map((hazard) => {
      const { lead, where, stake } = hazardCard(hazard, { outlook, units });
      return { plantingId: null, lead, text: [`${capital(where)}.`, ...stake.slice(-2)].join(" "), urgent: false };
    });
}

/** Losers by planting: the parts of one are told as one. */
function byPlanting(losers: readonly Loser[]): Loser[] {
  const of = new Map<string, Loser>();
  for (const loser of losers) {
    const id = plantingOfTask(loser.id);
    const before = of.get(id);
    of.set(id, { id, lost: loser.lost + (before?.lost ?? 0), saver: before ? before.saver : loser.saver });
  }
  return [...of.values()];
}

/** Whether anybody has seen what is said to be lost: looked at, counted or picked in its season. */
function isSeen({ outlook }: Planned, id: string): boolean {
  const planting = outlook.plantings.find((p) => p.planting.id === id)?.planting;
  return planting !== undefined && planting.looks.length + planting.counts.length + planting.picks.length > 0;
}

const WANTS = {
  round: "to the rounds you set",
  kitchen: "to the kitchen’s limit",
  fridge: "for want of room in the fridge",
  racks: "for want of racks",
};

function saverWords(saver: Saver, today: string): string {
  switch (saver.help) {
    case "minutes":
      return `${capital(sayCount(saver.extraMinutes))} more minutes ${sayDay(addDays(today, saver.day), today)}`;
    case "round":
      return `One more round ${sayDay(addDays(today, saver.day), today)}`;
    case "kitchen":
      return "More hands in the kitchen";
    case "fridge":
      return "A fridge of twice the room";
    case "racks":
      return "More racks to cure on";
  }
}

/** What the plan has no time for, and what would save it. */
function unfit({ outlook, units, today }: Planned, { id, lost, saver }: Loser): GardenSentence[] {
  const p = outlook.plantings.find((x) => x.planting.id === id);
  if (!p) return [];
  const worth = sayRoughly((lost / p.crop.worthPerKg.value) * 1000, units);
  const saved = saver ? `${saverWords(saver, today)} would save it.` : "No single day’s extra hour would save it.";
  const want = saver && saver.help !== "minutes" ? WANTS[saver.help] : "for want of time";
  return [about(p, `About ${worth} worth is lost ${want}. ${saved}`)];
}
