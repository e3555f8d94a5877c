import { sayDay, sayNight } from "~/core/calendar";
import { sayPieces, type BanReason, type PlantingOutlook } from "~/core/garden";
import { inTenths } from "~/core/hazards";
import { sayMass, type UnitSystem } from "~/core/units";
import type { PlannedGarden } from "./outlook.server";

/** Worth under which a move makes no odds (the worth of 20 g of courgette). */
const NO_ODDS = 0.02;

const THREATS = { wind: "A gale", soaking: "A soaking", heat: "Heat", hail: "Hail", chill: "Lasting chill sets in" };

const BANS: Record<BanReason, string> = {
  treated: "still within the days of the label",
  helper: "not the helper’s to pick",
  "frozen ground": "the ground is frozen",
  "wet leaves": "leaves are wet in all your minutes",
};

/** Why a pick stands on its day, in sentences: the hazard, the trip, what a day either way costs. */
export function pickReason(
  planned: PlannedGarden,
  p: PlantingOutlook,
  dayIndex: number,
  pieces: number,
  units: UnitSystem,
): string[] {
  const { outlook, moveCost, today } = planned;
  const day = outlook.days[dayIndex]!;
  const costs = moveCost(p.planting.id, dayIndex);
  const sentences = [`About ${sayPieces(p.crop, pieces, units)} ${sayDay(day, today)}.`];
  const threat = p.survival.threats.find((t) => t.lastDayBefore === day);
  if (threat?.kind === "frost") sentences.push(`Frost ${sayNight(day, today)}, ${inTenths(threat.odds)} in this bed.`);
  else if (threat) sentences.push(`${THREATS[threat.kind]} that day, ${inTenths(threat.odds)}.`);
  if (outlook.away[dayIndex + 1]) sentences.push("You are away from the day after.");
  const move = (to: number, words: string) => {
    const cost = costs[to];
    if (to < 0 || to >= outlook.days.length || outlook.away[to]) return;
    const ban = p.bans[to];
    if (ban) sentences.push(`${words}: ${BANS[ban]}.`);
    else if (cost === null || cost === undefined) sentences.push(`${words}: no room that day.`);
    else if (Math.abs(cost) < NO_ODDS) sentences.push(`${words}: makes no odds.`);
    else if (cost > 0)
      sentences.push(`${words}: costs about ${sayMass((cost / p.crop.worthPerKg.value) * 1000, units)} worth.`);
    else sentences.push(`${words}: would do as well.`);
  };
  move(dayIndex - 1, "A day earlier");
  move(dayIndex + 1, "A day later");
  return sentences;
}
