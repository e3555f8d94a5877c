import { addDays, sayDay } from "../calendar";
import type { Loser, Picks } from "../planner";
import { sayMass, type UnitSystem } from "../units";
import { sayCount } from "./amounts";
import { isThreat } from "./hazard-card";
import { hazardCards } from "./hazard-cards";
import { capital } from "./in-sentences";
import type { GardenOutlook, PlantingOutlook } from "./look-ahead";

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
  unfit: GardenSentence[];
}

const MOST_EACH = 4;

/** "Courgette, striped" in its bed. */
function nameOf({ crop, planting, bed }: PlantingOutlook): string {
  return `${crop.name}${planting.variety ? `, ${planting.variety}` : ""} (${bed.name})`;
}

/**
 * The four paragraphs beside the horizon: at its best, about to turn, threatened, does not fit.
 *
 * @param picks - the plan's, day indexes from today
 * @param losers - of the same plan
 */
export function gardenSentences(
  outlook: GardenOutlook,
  picks: Picks,
  losers: readonly Loser[],
  units: UnitSystem,
): GardenSentences {
  const { today, plantings } = outlook;
  const about = (p: PlantingOutlook, text: string, urgent = false): GardenSentence => ({
    plantingId: p.planting.id,
    lead: nameOf(p),
    text,
    urgent,
  });
  const kindOf = (p: PlantingOutlook) => p.judgement.verdict.kind;
  const best = plantings
    .filter((p) => ["ready", "take today"].includes(kindOf(p)))
    .sort((a, b) => b.judgement.odds.prime - a.judgement.odds.prime)
    .map((p) => about(p, p.judgement.verdict.sentence, kindOf(p) === "take today"));
  const turning = plantings
    .filter((p) => ["past", "clear", "look now"].includes(kindOf(p)))
    .sort(
      (a, b) => b.judgement.odds.slipping + b.judgement.odds.gone - a.judgement.odds.slipping - a.judgement.odds.gone,
    )
    .map((p) => about(p, p.judgement.verdict.sentence, kindOf(p) !== "look now"));
  return {
    best: best.slice(0, MOST_EACH),
    turning: turning.slice(0, MOST_EACH),
    threatened: hazardCards(outlook, picks, units)
      .filter((card) => isThreat(card.kind) && card.odds >= 0.3)
      .slice(0, MOST_EACH)
      .map((card) => ({
        plantingId: null,
        lead: card.lead,
        text: [`${capital(card.where)}.`, ...card.stake.slice(-2)].join(" "),
        urgent: false,
      })),
    unfit: losers.slice(0, 3).flatMap((loser) => {
      const p = plantings.find((x) => x.planting.id === loser.id);
      if (!p) return [];
      const lost = sayMass((loser.lost / p.crop.worthPerKg.value) * 1000, units);
      const saver = loser.saver
        ? ` ${capital(sayCount(loser.saver.extraMinutes))} more minutes ${sayDay(addDays(today, loser.saver.day), today)} would save it.`
        : " No single day’s extra hour would save it.";
      return [about(p, `About ${lost} worth is lost for want of time.${saver}`)];
    }),
  };
}
