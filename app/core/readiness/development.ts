import type { Crop, School } from "../crops";
import { addDays, type IsoDay } from "../calendar";
import { normalDegreeDays, thermalTime, type ClimateNormals, type SkyTrack, type ThermalTime } from "../weather";
import { asLearnt, packetNotKnown, type Learnt } from "./learning";
import { pieceSpread, type PieceSpread } from "./piece-spread";
import {
  normalDaysTo,
  normalHeat,
  requirementFromDays,
  requirementFromHeat,
  type ThermalRequirement,
} from "./requirement";

/** How a size grows about the day it reaches its target: ln size = ln target + rate · vigour · (heat − R). */
export interface Growth {
  cueId: string;
  targetMm: number;
  overMm: number;
  /** Of a plant of usual vigour, 1/(°C·d). */
  rate: number;
}

/**
 * The development coordinate of a planting: u = heat gathered ÷ heat needed; u = 1 opens the prime
 * window. Before the first pick it counts from the start, for a crop that keeps giving or is taken in
 * passes from its last full pick.
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
  growth: Growth | undefined;
  /** How far its pieces lie apart. */
  pieces: PieceSpread;
  /** Heat of the warmest usual day of the year in open ground, °C·d. */
  warmestDayHeat: number;
  /** Days that this garden's plants run ahead (+) or behind (−) the packet, when picks have told. */
  aheadDays: number;
  /** First picks it was learnt from. */
  learntFrom: number;
}

export interface DevelopmentInput {
  /** Sowing, planting, blossom or growth. */
  startedOn: IsoDay;
  /** Of a crop that keeps giving or is taken in passes; picks of others leave the clock running. */
  lastFullPickOn?: IsoDay | null;
  /** Heat to its first pick as its crop, kind and packet say; left out: the crop's own, from the start. */
  need?: { low: number; high: number; countsFrom: IsoDay; windowDays: number } | undefined;
  /** Days to the first pick instead, for what the plants give after their first crop. */
  days?: { low: number; high: number } | undefined;
  /** Warmth of the bed over the station by day, °C. */
  extraC?: number;
  /** The household's way by school id; the usual one where it has not chosen. */
  schools?: Readonly<Record<string, string>>;
  /** What first picks of this crop and variety have taught. */
  learnt?: Learnt | undefined;
}

/** A crop that stays good for long is called nearly for long, a fast one for a day or two: our judgement. */
const NEARLY = { least: 0.04, most: 0.25, again: 0.6 } as const;
/** Oversize is reached this many windows after the target: our judgement. */
const OVERSIZE_AFTER = 1.35;

/** Sets up the development of a planting. */
export function development(
  crop: Crop,
  track: SkyTrack,
  normals: ClimateNormals,
  input: DevelopmentInput,
): Development {
  const { startedOn, lastFullPickOn = null, extraC = 0, schools = {}, learnt = packetNotKnown } = input;
  const { baseC, upperC } = crop.degreeDays;
  const again = crop.mode !== "once" && lastFullPickOn && crop.again ? crop.again : undefined;
  const cycle = again ? "again" : "first";
  const need = input.need ?? { ...crop.life.heat, countsFrom: startedOn, windowDays: crop.windowDays.value };
  const days = again ?? input.days;
  const from = again && lastFullPickOn ? addDays(lastFullPickOn, 1) : days ? startedOn : need.countsFrom;
  // The need is of open ground: a tunnel's warmth shortens the days, it does not lengthen the need.
  const plain = days
    ? requirementFromDays(normals, from, Math.max(0.5, days.low), Math.max(0.5, days.high), baseC, upperC)
    : fromHeat(need, normals, baseC, upperC);
  const requirement = days ? plain : asLearnt(learnt, plain);
  const readyAfter = normalDaysTo(plain.median, normals, from, baseC, upperC);
  const heatNear = (days: number) => normalHeat(normals, addDays(from, readyAfter), days, baseC, upperC);
  const closes = 1 + Math.max(0.02, heatNear(days ? crop.windowDays.value : need.windowDays) / plain.median);
  const nearlyFrom = again ? NEARLY.again : 1 - Math.min(NEARLY.most, Math.max(NEARLY.least, closes - 1));
  const { target } = crop;
  const overMm = target ? (target.overMm ?? target.highMm * 1.3) : 0;
  return {
    cycle,
    startedOn: from,
    thermal: thermalTime(track, from, baseC, upperC, extraC),
    requirement,
    nearlyFrom,
    closes,
    prime: primeWindow(windowSchool(crop), schools, nearlyFrom, closes),
    growth: target && {
      cueId: target.cue,
      targetMm: target.lowMm,
      overMm,
      rate: Math.log(overMm / target.lowMm) / (OVERSIZE_AFTER * (closes - 1) * requirement.median),
    },
    pieces: pieceSpread(crop, cycle),
    warmestDayHeat: warmestDayHeat(normals, baseC, upperC),
    aheadDays: again ? 0 : (plain.median - requirement.median) / Math.max(0.3, heatNear(7) / 7),
    learntFrom: again ? 0 : learnt.picks,
  };
}

/** Heat of the days about the time it is ready tells how far a bed's own warmth may carry it. */
function fromHeat(
  { low, high, countsFrom }: { low: number; high: number; countsFrom: IsoDay },
  normals: ClimateNormals,
  baseC: number,
  upperC: number,
): ThermalRequirement {
  const days = normalDaysTo(high, normals, countsFrom, baseC, upperC);
  return requirementFromHeat(low, high, high / days);
}

/** By climate and limits: asked for by every planting of a garden alike. */
const warmest = new WeakMap<ClimateNormals, Map<string, number>>();

function warmestDayHeat(normals: ClimateNormals, baseC: number, upperC: number): number {
  const of = warmest.get(normals) ?? new Map<string, number>();
  warmest.set(normals, of);
  const key = `${baseC} ${upperC}`;
  const known = of.get(key);
  if (known !== undefined) return known;
  let most = 0;
  for (let doy = 1; doy <= 366; doy += 5) most = Math.max(most, normalDegreeDays(normals, doy, baseC, upperC));
  of.set(key, most);
  return most;
}

/** The school of a crop that moves its window: at most one does. */
export function windowSchool(crop: Crop): School | undefined {
  return crop.schools.find((s) => s.options.some((o) => o.window));
}

function primeWindow(
  school: School | undefined,
  chosen: Readonly<Record<string, string>>,
  nearlyFrom: number,
  closes: number,
) {
  const id = school && (chosen[school.id] ?? school.usual);
  const option = school?.options.find((o) => o.id === id)?.window ?? { opens: 0, closes: 1 };
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
