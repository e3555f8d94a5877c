import {
  BED_MINUTES,
  LOOK_MINUTES,
  ROUND_MINUTES,
  lookTaskId,
  looksAsked,
  pickInRound,
  plannedPicks,
  type DayRound,
  type PlantingOutlook,
} from "~/core/garden";
import type { Slot } from "~/core/hands";
import { walkOf, type Errand, type Walk } from "~/core/rounds";
import type { Planned } from "../planned";

/** A round of a day, as the plan has it. */
export interface PlannedRound {
  slot: DayRound["slot"];
  /** Whether its day has another one that hands could walk. */
  isOneOfSeveral: boolean;
  walk: Walk;
}

/**
 * The rounds that the plan makes of a day, those with nothing to do left out: its picks and looks and, in the first that
 * is walked today, what else eyes could settle and still fits. Such looks alone make one round, not two.
 */
export function plannedRounds(planned: Planned, dayIndex: number): PlannedRound[] {
  const { outlook } = planned;
  const ofDay = [...outlook.rounds.keys()].filter((t) => outlook.rounds[t]!.day === dayIndex);
  const first = ofDay.find((t) => walkIn(planned, t, false).stops.length > 0) ?? ofDay[0];
  return ofDay.flatMap((t): PlannedRound[] => {
    const walk = walkIn(planned, t, dayIndex === 0 && t === first);
    return walk.stops.length > 0 ? [{ slot: outlook.rounds[t]!.slot, isOneOfSeveral: ofDay.length > 1, walk }] : [];
  });
}

/** The next round of today, whose walk has no stops where there is none. */
export function nextRound(planned: Planned): PlannedRound {
  return plannedRounds(planned, 0)[0] ?? { slot: null, isOneOfSeveral: false, walk: walkOf([], false, ROUND_MINUTES, BED_MINUTES) }; // prettier-ignore
}

const ROUND_NAMES: Record<Slot, string> = {
  morning: "This morning’s round",
  midday: "The midday round",
  evening: "This evening’s round",
};

/** Today's round, by the part of the day where there is another one. */
export const roundName = ({ slot, isOneOfSeveral }: PlannedRound): string =>
  slot && isOneOfSeveral ? ROUND_NAMES[slot] : "Today’s round";

function walkIn({ outlook, plan }: Planned, round: number, isNext: boolean): Walk {
  const { day, slot, minutes: budget } = outlook.rounds[round]!;
  const wet = outlook.terms[day]!.rounds.find((r) => r.slot === slot)?.wetAtStart ?? false;
  const walk = (errands: Errand[]) => walkOf(errands, wet, ROUND_MINUTES, BED_MINUTES);
  const picks = outlook.plantings.flatMap((p): Errand[] => {
    const pick = pickInRound(p, plan, round);
    return pick ? [errandOf(p, "pick", pick.minutes, pick.pieces)] : [];
  });
  const picked = new Set(picks.map((e) => e.plantingId));
  const look = (p: PlantingOutlook) => errandOf(p, "look", LOOK_MINUTES, 0);
  const planned = outlook.plantings.filter((p) => !picked.has(p.planting.id) && plan.rounds[lookTaskId(p.planting.id)]?.includes(round)); // prettier-ignore
  const pickedToday = (p: PlantingOutlook) => plannedPicks(p, plan.picks)[0]?.day === day;
  const asked = isNext ? looksAsked(outlook.plantings).filter((p) => !pickedToday(p) && !plan.picks[lookTaskId(p.planting.id)]?.includes(day)) : []; // prettier-ignore
  return walk(
    asked.map(look).reduce(
      (errands, errand) => {
        const longer = [...errands, errand];
        return walk(longer).minutes <= budget ? longer : errands;
      },
      [...picks, ...planned.map(look)],
    ),
  );
}

function errandOf(p: PlantingOutlook, doing: Errand["doing"], minutes: number, pieces: number): Errand {
  return {
    plantingId: p.planting.id,
    crop: p.crop,
    variety: p.planting.variety,
    bedId: p.bed.id,
    bedName: p.bed.name,
    bedPosition: p.bed.position,
    doing,
    minutes,
    pieces,
    grams: pieces * p.crop.pieceGrams.value,
  };
}
