import { minutesFor } from "./pick-effort";
import { EFFORT_PER_MINUTE } from "./plan-problem";
import type { TaskProtection } from "./planting-offer";
import type { PlantingOutlook } from "./planting-outlook";
import type { DayTerms } from "./day-terms";
import type { GardenSky } from "./garden-sky";
import { daysThreatened } from "./protections";

/** Less than this many green pieces are not worth stripping a plant for. */
const FEW = 3;

/**
 * The outlook with the way of stripping the plants ahead of a frost: what is ripe comes off, the full-grown green ones with
 * it, to ripen indoors, and nothing after. They are worth what the crop is worth taken early.
 */
export function withStrip(p: PlantingOutlook, sky: GardenSky, terms: readonly DayTerms[]): PlantingOutlook {
  const { crop, green } = p;
  const [day] = daysThreatened(p, "frost", sky, terms).filter((n) => p.bans[n] === null && (green?.[n] ?? 0) >= FEW);
  const task = p.parts.find((part) => part.task.id === p.planting.id && part.task.repeat)?.task;
  if (day === undefined || !task) return p;
  const pieces = green![day]!;
  const minutes = pieces / crop.piecesPerMinute.value;
  const worth = (pieces * crop.pieceGrams.value * crop.worthPerKg.value * crop.worthEarly.value) / 1000;
  // The ripe ones that are not due yet by the usual pace come off too.
  const usual = minutesFor(crop, 0);
  const strip: TaskProtection = {
    taskId: task.id,
    doneOn: [day],
    minutes,
    way: {
      id: "stripped",
      acts: [],
      worth: task.worth.map((row) => row.map((w, t) => (t === day ? w + worth - EFFORT_PER_MINUTE * minutes : w))),
      minutes: task.minutes.map((row, r) => row.map((m, t) => (t > day ? null : t === day && r <= day ? (m ?? usual) + minutes : m))), // prettier-ignore
      // Only what comes off that day is in this way: left out there, the frost has the rest.
      endWorth: task.endWorth.map((w, r) => (r === day + 1 ? 0 : w)),
      ...(task.kitchen && { kitchen: task.kitchen }),
    },
  };
  return { ...p, protections: [...(p.protections ?? []), strip] };
}
