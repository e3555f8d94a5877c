import type { IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { thermalSumOn } from "../weather";
import type { Development } from "./development";
import { requirementAt, type Posterior } from "./requirement-grid";

/** A tree or bush is in flower and small fruit up to this share of its heat from blossom: our judgement. */
const FLOWER_UNTIL = 0.35;
/** What is sown flowers in this share of its heat before the first pod: our judgement. */
const FLOWER_FROM = 0.72;
/** What ripens indoors from green hangs full-grown from this share of its heat on: our judgement. */
const GREEN_FROM = 0.8;

/** How old a planting is on a day, as far as cold goes. */
export function ageOn(crop: Crop, dev: Development, p: Posterior, day: IsoDay): "young" | "flower" | "part" {
  if (dev.cycle === "again") return "part";
  const u = thermalSumOn(dev.thermal, day) / middleOf(p);
  if (crop.packet.from === "blossom") return u < FLOWER_UNTIL ? "flower" : "part";
  if (u >= dev.nearlyFrom || (crop.indoors?.fromGreenDays !== undefined && u >= GREEN_FROM)) return "part";
  return crop.life.cold.flower && u >= FLOWER_FROM ? "flower" : "young";
}

/** Median of the heat needed, °C·d. */
function middleOf(p: Posterior): number {
  return requirementAt(p, p.cdf.findIndex((c) => c >= 0.5)); // prettier-ignore
}
