import { addDays, daysBetween } from "../calendar";
import { usualCover, type BedKind, type CoverKind, type CoverNight, type Threat } from "../hazards";
import { trackIndex } from "../weather";
import type { DayTerms } from "./day-terms";
import type { GardenSky } from "./garden-sky";
import { EFFORT_PER_MINUTE } from "./plan-problem";
import type { ProtectionWay, TaskProtection } from "./planting-offer";
import type { PlantingOutlook } from "./planting-outlook";

/** Beds that a cover laid for the night can be put on. */
export const COVERABLE: readonly BedKind[] = ["open", "raised", "low", "wall", "container"];
/** Laying a cover over a planting and making it fast, or carrying its pots in and out again: our judgement. */
export const COVER_MINUTES = 3;
/** A night or day that takes less than this share is not covered for: our judgement. */
const WORTH_COVERING = 0.1;
const MOST_NIGHTS = 4;

/** What shields a bed from what: laid anew for each night, or once for the days it stays. */
interface Protection {
  /** Of the way. */
  id: ProtectionWay;
  against: Threat["kind"];
  cover: (kind: BedKind) => CoverKind;
  eachNight: boolean;
}

const PROTECTIONS: readonly Protection[] = [
  { id: "covered", against: "frost", cover: usualCover, eachNight: true },
  { id: "netted", against: "hail", cover: () => "net", eachNight: false },
  { id: "shaded", against: "heat", cover: () => "shade", eachNight: false },
];

/** Days ahead, the soonest first, on which something takes enough of a planting to act, and that somebody is there for. */
export function daysThreatened(
  p: PlantingOutlook,
  against: Threat["kind"],
  sky: GardenSky,
  terms: readonly DayTerms[],
): number[] {
  const isCalled = (n: number) => sky.track.source[trackIndex(sky.track, sky.today) + n + 1] !== "normal";
  const days = p.survival.threats
    .filter((t) => t.kind === against && t.loss >= WORTH_COVERING && t.act !== "earth up" && t.act !== "leave")
    .map((t) => daysBetween(sky.today, t.lastDayBefore))
    .filter((n) => n >= 0 && n < terms.length && terms[n]!.minutes > 0 && isCalled(n));
  return [...new Set(days)].sort((a, b) => a - b).slice(0, MOST_NIGHTS);
}

/**
 * The outlook with its tasks in other ways: under covers, nets or shade, where something is ahead that these take
 * something from.
 *
 * @param under - the planting looked ahead with covers on some evenings
 */
export function withProtections(
  bare: PlantingOutlook,
  under: (nights: CoverNight[]) => PlantingOutlook,
  sky: GardenSky,
  terms: readonly DayTerms[],
): PlantingOutlook {
  if (!COVERABLE.includes(bare.bed.kind)) return bare;
  const protections = PROTECTIONS.flatMap((protection) => {
    const days = daysThreatened(bare, protection.against, sky, terms);
    return days.length > 0 ? shielded(bare, under, sky, protection, days) : [];
  });
  return protections.length > 0 ? { ...bare, protections: [...(bare.protections ?? []), ...protections] } : bare;
}

function shielded(
  bare: PlantingOutlook,
  under: (nights: CoverNight[]) => PlantingOutlook,
  sky: GardenSky,
  { id, cover, eachNight }: Protection,
  days: readonly number[],
): TaskProtection[] {
  const covered = under(days.map((n) => ({ bedId: bare.bed.id, evening: addDays(sky.today, n), cover: cover(bare.bed.kind) }))); // prettier-ignore
  const gaining = bare.parts.flatMap(({ task }) => {
    const offer = covered.parts.find((part) => part.task.id === task.id)?.task;
    if (!offer || offer.repeat !== task.repeat) return [];
    const gains = offer.endWorth[0]! > task.endWorth[0]! + 0.01 || offer.worth[0]!.some((w, t) => w > task.worth[0]![t]! + 0.01); // prettier-ignore
    return gains ? [offer] : [];
  });
  // One cover lies over all parts of a planting.
  const minutes = COVER_MINUTES / gaining.length;
  const acts = (eachNight ? days : days.slice(0, 1)).map((day) => ({
    day,
    minutes,
    cost: minutes * EFFORT_PER_MINUTE,
  }));
  return gaining.map(({ id: taskId, worth, minutes, endWorth, kitchen }) => ({
    taskId,
    way: { id, acts, worth, minutes, endWorth, ...(kitchen && { kitchen }) },
    doneOn: acts.map((act) => act.day),
    minutes: COVER_MINUTES * acts.length,
  }));
}
