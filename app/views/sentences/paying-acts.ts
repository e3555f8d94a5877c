import type { PayingAct, PlantingOutlook } from "~/core/garden";
import { usualCover } from "~/core/hazards";
import type { Planned } from "../planned";
import { capital, counted, cropNames, inBed, listOf, sayDay, sayNight, sayRoughly } from "../words";
import type { GardenSentence } from "./garden";

/** Acts beside picking that pay, in sentences: where, when, in how many minutes, and what it brings. */
export function actSentences({ outlook, today, units }: Planned, acts: readonly PayingAct[]): GardenSentence[] {
  return acts.flatMap((act) => {
    const saved = outlook.plantings.filter((p) => act.plantingIds.includes(p.planting.id));
    const [first] = saved;
    if (!first) return [];
    const { lead, how, then } = wordsOf(act, first.bed, listOf(cropNames(saved)), today);
    // Worth is told in the crop that most is saved of.
    const worth = sayRoughly((act.gain / first.crop.worthPerKg.value) * 1000, units);
    const text = `${how}, about ${counted(Math.max(1, Math.round(act.minutes)), "minute")}: saves about ${worth} worth. ${then}`; // prettier-ignore
    return [{ plantingId: null, lead, text, urgent: act.days.includes(today) }];
  });
}

function wordsOf({ way, days }: PayingAct, bed: PlantingOutlook["bed"], crops: string, today: string) {
  const nights = listOf(days.map((day) => sayNight(day, today)));
  const noted = (laid: string) => `Note it under Sky & away once ${laid}.`;
  switch (way) {
    case "covered":
      return usualCover(bed.kind) === "indoors"
        ? { lead: `Bring in ${bed.name}`, how: `${capital(crops)} ${nights}`, then: noted("they are in") }
        : { lead: `Cover ${bed.name}`, how: `Light fleece over ${crops} ${nights}`, then: noted("it lies") };
    case "netted":
      return { lead: `Net ${bed.name}`, how: `Fine net on hoops over ${crops} before ${sayDay(days[0]!, today)} brings hail`, then: noted("it stands") }; // prettier-ignore
    case "shaded":
      return { lead: `Shade ${bed.name}`, how: `Shade cloth over ${crops} from ${sayDay(days[0]!, today)} while the heat lasts`, then: noted("it hangs") }; // prettier-ignore
    case "stripped":
      return { lead: "Pick green", how: `${capital(crops)} ${inBed(bed)}: the full-grown green ones too, ${sayDay(days[0]!, today)} before the frost`, then: "They ripen indoors." }; // prettier-ignore
  }
}
