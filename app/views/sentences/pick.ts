import { isCounted, type PlannedPick, type PlantingOutlook } from "~/core/garden";
import type { Planned } from "../planned";
import { BANS } from "./bans";
import { capital, inTenths, sayDay, sayExpected, sayRoughly, sayNight, sayPieces } from "../words";

/** Worth under which a move makes no odds (the worth of 20 g of courgette). */
const NO_ODDS = 0.02;

/** Less of what is there than this is said. */
const LESS = 0.9;

const THREATS = { wind: "A gale", soaking: "A soaking", heat: "Heat", hail: "Hail", chill: "Lasting chill sets in" };

/** Why a pick stands on its day, in sentences: the hazard, the trip, what a day either way costs. */
export function pickReason(planned: Planned, p: PlantingOutlook, dayIndex: number, pieces: number): string[] {
  const { outlook, today, units } = planned;
  const day = outlook.days[dayIndex]!;
  const sentences = [`${capital(sayExpected(p.crop, pieces, p.doubt, units))} ${sayDay(day, today)}.`];
  if (outlook.wanted.some((w) => w.plantingId === p.planting.id && w.day === dayIndex && !w.blockedBy)) sentences.push("You asked for this day."); // prettier-ignore
  if (p.takes && p.takes[dayIndex]! < LESS * p.pieces[dayIndex]!)
    sentences.push("As much as you can use: the rest stays on.");
  const threat = p.survival.threats.find((t) => t.lastDayBefore === day);
  if (threat?.kind === "frost") sentences.push(`Frost ${sayNight(day, today)}, ${inTenths(threat.odds)} in this bed.`);
  else if (threat) sentences.push(`${THREATS[threat.kind]} that day, ${inTenths(threat.odds)}.`);
  if (outlook.away[dayIndex + 1]) sentences.push("You are away from the day after.");
  return [
    ...sentences,
    ...moveWords(planned, p, dayIndex, dayIndex - 1, "A day earlier"),
    ...moveWords(planned, p, dayIndex, dayIndex + 1, "A day later"),
  ];
}

/** What moving a pick by a day would cost, or what forbids it. */
function moveWords(planned: Planned, p: PlantingOutlook, from: number, to: number, words: string): string[] {
  const { outlook, moveCosts, units } = planned;
  if (to < 0 || to >= outlook.days.length || outlook.away[to]) return [];
  const ban = p.bans[to];
  if (ban) return [`${words}: ${BANS[ban]}.`];
  const cost = moveCosts[p.planting.id]?.[from]?.[to] ?? null;
  if (cost === null && (p.judgement.verdict.lookAgain ?? "") > outlook.days[to]!) return [`${words}: not before it is looked at again.`]; // prettier-ignore
  if (cost === null) return [`${words}: no room that day.`];
  if (Math.abs(cost) < NO_ODDS) return [`${words}: makes no odds.`];
  if (cost < 0) return [`${words}: would do as well.`];
  return [`${words}: costs about ${sayRoughly((cost / p.crop.worthPerKg.value) * 1000, units)} worth.`];
}

/** Days to the next pick from which its label has room for a word. */
const ROOM_FOR_A_WORD = 3;

/** What a planned pick brings, and how it is written on the ridge: "9 courgettes", "×9" where the next one is near. */
export function plannedPick(planned: Planned, p: PlantingOutlook, { day, pieces }: PlannedPick, next?: PlannedPick) {
  const near = next !== undefined && next.day - day < ROOM_FOR_A_WORD;
  return {
    day,
    label: sayExpected(p.crop, pieces, p.doubt, planned.units),
    short: near && isCounted(p.crop) ? `×${Math.max(1, Math.round(pieces))}` : sayPieces(p.crop, pieces, planned.units),
    why: pickReason(planned, p, day, pieces),
  };
}
