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
  /** Growth of its size about the ready day, 1 per unit of development. */
  growthRate: number;
  /** First day it is ready. */
  readyOn: IsoDay | null;
}

/**
 * How gardens, varieties and seasons' plants differ from the packet, as shares of the packet's own spread
 * of days; together three quarters of it, since the rest of what a packet's range covers is the weather.
 * Then single plantings (log), the garden against its station (°C, for good), beds (°C) and days (log).
 * A variety repeats its own heat to 5 or 6 % (from memory of GDD); the shares are our judgement.
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
/** 10 and 90 % points of the normal. */
const Z90 = 1.2816;

export interface TruthInput {
  crop: Crop;
  startedOn: IsoDay;
  /** Warmth of the bed by day as its kind suggests, °C. */
  extraC: number;
  /** What stays with this garden and this variety, in standard normal units. */
  gardenShift: number;
  varietyShift: number;
  gardenWarmth: number;
  /** The season's weather from `startedOn`. */
  weather: readonly TrueDay[];
  seed: number;
}

/** Years whose mean stands for the climate a packet speaks of. */
const CLIMATE_YEARS = 60;
const CLIMATE_SEED = 90_000;
const climates = new Map<string, Float64Array>();

/** Mean heat of each day of the year for a crop, from its own set of years in open ground. */
function climateOf({ degreeDays: { baseC, upperC } }: Crop): Float64Array {
  const key = `${baseC} ${upperC}`;
  const known = climates.get(key);
  if (known) return known;
  const heat = new Float64Array(367);
  for (let y = 0; y < CLIMATE_YEARS; y++)
    trueWeather(CLIMATE_SEED + y, "2024-01-01", 366).forEach((d, i) => {
      heat[i + 1]! += trueHeat(d, baseC, upperC, 0) / CLIMATE_YEARS;
    });
  climates.set(key, heat);
  return heat;
}

/** Heat of the climate over the first `days` days of a planting. */
function climateHeat(crop: Crop, startedOn: IsoDay, days: number): number {
  const heat = climateOf(crop);
  let sum = 0;
  for (let i = 0; i < Math.round(days); i++) sum += heat[dayOfYear(addDays(startedOn, i))]!;
  return sum;
}

/**
 * Grows a planting through a season.
 *
 * @returns its true development by day; `readyOn` null when the season ends before
 */
export function growTruly(input: TruthInput): TruePlanting {
  const { crop, startedOn, extraC, weather } = input;
  const uniform = seeded(input.seed);
  const draw = () => normalDraw(uniform);
  const { low, high } = crop.packet;
  // The packet speaks of open ground.
  const lowHeat = climateHeat(crop, startedOn, low);
  const highHeat = climateHeat(crop, startedOn, high);
  const packetLog = Math.log(highHeat / lowHeat) / (2 * Z90);
  const off =
    packetLog * (DIFFERS.garden * input.gardenShift + DIFFERS.variety * input.varietyShift + DIFFERS.season * draw()) +
    DIFFERS.plantingLog * draw();
  const requirement = Math.sqrt(lowHeat * highHeat) * Math.exp(off);
  const bedC = extraC + DIFFERS.gardenC * input.gardenWarmth + DIFFERS.bedC * draw();
  const development = new Float64Array(weather.length);
  let heat = 0;
  let readyOn: IsoDay | null = null;
  weather.forEach((d, i) => {
    heat += trueHeat(d, crop.degreeDays.baseC, crop.degreeDays.upperC, bedC) * Math.exp(DIFFERS.dailyLog * draw());
    development[i] = heat / requirement;
    if (!readyOn && heat >= requirement) readyOn = d.day;
  });
  // The window is days at the pace of the ready time; being nearly ready takes about as long.
  const pace = highHeat > lowHeat ? (highHeat - lowHeat) / (high - low) : highHeat / high;
  const window = (crop.windowDays.value * pace * Math.exp(0.22 * draw())) / requirement;
  const nearly = Math.min(0.3, Math.max(0.03, window * Math.exp(0.3 * draw())));
  const over = crop.target ? Math.log((crop.target.overMm ?? 1.3 * crop.target.highMm) / crop.target.lowMm) : 0;
  return {
    crop,
    startedOn,
    requirement,
    development,
    borders: { nearly: 1 - nearly, past: 1 + Math.max(0.015, window) },
    growthRate: (over * Math.exp(0.3 * draw())) / (1.3 * Math.max(0.015, window)),
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
