import { addDays } from "~/core/calendar";
import type { PlantingOutlook } from "~/core/garden";
import type { Planned } from "../planned";
import { sayDay, sayRoughly } from "../words";

/** What leaving today's pick of a planting costs at the least, and the day that is best instead. */
export interface LeaveCost {
  /** Kilograms of courgette; all of it where no other day will do. */
  loss: number;
  /** Day index; null where no other day will do. */
  until: number | null;
}

/** Less than this is no odds, kg of courgette: our judgement. */
const NO_ODDS = 0.02;

/** Why a stop can be left, or what that costs: "keeps until Tuesday", "by tomorrow at most about 150 g worth less". */
export function leaveWords(
  { today, units }: Planned,
  p: PlantingOutlook,
  doing: "pick" | "look",
  cost: LeaveCost | null,
): string {
  if (!cost) return doing === "look" ? "the look can wait" : "it can wait";
  const grams = sayRoughly((cost.loss / p.crop.worthPerKg.value) * 1000, units);
  if (cost.until === null) return `lost if left: about ${grams} worth`;
  const day = sayDay(addDays(today, cost.until), today);
  return cost.loss < NO_ODDS ? `keeps until ${day}` : `by ${day} at most about ${grams} worth less`;
}
