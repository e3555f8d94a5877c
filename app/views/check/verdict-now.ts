import type { IsoDay } from "~/core/calendar";
import type { PlantingOutlook } from "~/core/garden";
import type { UnitSystem } from "~/core/units";
import { stageInWords } from "../sentences/stage";
import { conflictSentence, verdictSentence } from "../sentences/verdict";

/** Verdicts that ask for a hand now. */
const URGENT = ["take today", "take some", "take early", "clear", "past", "unfit", "settle", "hold"];

export type VerdictNow = ReturnType<typeof verdictNow>;

/** The verdict as the arc and the words above the cues show it: what moves as they are tapped. */
export function verdictNow({ crop, judgement: j }: PlantingOutlook, today: IsoDay, units: UnitSystem) {
  return {
    arc: j.arc,
    stage: stageInWords(j.odds),
    verdict: verdictSentence({ ...j.verdict, said: [] }, { crop, today, units }),
    urgent: URGENT.includes(j.verdict.kind),
    conflict: j.conflict && conflictSentence(j.conflict),
  };
}
