import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, daysBetween, type IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import { BED_CLIMATES, type BedKind } from "~/core/hazards";
import {
  climateDays,
  firstPickOf,
  gardener,
  growTruly,
  measureSize,
  readCue,
  scatterOf,
  trueWeather,
  type TruePlanting,
} from "~/core/practice";
import { assess, development, readyOddsOn, type Assessment, type Development, type Look } from "~/core/readiness";
import { normalDraw, seeded } from "~/core/statistics";
import { normalsFromSeries, skyTrack, type ClimateNormals, type DailyWeather } from "~/core/weather";

/** Crops of different kinds, with the days of the year on which a garden starts them. */
export const TRUTH_CROPS: [string, number, number][] = [
  ["carrot", 80, 180],
  ["beetroot", 90, 200],
  ["radish_root", 80, 230],
  ["onion_bulb", 90, 120],
  ["potato_maincrop", 95, 130],
  ["lettuce_heading", 90, 200],
  ["cabbage", 100, 170],
  ["broccoli_head", 100, 180],
  ["kale_leaf", 110, 190],
  ["spinach", 80, 210],
  ["tomato_large", 140, 170],
  ["courgette", 125, 190],
  ["winter_squash", 130, 155],
  ["sweetcorn", 125, 165],
  ["bean_bush", 130, 195],
  ["pea_shelling", 75, 140],
  ["strawberry", 110, 140],
  ["zinnia", 125, 165],
];
const KINDS: BedKind[] = ["open", "raised", "low", "wall", "container", "frame", "tunnel"];
const YEAR = 2026;
const dayOf = (doy: number): IsoDay => addDays(`${YEAR}-01-01`, Math.round(doy) - 1);

const crops = catalogue();
export const cropOf = (id: string): Crop => crops.find((c) => c.id === id)!;

/** Six earlier years of the same place: what the garden's normals come from. */
export function placeNormals(seed: number): ClimateNormals {
  const series: DailyWeather[] = [];
  for (let y = 1; y <= 6; y++)
    for (const d of trueWeather(seed * 100 + y, `${YEAR - y}-01-01`, 365))
      series.push({ ...d, rainMm: null, windKmh: null });
  return normalsFromSeries(series)!;
}

export interface TruthCase {
  crop: Crop;
  truth: TruePlanting;
  kind: BedKind;
  weather: DailyWeather[];
  normals: ClimateNormals;
  seed: number;
  /** How unlike its garden's plants are, 1 = usual. */
  scatterSize: number;
  /** Days that an honest packet prints there for its start. */
  packet: { low: number; high: number };
}

/** One planting of the truth garden with the sky it grew under. */
export function truthCase(
  seed: number,
  [id, first, last]: [string, number, number],
  normals: ClimateNormals,
  /** What stays with a garden over its plantings; its spreads by their seed. */
  shifts?: { gardenShift: number; varietyShift: number; gardenWarmth: number; scatterSeed: number },
): TruthCase {
  const uniform = seeded(seed * 7919 + 13);
  const crop = cropOf(id);
  const startedOn = dayOf(first + (last - first) * uniform());
  const kind = KINDS[Math.floor(uniform() * KINDS.length)]!;
  const { low, high } = crop.life.heat;
  const packet = { low: climateDays(crop, startedOn, low), high: climateDays(crop, startedOn, high) };
  const span = Math.round(packet.high * 1.7) + 120;
  const { scatter, size } = scatterOf(shifts?.scatterSeed ?? seed * 13 + 5);
  const weather = trueWeather(500_000 + seed, startedOn, span);
  const truth = growTruly({
    crop,
    startedOn,
    extraC: BED_CLIMATES[kind].dayC,
    gardenShift: normalDraw(uniform),
    varietyShift: normalDraw(uniform),
    gardenWarmth: normalDraw(uniform),
    ...shifts,
    scatter,
    weather,
    seed: seed * 31 + 7,
  });
  return {
    crop,
    truth,
    kind,
    normals,
    seed,
    scatterSize: size,
    packet,
    weather: weather.map((d) => ({ ...d, rainMm: null, windKmh: null })),
  };
}

const FORECAST_DAYS = 9;

/** What the app knows on a day: the station up to yesterday, a forecast that errs more with its lead. */
export function knownTo(
  c: TruthCase,
  today: IsoDay,
  learnt?: Parameters<typeof development>[3]["learnt"],
): Development {
  const uniform = seeded(c.seed * 17 + daysBetween(c.truth.startedOn, today));
  const observed = c.weather.filter((d) => d.day < today);
  const forecast = c.weather
    .filter((d) => d.day >= today && daysBetween(today, d.day) < FORECAST_DAYS)
    .map((d) => {
      const off = (1 + 0.2 * daysBetween(today, d.day)) * normalDraw(uniform);
      return { ...d, minC: d.minC + off, maxC: d.maxC + off };
    });
  const track = skyTrack(observed, forecast, c.normals, c.truth.startedOn, today, addDays(today, 120));
  return development(c.crop, track, c.normals, {
    startedOn: c.truth.startedOn,
    extraC: BED_CLIMATES[c.kind].dayC,
    learnt,
  });
}

/** Looks at the cues that `choose` names, one after the other, and assesses after each. */
export function lookAround(
  c: TruthCase,
  dev: Development,
  today: IsoDay,
  looks: number,
  choose: (a: Assessment, taken: Look[]) => string | undefined,
  personSeed = 1,
): { assessments: Assessment[]; taken: Look[] } {
  const person = gardener(c.seed * 101 + personSeed);
  const taken: Look[] = [];
  const assessments = [assess(c.crop, dev, taken, today)];
  for (let n = 0; n < looks; n++) {
    const cueId = choose(assessments.at(-1)!, taken);
    const cue = c.crop.cues.find((q) => q.id === cueId);
    if (!cue) break;
    const reading = readCue(person, c.truth, cue, today);
    taken.push({ cueId: cue.id, readingId: reading.id, takenOn: today });
    assessments.push(assess(c.crop, dev, taken, today));
  }
  return { assessments, taken };
}

export { firstPickOf, measureSize, gardener, readyOddsOn };
