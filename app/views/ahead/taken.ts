import { plannedPicks, type PlannedPick, type PlantingOutlook } from "~/core/garden";
import type { Planned } from "../planned";
import { howToTake, notToDo } from "../sentences/how-to";
import { sayPlannedDay } from "../sentences/pick";
import { nameOf, sayDay, sayExpected, sayRoughly } from "../words";

/** A pick of a planting on a sheet. */
export interface Taking {
  plantingId: string;
  name: string;
  bed: string;
  amount: string;
  how: string;
  not: string;
  /** Why now: early, green, before the frost. */
  because: string | null;
}

/** Picks of a day, bed after bed. */
export interface DayTaken {
  day: string;
  words: string;
  brings: string;
  takes: Taking[];
}

/** The picks that the plan has on some days, in walking order. */
export function takenOn(
  planned: Planned,
  days: readonly number[],
  why: (p: PlantingOutlook) => string | null,
): DayTaken[] {
  // prettier-ignore
  const { outlook, plan, today, units } = planned;
  const inOrder = [...outlook.plantings].sort((a, b) => a.bed.position - b.bed.position);
  return days.flatMap((n): DayTaken[] => {
    const picks = inOrder.flatMap((p) => plannedPicks(p, plan.picks).filter((pick) => pick.day === n).map((pick) => ({ p, pick }))); // prettier-ignore
    if (picks.length === 0) return [];
    const grams = picks.reduce((sum, { p, pick }) => sum + pick.pieces * p.crop.pieceGrams.value, 0);
    return [
      {
        day: outlook.days[n]!,
        words: sayDay(outlook.days[n]!, today),
        brings: sayRoughly(grams, units),
        takes: picks.map(({ p, pick }) => takingOf(planned, p, pick, why(p))),
      },
    ];
  });
}

function takingOf(planned: Planned, p: PlantingOutlook, { day, pieces }: PlannedPick, because: string | null): Taking {
  const { verdict } = p.judgement;
  const part = sayPlannedDay(planned, p, day).replace(sayDay(planned.outlook.days[day]!, planned.today), "").trim();
  return {
    plantingId: p.planting.id,
    name: nameOf(p),
    bed: p.bed.name,
    amount: [sayExpected(p.crop, pieces, p.doubt, planned.units), part].filter(Boolean).join(", "),
    how: howToTake(p.crop, p.ways, verdict).replace(/^When it is ready: /, ""),
    not: notToDo(p.crop, p.ways, verdict),
    because,
  };
}

/** What is taken before its time, and what becomes of it. */
export function earlyWords({ crop, judgement: { verdict } }: PlantingOutlook): string | null {
  if (verdict.kind !== "take early" || verdict.because.why !== "would be lost") return null;
  const indoors = crop.indoors ? ` ${crop.indoors.text}` : "";
  return verdict.because.from === "green" ? `The full-grown green ones too.${indoors}` : `A little early.${indoors}`;
}

/** Plantings that the plan does not pick on some days. */
export const untaken = ({ outlook, plan }: Planned, days: readonly number[]): PlantingOutlook[] =>
  outlook.plantings.filter((p) => !plannedPicks(p, plan.picks).some((pick) => days.includes(pick.day)));
