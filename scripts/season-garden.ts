import { catalogue } from "~/catalogue/catalogue.server";
import { forecastDays } from "~/adapters/simulated/told";
import { replayTruth, type Truth } from "~/adapters/simulated/truth";
import { addDays, daysBetween, weekday, type IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import type { BedKind } from "~/core/hazards";
import { BED_CLIMATES } from "~/core/hazards";
import { cropCalendar, heatNeed, kindOf, type CropLife } from "~/core/life";
import { TrueStand, bearTruly, climateDays, gardener, growTruly, heatOfYear, readableCues, scatterOf, type Gardener, type TruePlanting } from "~/core/practice"; // prettier-ignore
import { normalDraw, seeded } from "~/core/statistics";
import { measuredError, normalsFromSeries, type ClimateNormals, type DailyWeather, type ForecastDay, type ForecastError } from "~/core/weather"; // prettier-ignore
import type { Series } from "./sky-backtest";

/** Crops of single years whose cues somebody can read on the way. */
const GROWN = catalogue().filter((c) => !c.perennial && readableCues(c).length > 0 && c.life.kinds.length > 0);
const BEDS: BedKind[] = ["open", "open", "raised", "open", "low", "wall"];
/** About so much of each is grown, kg, times e to the spread; nobody grows what takes longer than so many minutes to pick. */
const GROWS = { kg: 10, spread: 0.5, minutes: 150 } as const;
/** Minutes of Monday to Sunday, before the household's own factor. */
const WEEK = [15, 0, 20, 0, 15, 50, 25];
const SEASON = { from: "-04-20", to: "-11-20" } as const;
/** What is not ready by this date is not sown for the season. */
const READY_BY = "-10-25";
/** Lives of an average season start so many days either way of their usual days. */
const START_SPREAD = 6;
const BETWEEN_DAYS = 10;

export interface SeasonPlanting {
  id: string;
  crop: Crop;
  bed: number;
  plants: number;
  startedOn: IsoDay;
  startEvent: "sown" | "planted";
  truth: TruePlanting;
  packet: { low: number; high: number };
  /** As it stands at the season's first day: each policy has its own. */
  stand: () => TrueStand;
}

export interface SeasonGarden {
  seed: number;
  year: number;
  latitude: number;
  beds: BedKind[];
  plantings: SeasonPlanting[];
  days: IsoDay[];
  /** Minutes of free hands on each day; 0 when away. */
  minutes: number[];
  week: number[];
  trips: { name: string; from: IsoDay; to: IsoDay }[];
  /** The record up to the first day, and the season as it comes. */
  record: DailyWeather[];
  came: Map<IsoDay, DailyWeather>;
  truth: Truth;
  normals: ClimateNormals;
  error: ForecastError;
}

/** A place that the gardens of a bench share: a daily series, split into a record and a year that comes. */
export interface SeasonPlace {
  truth: Truth;
  year: number;
  latitude: number;
  record: DailyWeather[];
  came: Map<IsoDay, DailyWeather>;
  normals: ClimateNormals;
  error: ForecastError;
  lives: Map<string, CropLife[]>;
  heat: Map<string, Float64Array>;
}

const LEARN_SEED = 77;

/** The place as it stands at the start of the series' last whole year. */
export function seasonPlace({ days, learn, test }: Series, latitude: number): SeasonPlace {
  const truth = replayTruth("series", days, Number(days[0]!.day.slice(0, 4)));
  const seen = (d: DailyWeather): DailyWeather => {
    const { minC, maxC, rainMm, windKmh, dewPointC, cloudShare } = truth.dayOf(d.day)!;
    return { day: d.day, minC, maxC, rainMm, windKmh, dewPointC, cloudShare };
  };
  const record = learn.map(seen);
  const normals = normalsFromSeries(learn);
  if (!normals) throw new Error("The years to learn from do not cover the year.");
  const archive = learn.flatMap((d) => forecastDays(truth, d.day, LEARN_SEED).map((told): ForecastDay => ({ ...told, issuedOn: d.day }))); // prettier-ignore
  const year = Number(test[0]!.day.slice(0, 4));
  return {
    truth,
    year,
    latitude,
    record,
    came: new Map(test.map((d) => [d.day, seen(d)])),
    normals,
    error: measuredError(archive, record, normals),
    lives: new Map(GROWN.map((c) => [c.id, cropCalendar(c, { normals, latitude }, `${year - 1}-12-01`).filter((l) => isOfSeason(l, year))])), // prettier-ignore
    heat: new Map(GROWN.map((c) => [c.id, heatOfYear(c, learn)])),
  };
}

const isOfSeason = ({ start, firstPick }: CropLife, year: number) =>
  start.event !== "stands" && start.on >= `${year}-01-15` && firstPick !== null && firstPick >= `${year}-05-10` && firstPick <= `${year}${READY_BY}`; // prettier-ignore

/** A garden of about so many plantings, its plants' truth and the household's hands: `hands` times the usual minutes. */
export function seasonGarden(place: SeasonPlace, seed: number, size: number, hands = 1): SeasonGarden {
  const random = seeded(seed * 7919 + 17);
  const below = (n: number) => Math.floor(random() * n);
  const { year, truth } = place;
  const days = Array.from({ length: daysBetween(`${year}${SEASON.from}`, `${year}${SEASON.to}`) + 1 }, (_, n) => addDays(`${year}${SEASON.from}`, n)); // prettier-ignore
  const beds = Array.from({ length: Math.max(3, Math.round(size / 4)) }, () => BEDS[below(BEDS.length)]!);
  const garden = { shift: normalDraw(random), warmth: normalDraw(random), bears: normalDraw(random) };
  const { scatter } = scatterOf(seed * 13 + 5);
  const grown = GROWN.filter((c) => place.lives.get(c.id)!.length > 0);
  const plantings: SeasonPlanting[] = [];
  for (let n = 0; plantings.length < size && n < size * 4; n++) {
    const crop = grown[below(grown.length)]!;
    const lives = place.lives.get(crop.id)!;
    const { start } = lives[below(lives.length)]!;
    const startedOn = addDays(start.on, Math.round(START_SPREAD * normalDraw(random)));
    // Between two kinds of a crop the household knows which it is, and the bench does not say.
    const kinds = [-BETWEEN_DAYS, 0, BETWEEN_DAYS].map((off) => kindOf(crop, { startEvent: start.event as "sown", startedOn: addDays(startedOn, off) }, place.normals)?.id); // prettier-ignore
    if (new Set(kinds).size > 1) continue;
    const bed = below(beds.length);
    const kgEach = Math.sqrt(crop.life.yield.low * crop.life.yield.high);
    const most = (GROWS.minutes * crop.piecesPerMinute.value * crop.pieceGrams.value) / 1000;
    const kg = Math.min(most, GROWS.kg * Math.exp(GROWS.spread * normalDraw(random)));
    const plants = Math.max(1, Math.min(400, Math.round(kg / kgEach)));
    const span = daysBetween(startedOn, days.at(-1)!) + 3;
    const weather = Array.from({ length: span }, (_, i) => truth.dayOf(addDays(startedOn, i))!);
    const event = start.event as "sown" | "planted";
    const need = heatNeed(crop, { startEvent: event, startedOn, startDoubtDays: 0, seasonCrop: "main", packet: null }, place.normals, place.latitude)!; // prettier-ignore
    const plant = growTruly({
      crop,
      startedOn,
      need,
      extraC: BED_CLIMATES[beds[bed]!].dayC,
      gardenShift: garden.shift,
      varietyShift: normalDraw(random),
      gardenWarmth: garden.warmth,
      scatter,
      weather,
      climate: place.heat.get(crop.id)!,
      seed: seed * 1009 + n,
    });
    const pieces = bearTruly(plant, plants, weather, garden.bears, seed * 2003 + n);
    const heat = place.heat.get(crop.id)!;
    const daysTo = (needed: number) => daysBetween(startedOn, need.countsFrom) + climateDays(crop, need.countsFrom, needed, heat); // prettier-ignore
    plantings.push({
      id: `p${n}`,
      crop,
      bed,
      plants,
      startedOn,
      startEvent: event,
      truth: plant,
      packet: { low: daysTo(need.low), high: daysTo(need.high) },
      stand: () => new TrueStand(pieces, { ...BED_CLIMATES[beds[bed]!], sheltered: false }, weather, seed * 3001 + n),
    });
  }
  const factor = 0.8 + 0.5 * random();
  const week = WEEK.map((m) => Math.round((hands * m * factor * size) / 18));
  const trips = [0.25, 0.6].flatMap((at, k) => {
    if (random() < 0.25) return [];
    const from = days[Math.floor(days.length * (at + 0.2 * random()))]!;
    return [{ name: `trip ${k + 1}`, from, to: addDays(from, 2 + below(8)) }];
  });
  const away = (day: IsoDay) => trips.some((t) => t.from <= day && day <= t.to);
  return { ...place, seed, beds, plantings, days, week, trips, minutes: days.map((d) => (away(d) ? 0 : week[weekday(d)]!)) }; // prettier-ignore
}

export const eyesOf = (garden: SeasonGarden): Gardener[] => garden.plantings.map((_, n) => gardener(garden.seed * 101 + n)); // prettier-ignore
