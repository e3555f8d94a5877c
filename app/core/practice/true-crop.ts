import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { normalDraw, seeded } from "../statistics";
import { trueHeat, type TrueDay } from "./true-climate";
import type { TruePlanting } from "./true-planting";

/** Pieces that really come ready, day by day from the planting's start. */
export interface TrueCrop {
  plant: TruePlanting;
  plants: number;
  readyOn: Float64Array;
}

/** How freely gardens and plantings bear (log), and how uneven the days are (log): our judgement. */
const BEARS = { garden: 0.22, planting: 0.2, day: 0.25 } as const;
/** A crop comes in over its first part and goes over its last, each planting in its own way: our judgement. */
const SHAPE = { rise: [0.08, 0.28], firstShare: [0.08, 0.45], fall: [0.1, 0.35] } as const;
/** A summer day of 14 to 26 °C. */
const WARM_DAY = { minC: 14, maxC: 26 } as const;
const USUAL_PACE = 0.8;

/**
 * What a true planting bears: the middle of its crop's yields times how freely garden and planting bear, over its
 * own length of bearing, by the warmth of the days and unevenly. Knows the crop's facts, nothing of the estimator.
 *
 * @param gardenBears - stays with a garden, in standard normal units
 */
export function bearTruly(
  plant: TruePlanting,
  plants: number,
  weather: readonly TrueDay[],
  gardenBears: number,
  seed: number,
): TrueCrop {
  const { crop } = plant;
  const uniform = seeded(seed);
  const draw = () => normalDraw(uniform);
  const { low, high } = crop.life.yield;
  const vigour = Math.exp(BEARS.garden * gardenBears + BEARS.planting * draw());
  const pieces = (plants * 1000 * Math.sqrt(low * high) * vigour) / crop.pieceGrams.value;
  const readyOn = new Float64Array(weather.length);
  if (!plant.readyOn) return { plant, plants, readyOn };
  const span = spanOf(crop);
  if (!span) {
    readyOn[daysBetween(plant.startedOn, plant.readyOn)] = pieces;
    return { plant, plants, readyOn };
  }
  const length = span.low * (span.high / span.low) ** uniform();
  const first = daysBetween(plant.startedOn, plant.readyOn);
  const between = ([low, high]: readonly [number, number]) => low + (high - low) * uniform();
  const shape = { rise: between(SHAPE.rise), firstShare: between(SHAPE.firstShare), fall: between(SHAPE.fall) };
  const warm = trueHeat(WARM_DAY, crop.degreeDays.baseC, crop.degreeDays.upperC, 0);
  let age = 0;
  for (let i = first; i < weather.length && age < length; i++) {
    const pace = trueHeat(weather[i]!, crop.degreeDays.baseC, crop.degreeDays.upperC, plant.bedC) / warm;
    const share = shapeAt(age / length, shape) / (length * wholeOf(shape));
    const growth = crop.mode === "repeat" ? pace / USUAL_PACE : 1;
    readyOn[i] = pieces * share * growth * Math.exp(BEARS.day * draw() - BEARS.day ** 2 / 2);
    age += Math.min(1.25, Math.max(0.5, pace / USUAL_PACE));
  }
  return { plant, plants, readyOn };
}

/** Days over which its pieces come; undefined for what is ready all at once. */
function spanOf({ mode, life }: Crop): { low: number; high: number } | undefined {
  if (mode === "once") return life.taking.way === "in stages" ? life.taking.days : undefined;
  return life.bearing;
}

interface Shape {
  rise: number;
  firstShare: number;
  fall: number;
}

function shapeAt(part: number, { rise, firstShare, fall }: Shape): number {
  if (part < rise) return firstShare + ((1 - firstShare) * part) / rise;
  return part > 1 - fall ? Math.max(0, (1 - part) / fall) : 1;
}

/** The area under the shape. */
const wholeOf = ({ rise, firstShare, fall }: Shape) => 1 - (rise * (1 - firstShare)) / 2 - fall / 2;

/** Pieces that hang ready on a day if all was taken on an earlier one; all since the start where nothing was. */
export function readyPieces({ plant, readyOn }: TrueCrop, takenOn: IsoDay | null, day: IsoDay): number {
  const from = takenOn ? daysBetween(plant.startedOn, addDays(takenOn, 1)) : 0;
  let sum = 0;
  for (let i = Math.max(0, from); i <= daysBetween(plant.startedOn, day) && i < readyOn.length; i++) sum += readyOn[i]!;
  return sum;
}
