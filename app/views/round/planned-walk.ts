import { BED_MINUTES, ROUND_MINUTES, plannedPicks, type PlantingOutlook } from "~/core/garden";
import { walkOf, type Errand, type Walk } from "~/core/rounds";
import type { Planned } from "../planned";

const LOOK_MINUTES = 0.7;

/** The walk that the plan makes of a day: its picks and, today, the looks that are due and still fit. */
export function plannedWalk({ outlook, plan }: Planned, dayIndex: number): Walk {
  const wet = outlook.terms[dayIndex]?.wetAtStart ?? false;
  const walk = (errands: Errand[]) => walkOf(errands, wet, ROUND_MINUTES, BED_MINUTES);
  const picks = outlook.plantings.flatMap((p): Errand[] => {
    const pick = plannedPicks(p, plan.picks).find((planned) => planned.day === dayIndex);
    return pick ? [errandOf(p, "pick", pick.minutes, pick.pieces)] : [];
  });
  const looks = dayIndex === 0 ? looksDue(outlook.plantings, picks) : [];
  const budget = outlook.minutesFree[dayIndex] ?? 0;
  return walk(
    looks.reduce((errands, look) => {
      const longer = [...errands, look];
      return walk(longer).minutes <= budget ? longer : errands;
    }, picks),
  );
}

/** Plantings whose state only a look can tell, likeliest to be going over first. */
function looksDue(plantings: readonly PlantingOutlook[], picks: readonly Errand[]): Errand[] {
  const picked = new Set(picks.map((e) => e.plantingId));
  const over = (p: PlantingOutlook) => p.judgement.odds.slipping + p.judgement.odds.gone;
  return plantings
    .filter(
      (p) =>
        !picked.has(p.planting.id) &&
        ["look now", "take today", "take some", "clear", "past"].includes(p.judgement.verdict.kind),
    )
    .sort((a, b) => over(b) - over(a))
    .map((p) => errandOf(p, "look", LOOK_MINUTES, 0));
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
