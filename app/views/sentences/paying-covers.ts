import type { PayingCover } from "~/core/garden";
import type { Planned } from "../planned";
import { usualCover } from "~/core/hazards";
import { capital, counted, cropNames, listOf, sayNight, sayRoughly } from "../words";
import type { GardenSentence } from "./garden";

/** Covers that pay, in sentences: which bed, on which nights, in how many minutes, and what it saves. */
export function coverSentences({ outlook, today, units }: Planned, covers: readonly PayingCover[]): GardenSentence[] {
  return covers.flatMap(({ evenings, minutes, gain, plantingIds }) => {
    const saved = outlook.plantings.filter((p) => plantingIds.includes(p.planting.id));
    const [first] = saved;
    if (!first) return [];
    const isIn = usualCover(first.bed.kind) === "indoors";
    const nights = listOf(evenings.map((e) => sayNight(e, today)));
    // Worth is told in the crop that most is saved of.
    const worth = sayRoughly((gain / first.crop.worthPerKg.value) * 1000, units);
    return [
      {
        plantingId: null,
        lead: isIn ? `Bring in ${first.bed.name}` : `Cover ${first.bed.name}`,
        text: `${isIn ? capital(listOf(cropNames(saved))) : `Light fleece over ${listOf(cropNames(saved))}`} ${nights}, about ${counted(Math.round(minutes), "minute")}: saves about ${worth} worth. Note it under Sky & away once ${isIn ? "they are in" : "it lies"}.`,
        urgent: evenings.includes(today),
      },
    ];
  });
}
