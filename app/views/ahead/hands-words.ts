import type { PlanDifference, Supposition } from "~/core/garden";
import { suppositionWords } from "../horizon/what-if-words";
import type { Planned } from "../planned";
import { listOf, nameOf, sayRoughly } from "../words";

/** Something more that the household could do, and what it brings. */
export interface HandsOffer {
  words: string;
  brings: string;
  /** To be kept as it stands. */
  suppositions: Supposition[];
}

export interface HandsTold {
  /** What the days away cost, said; null where it was not asked. */
  cost: string | null;
  offers: HandsOffer[];
}

/** Worth that is worth a sentence (150 g of courgette): our judgement. */
const WORTH_TELLING = 0.15;
const FEW_GRAMS = 50;
const MOST_NAMED = 3;

type Found = PlanDifference & { found: number };

/** What a helping hand would bring: undefined where next to nothing. */
export function offerWords(
  planned: Planned,
  s: Supposition,
  { worth, found, grams }: Found,
): (HandsOffer & { worth: number }) | undefined {
  // prettier-ignore
  const gain = worth - found;
  if (gain < WORTH_TELLING) return undefined;
  const more = grams >= FEW_GRAMS ? `brings in ${sayRoughly(grams, planned.units)} more, ` : "";
  return {
    worth: gain,
    words: suppositionWords(s, planned),
    brings: `${more}better by as much as ${sayRoughly(gain * 1000, planned.units)} of courgettes`,
    suppositions: [s],
  };
}

/**
 * What the days away cost.
 *
 * @param stay - the plan if the trip were not made, less the one that stands
 */
export function costWords(planned: Planned, { worth, found, grams, plantings }: Found): string {
  const { outlook, units } = planned;
  const cost = worth - found;
  if (cost < WORTH_TELLING) return "The days away cost next to nothing: what matters is picked before or keeps.";
  const named = plantings
    .filter((p) => p.worth >= WORTH_TELLING)
    .slice(0, MOST_NAMED)
    .flatMap(({ plantingId, worth: lost }) => {
      const p = outlook.plantings.find((x) => x.planting.id === plantingId);
      return p ? [`${nameOf(p)} (${sayRoughly((lost / p.crop.worthPerKg.value) * 1000, units)} worth)`] : [];
    });
  const less = grams >= FEW_GRAMS ? `, ${sayRoughly(grams, units)} less brought in` : "";
  const most = named.length > 0 ? ` Most of it: ${listOf(named)}.` : "";
  return `Against staying at home the days away cost as much as ${sayRoughly(cost * 1000, units)} of courgettes${less}.${most}`; // prettier-ignore
}
