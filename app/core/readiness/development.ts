import type { Crop, School } from "../crops";
import { addDays, type IsoDay } from "../calendar";
import { thermalTime, type ClimateNormals, type SkyTrack, type ThermalTime } from "../weather";
import { normalHeat, requirementFromDays, type ThermalRequirement } from "./requirement";

/**
 * The development coordinate of a planting: u = heat gathered ÷ heat needed; u = 1 opens the prime
 * window. Before the first pick it counts from the start, for a crop that keeps giving from its last
 * full pick.
 */
export interface Development {
  cycle: "first" | "again";
  startedOn: IsoDay;
  thermal: ThermalTime;
  requirement: ThermalRequirement;
  /** u from which the crop reads as nearly ready. */
  nearlyFrom: number;
  /** u at which the base window closes, > 1. */
  closes: number;
  /** The household's own prime window on u. */
  prime: { opens: number; closes: number };
}

/** Share of the way to ready at which a crop is called nearly: our judgement. */
const NEARLY_FROM = { first: 0.88, again: 0.6 } as const;

/**
 * Sets up the development of a planting.
 *
 * @param startedOn - sowing, planting or blossom
 * @param lastFullPickOn - of a crop that keeps giving; earlier picks of others leave the clock running
 * @param packet - days of this variety's packet when known, else the crop's
 * @param extraC - warmth of the bed over the station by day, °C
 * @param schoolOption - id of the household's choice; the crop's usual one when left out
 */
export function development(
  crop: Crop,
  track: SkyTrack,
  normals: ClimateNormals,
  startedOn: IsoDay,
  lastFullPickOn: IsoDay | null,
  packet: { low: number; high: number } | null,
  extraC = 0,
  schoolOption?: string,
): Development {
  const { baseC, upperC } = crop.degreeDays;
  const again = crop.mode === "repeat" && lastFullPickOn && crop.again ? crop.again : undefined;
  const cycle = again ? "again" : "first";
  const from = again && lastFullPickOn ? addDays(lastFullPickOn, 1) : startedOn;
  const { low, high } = again ? { low: Math.max(0.5, again.low), high: again.high } : (packet ?? crop.packet);
  const requirement = requirementFromDays(normals, from, low, high, baseC, upperC, extraC);
  const readyAfter = Math.round((low + high) / 2);
  const windowHeat = normalHeat(normals, addDays(from, readyAfter), crop.windowDays.value, baseC, upperC, extraC);
  const closes = 1 + Math.max(0.02, windowHeat / requirement.median);
  const nearlyFrom = NEARLY_FROM[cycle];
  return {
    cycle,
    startedOn: from,
    thermal: thermalTime(track, from, baseC, upperC, extraC),
    requirement,
    nearlyFrom,
    closes,
    prime: primeWindow(crop.school, schoolOption, nearlyFrom, closes),
  };
}

function primeWindow(school: School | undefined, chosen: string | undefined, nearlyFrom: number, closes: number) {
  const option = school?.options.find((o) => o.id === (chosen ?? school.usual)) ?? { opens: 0, closes: 1 };
  const at = (share: number) => 1 + share * (share < 0 ? 1 - nearlyFrom : closes - 1);
  return { opens: at(option.opens), closes: at(option.closes) };
}

/**
 * Stage coordinate σ of a development u: 0 early, 1 nearly, 2 ready, 3 past are the middles of the
 * states that cue readings speak of; halves are the borders between them.
 *
 * @returns −1.5 to 4.5, rising with u
 */
export function stageCoordinate(u: number, nearlyFrom: number, closes: number): number {
  const nearly = 1 - nearlyFrom;
  const ready = closes - 1;
  if (u < nearlyFrom) return Math.max(-1.5, 0.5 - (nearlyFrom - u) / (2 * nearly));
  if (u < 1) return 0.5 + (u - nearlyFrom) / nearly;
  if (u < closes) return 1.5 + (u - 1) / ready;
  return Math.min(4.5, 2.5 + (u - closes) / Math.max(ready, 0.1));
}
