import { addDays, dayOfYear, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { normalDraw, seeded } from "../statistics";
import { trueHeat, trueWeather, type TrueDay } from "./true-climate";

/** One real planting: what nobody in the garden knows. */
export interface TruePlanting {
  crop: Crop;
  startedOn: IsoDay;
  /** Heat its leading part needs to be ready, °C·d. */
  requirement: number;
  /** Development at the end of each day from the start: heat so far over heat needed. */
  development: Float64Array;
  /** Borders of its own states on development: nearly from, ready from (1), past from. */
  borders: { nearly: number; past: number };
  /** How long a piece of it stays good, usual days of its kind. */
  windowDays: number;
  /** Growth of its size about the ready day, 1 per unit of development. */
  growthRate: number;
  /** Warmth of its bed over the station by day, °C. */
  bedC: number;
  /** First day it is ready. */
  readyOn: IsoDay | null;
}

/**
 * How gardens, varieties and seasons' plants differ from the crop's own heat, as shares of its spread. Then single
 * plantings (log), the garden against its station (°C, for good), beds (°C) and days (log). Drawn per garden: each
 * lies between half and twice the middle given here (`scatterOf`). A variety repeats its own heat to 5 or 6 % (from
 * memory of GDD); the rest is our judgement, and none of it is the estimator's.
 */
const DIFFERS = {
  garden: 0.46,
  variety: 0.5,
  season: 0.3,
  plantingLog: 0.03,
  gardenC: 0.5,
  bedC: 0.35,
  dailyLog: 0.15,
} as const;
export type Scatter = Record<keyof typeof DIFFERS, number>;
/** 10 and 90 % points of the normal. */
const Z90 = 1.2816;

/** Widest that a garden's spreads lie from the middle, as a factor either way. */
const SCATTER_REACH = 2;

/**
 * The spreads of one garden.
 *
 * @returns `size`: the geometric mean of its factors, 1 = usual
 */
export function scatterOf(seed: number): { scatter: Scatter; size: number } {
  const uniform = seeded(seed);
  const common = uniform() * 2 - 1;
  let log = 0;
  const scatter = Object.fromEntries(
    Object.entries(DIFFERS).map(([key, middle]) => {
      // A garden is uneven in most ways at once, or in few.
      const off = Math.log(SCATTER_REACH) * (0.7 * common + 0.3 * (uniform() * 2 - 1));
      log += off / Object.keys(DIFFERS).length;
      return [key, middle * Math.exp(off)];
    }),
  ) as Scatter;
  return { scatter, size: Math.exp(log) };
}

/** Heat that a planting needs of its crop, and the day from which it counts. */
export interface TrueNeed {
  low: number;
  high: number;
  countsFrom: IsoDay;
  windowDays: number;
}

export interface TruthInput {
  crop: Crop;
  startedOn: IsoDay;
  /** Left out: the crop's own from its start. */
  need?: TrueNeed;
  /** Warmth of the bed by day as its kind suggests, °C. */
  extraC: number;
  /** What stays with this garden and this variety, in standard normal units. */
  gardenShift: number;
  varietyShift: number;
  gardenWarmth: number;
  /** How much this garden's plants differ; left out: as usual gardens. */
  scatter?: Scatter;
  /** The season's weather from `startedOn`. */
  weather: readonly TrueDay[];
  /** Mean heat of each day of the year there; left out: the made-up place's. */
  climate?: Float64Array;
  seed: number;
}

/** Years whose mean stands for the climate of the place. */
const CLIMATE_YEARS = 60;
const CLIMATE_SEED = 90_000;
const climates = new Map<string, Float64Array>();

/** Mean heat of each day of the year for a crop, from the made-up place's own set of years in open ground. */
function climateOf(crop: Crop): Float64Array {
  const { baseC, upperC } = crop.degreeDays;
  const key = `${baseC} ${upperC}`;
  const known = climates.get(key);
  if (known) return known;
  const years = Array.from({ length: CLIMATE_YEARS }, (_, y) => trueWeather(CLIMATE_SEED + y, "2024-01-01", 366));
  const heat = heatOfYear(crop, years.flat());
  climates.set(key, heat);
  return heat;
}

/**
 * Mean heat of each day of the year for a crop in open ground.
 *
 * @param days - of whole years
 * @returns by day of the year, 1 to 366; a day that never came has the heat of the day before
 */
export function heatOfYear({ degreeDays: { baseC, upperC } }: Crop, days: readonly TrueDay[]): Float64Array {
  const heat = new Float64Array(367);
  const count = new Float64Array(367);
  for (const d of days) {
    const doy = dayOfYear(d.day);
    heat[doy]! += trueHeat(d, baseC, upperC, 0);
    count[doy]! += 1;
  }
  for (let doy = 1; doy <= 366; doy++) heat[doy] = count[doy]! > 0 ? heat[doy]! / count[doy]! : heat[doy - 1]!;
  return heat;
}

const LONGEST_DAYS = 400;

/** Days that the climate takes to give some heat from a start: what an honest packet would print there. */
export function climateDays(crop: Crop, startedOn: IsoDay, needed: number, heat = climateOf(crop)): number {
  let sum = 0;
  for (let i = 0; i < LONGEST_DAYS; i++) {
    sum += heat[dayOfYear(addDays(startedOn, i))]!;
    if (sum >= needed) return i + 1;
  }
  return LONGEST_DAYS;
}

/**
 * Grows a planting through a season.
 *
 * @returns its true development by day; `readyOn` null when the season ends before
 */
export function growTruly(input: TruthInput): TruePlanting {
  const { crop, startedOn, extraC, weather, scatter = DIFFERS } = input;
  const need = input.need ?? { ...crop.life.heat, countsFrom: startedOn, windowDays: crop.windowDays.value };
  const uniform = seeded(input.seed);
  const draw = () => normalDraw(uniform);
  // The crop's own need, of open ground.
  const { low: lowHeat, high: highHeat } = need;
  const packetLog = Math.log(highHeat / lowHeat) / (2 * Z90);
  const off =
    packetLog * (scatter.garden * input.gardenShift + scatter.variety * input.varietyShift + scatter.season * draw()) +
    scatter.plantingLog * draw();
  const requirement = Math.sqrt(lowHeat * highHeat) * Math.exp(off);
  const bedC = extraC + scatter.gardenC * input.gardenWarmth + scatter.bedC * draw();
  const development = new Float64Array(weather.length);
  let heat = 0;
  let readyOn: IsoDay | null = null;
  weather.forEach((d, i) => {
    const gained =
      trueHeat(d, crop.degreeDays.baseC, crop.degreeDays.upperC, bedC) * Math.exp(scatter.dailyLog * draw());
    if (d.day >= need.countsFrom) heat += gained;
    development[i] = heat / requirement;
    if (!readyOn && heat >= requirement) readyOn = d.day;
  });
  // The window is days at the pace of the ready time; being nearly ready takes about as long.
  const climate = input.climate ?? climateOf(crop);
  const usual = climateDays(crop, need.countsFrom, Math.sqrt(lowHeat * highHeat), climate);
  const pace = climate[dayOfYear(addDays(need.countsFrom, usual))]!;
  const window = (need.windowDays * pace * Math.exp(0.22 * draw())) / requirement;
  const nearly = Math.min(0.3, Math.max(0.03, window * Math.exp(0.3 * draw())));
  const over = crop.target ? Math.log((crop.target.overMm ?? 1.3 * crop.target.highMm) / crop.target.lowMm) : 0;
  return {
    crop,
    startedOn,
    requirement,
    development,
    borders: { nearly: 1 - nearly, past: 1 + Math.max(0.015, window) },
    windowDays: need.windowDays,
    growthRate: (over * Math.exp(0.3 * draw())) / (1.3 * Math.max(0.015, window)),
    bedC,
    readyOn,
  };
}

/** Development on a day; 0 before the start, the last one after the season. */
export function developmentOn(plant: TruePlanting, day: IsoDay): number {
  const i = daysBetween(plant.startedOn, day);
  if (i < 0) return 0;
  return plant.development[Math.min(i, plant.development.length - 1)]!;
}

/** The first day somebody comes by and picks it: within the first half of its window. */
export function firstPickOf(plant: TruePlanting, seed: number): IsoDay | null {
  if (!plant.readyOn) return null;
  const late = Math.floor(seeded(seed)() * Math.min(6, 1 + plant.crop.windowDays.value / 2));
  return addDays(plant.readyOn, late);
}
