import {
  BED_MINUTES,
  LOOK_MINUTES,
  ROUND_MINUTES,
  lookTaskId,
  looksAsked,
  plannedPicks,
  type PlantingOutlook,
} from "~/core/garden";
import { walkOf, type Errand, type Walk } from "~/core/rounds";
import type { Planned } from "../planned";

/** The walk that the plan makes of a day: its picks and looks and, today, what else eyes could settle and still fits. */
export function plannedWalk({ outlook, plan }: Planned, dayIndex: number): Walk {
  const wet = outlook.terms[dayIndex]?.wetAtStart ?? false;
  const walk = (errands: Errand[]) => walkOf(errands, wet, ROUND_MINUTES, BED_MINUTES);
  const picks = outlook.plantings.flatMap((p): Errand[] => {
    const pick = plannedPicks(p, plan.picks).find((planned) => planned.day === dayIndex);
    return pick ? [errandOf(p, "pick", pick.minutes, pick.pieces)] : [];
  });
  const picked = new Set(picks.map((e) => e.plantingId));
  const look = (p: PlantingOutlook) => errandOf(p, "look", LOOK_MINUTES, 0);
  const planned = outlook.plantings.filter((p) => !picked.has(p.planting.id) && plan.picks[lookTaskId(p.planting.id)]?.includes(dayIndex)); // prettier-ignore
  const asked = dayIndex > 0 ? [] : looksAsked(outlook.plantings).filter((p) => !picked.has(p.planting.id) && !planned.includes(p)); // prettier-ignore
  const budget = outlook.minutesFree[dayIndex] ?? 0;
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
