import { COOL_BELOW_C, actDayOf, isBestCool, isCounted, pickInRound, type PlannedPick, type PlantingOutlook } from "~/core/garden"; // prettier-ignore
import type { Slot } from "~/core/hands";
import type { Planned } from "../planned";
import { BANS } from "./bans";
import { capital, inTenths, sayCount, sayDay, sayExpected, sayRoughly, sayNight, sayPieces, saySlot } from "../words";

/** Worth under which a move makes no odds (the worth of 20 g of courgette). */
const NO_ODDS = 0.02;

/** Less of what is there than this is said. */
const LESS = 0.9;

const THREATS = { wind: "A gale", soaking: "A soaking", heat: "Heat", hail: "Hail", chill: "Lasting chill sets in" };

/** Why a pick stands on its day, in sentences: the hazard, the trip, what comes before it. */
export function pickReason(planned: Planned, p: PlantingOutlook, dayIndex: number, pieces: number): string[] {
  const { outlook, today, units } = planned;
  const day = outlook.days[dayIndex]!;
  const slots = slotsOfPick(planned, p, dayIndex);
  const sentences = [`${capital(sayExpected(p.crop, pieces, p.doubt, units))} ${sayPlannedDay(planned, p, dayIndex)}.`, ...slotReasons(planned, p, dayIndex, slots)]; // prettier-ignore
  if (outlook.wanted.some((w) => w.plantingId === p.planting.id && w.day === dayIndex && !w.blockedBy)) sentences.push("You asked for this day."); // prettier-ignore
  sentences.push(...afterActs(planned, p, dayIndex));
  if (p.takes && p.takes[dayIndex]! < LESS * p.pieces[dayIndex]!)
    sentences.push("As much as you can use: the rest stays on.");
  const threat = p.survival.threats.find((t) => t.lastDayBefore === day);
  if (threat?.kind === "frost") sentences.push(`Frost ${sayNight(day, today)}, ${inTenths(threat.odds)} in this bed.`);
  else if (threat) sentences.push(`${THREATS[threat.kind]} that day, ${inTenths(threat.odds)}.`);
  if (outlook.away[dayIndex + 1]) sentences.push("You are away from the day after.");
  return sentences;
}

/** What another day would cost at most, all else as it is: a day earlier, a day later. */
export function eitherDay(
  planned: Planned,
  p: PlantingOutlook,
  dayIndex: number,
): { day: number; lead: string; words: string }[] {
  // prettier-ignore
  return ([["A day earlier", -1], ["A day later", 1]] as const).flatMap(([lead, by]) =>
    moveWords(planned, p, dayIndex, dayIndex + by, lead).map((words) => ({ day: dayIndex + by, lead, words })),
  ); // prettier-ignore
}

/** What is done some days before a lift, where the plan has it done. */
function afterActs({ outlook, plan, today }: Planned, p: PlantingOutlook, dayIndex: number): string[] {
  return p.crop.acts.flatMap((rule) => {
    const days = p.parts.flatMap(({ task }) => (plan.picks[task.id]?.includes(dayIndex) ? (actDayOf(rule, plan.ways[task.id]) ?? []) : [])); // prettier-ignore
    if (days.length === 0) return [];
    const on = Math.min(...days);
    const after = dayIndex - on;
    return [
      `${capital(sayCount(after))} ${after === 1 ? "day" : "days"} after you ${rule.act}, ${sayDay(outlook.days[on]!, today)}.`,
    ];
  });
}

/** The day of a planned pick, and its part where the day has more than one round: "Saturday in the morning". */
export function sayPlannedDay(planned: Planned, p: PlantingOutlook, dayIndex: number): string {
  const day = sayDay(planned.outlook.days[dayIndex]!, planned.today);
  return [day, slotsOfPick(planned, p, dayIndex).map(saySlot).join(" and ")].filter(Boolean).join(" ");
}

/** The parts of a day in which it is picked, where that day has more than one round. */
function slotsOfPick({ outlook, plan }: Planned, p: PlantingOutlook, dayIndex: number): Slot[] {
  const rounds = [...outlook.rounds.entries()].filter(([, r]) => r.day === dayIndex);
  if (rounds.length < 2) return [];
  return rounds.flatMap(([t, { slot }]) => (slot && pickInRound(p, plan, t) ? [slot] : []));
}

/** Warmer by this than another part of the day is worth a word, °C. */
const WARMER = 3;

/** Why this part of the day and not another. */
function slotReasons({ outlook }: Planned, p: PlantingOutlook, dayIndex: number, slots: readonly Slot[]): string[] {
  const [slot] = slots;
  if (!slot) return [];
  const others = outlook.rounds.filter((r) => r.day === dayIndex && r.slot !== null && !slots.includes(r.slot));
  const own = outlook.rounds.find((r) => r.day === dayIndex && r.slot === slot)?.meanC ?? null;
  const wet = others.filter((r) => p.wetSlots[dayIndex]!.includes(r.slot!)).map((r) => saySlot(r.slot!));
  const warmer = others.filter((r) => isBestCool(p.crop) && own !== null && r.meanC !== null && r.meanC > Math.max(COOL_BELOW_C, own + WARMER)).map((r) => saySlot(r.slot!)); // prettier-ignore
  return [
    ...(wet.length > 0 ? [`Its leaves are wet ${wet.join(" and ")}.`] : []),
    ...(warmer.length > 0 ? [`Cooler than ${warmer.join(" and ")}.`] : []),
  ];
}

/** What moving a pick by a day would cost, or what forbids it. */
function moveWords(planned: Planned, p: PlantingOutlook, from: number, to: number, words: string): string[] {
  const { outlook, moveCosts, units } = planned;
  if (to < 0 || to >= outlook.days.length || outlook.away[to]) return [];
  const ban = p.bans[to];
  if (ban) return [`${words}: ${BANS[ban]}.`];
  if (p.planting.wishes?.notOn.includes(outlook.days[to]!)) return [`${words}: you ruled that day out.`];
  const cost = moveCosts[p.planting.id]?.[from]?.[to] ?? null;
  if (cost === null && (p.judgement.verdict.lookAgain ?? "") > outlook.days[to]!) return [`${words}: not before it is looked at again.`]; // prettier-ignore
  if (cost === null) return [`${words}: no room that day.`];
  if (Math.abs(cost) < NO_ODDS) return [`${words}: makes no odds.`];
  if (cost < 0) return [`${words}: would do as well.`];
  return [`${words}: costs at most about ${sayRoughly((cost / p.crop.worthPerKg.value) * 1000, units)} worth.`];
}

/** Days to the next pick from which its label has room for a word. */
const ROOM_FOR_A_WORD = 3;

/** What a planned pick brings, and how it is written on the ridge: "9 courgettes", "×9" where the next one is near. */
export function plannedPick(planned: Planned, p: PlantingOutlook, { day, pieces }: PlannedPick, next?: PlannedPick) {
  const near = next !== undefined && next.day - day < ROOM_FOR_A_WORD;
  return {
    day,
    slot: slotsOfPick(planned, p, day)[0] ?? null,
    isAsked: planned.outlook.wanted.some((w) => w.plantingId === p.planting.id && w.day === day && !w.blockedBy),
    label: sayExpected(p.crop, pieces, p.doubt, planned.units),
    short: near && isCounted(p.crop) ? `×${Math.max(1, Math.round(pieces))}` : sayPieces(p.crop, pieces, planned.units),
    why: pickReason(planned, p, day, pieces),
    either: eitherDay(planned, p, day),
  };
}
