import { CholeskyDecomposition, Matrix } from "ml-matrix";
import { z } from "zod";
import type { ClimatePlace } from "./climate-table";
import type { ClimateNormals } from "./normals";
import { monthlyNormals } from "./monthly-normals";

/** Where a garden lies. */
export interface GardenPlace {
  latitude: number;
  longitude: number;
  /** Above the sea, m; null where nobody said. */
  heightM: number | null;
  /** To the nearest coast, km. */
  seaKm: number;
}

/** Usual months of a place, and how far they may be off: one standard deviation. */
export const PlaceClimate = z.object({
  lowsC: z.array(z.number()).length(12),
  highsC: z.array(z.number()).length(12),
  rainDays: z.array(z.number()).length(12),
  offC: z.number().nonnegative(),
  rainDaysOff: z.number().nonnegative(),
});
export type PlaceClimate = z.infer<typeof PlaceClimate>;

/**
 * How alike two places are, from distance, height and the sea: our judgement, its five numbers tuned on every other
 * place of the table (`npm run bench:climate`).
 */
export interface Likeness {
  /** Distance over which places grow apart, km. */
  reachKm: number;
  /** Difference of height that does so, m. */
  heightM: number;
  /** Difference in the logarithm of the distance to the sea that does so. */
  sea: number;
  /** Standard deviation of what place explains, and of what it does not, °C. */
  spreadC: number;
  grainC: number;
}
export const LIKENESS: Likeness = { reachKm: 3500, heightM: 2000, sea: 4, spreadC: 3, grainC: 0.5 };

const EARTH_KM = 6371;
const RADIANS = Math.PI / 180;
/** So wide that the table itself says how warmth falls with latitude and height. */
const FREE = 1e4;
/** Height that an untold place may have either way of the usual low ground, m. */
const UNKNOWN_HEIGHT_M = 250;
const LAPSE_C_PER_M = 0.0055;

function distanceKm(a: GardenPlace, b: GardenPlace): number {
  const [p, q] = [a.latitude * RADIANS, b.latitude * RADIANS];
  const h = Math.sin((q - p) / 2) ** 2 + Math.cos(p) * Math.cos(q) * Math.sin(((b.longitude - a.longitude) * RADIANS) / 2) ** 2; // prettier-ignore
  return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h)));
}

const seaOf = ({ seaKm }: GardenPlace) => Math.log1p(seaKm / 60);
const heightOf = ({ heightM }: GardenPlace) => heightM ?? 100;

/** What a place's warmth goes by before its neighbours are asked. */
function trendOf(place: GardenPlace): number[] {
  const away = Math.abs(place.latitude) / 30;
  const [h, sea] = [heightOf(place) / 1000, seaOf(place)];
  return [1, away, away ** 2, away ** 3, h, h * away, sea, sea * away, place.latitude < 0 ? 1 : 0];
}

function alike(a: GardenPlace, b: GardenPlace, like: Likeness): number {
  const far = distanceKm(a, b) / like.reachKm + Math.abs(heightOf(a) - heightOf(b)) / like.heightM + Math.abs(seaOf(a) - seaOf(b)) / like.sea; // prettier-ignore
  const trend = trendOf(a);
  const shared = trendOf(b).reduce((sum, t, i) => sum + t * trend[i]!, 0);
  return like.spreadC ** 2 * Math.exp(-far) + FREE * shared;
}

/** Months counted from midwinter's, so that both halves of the earth agree. */
const turned = (months: readonly number[], latitude: number) =>
  latitude < 0 ? [...months.slice(6), ...months.slice(0, 6)] : [...months];

interface Fitted {
  places: readonly ClimatePlace[];
  inverse: Matrix;
  /** Inverse times what is known: lows, highs, rain days, twelve each. */
  weights: Matrix;
}

/** Kriging: the table's own neighbourhood, as a matrix that is inverted once. */
function fitted(places: readonly ClimatePlace[], like: Likeness): Fitted {
  const n = places.length;
  const known = new Matrix(n, n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      const value = alike(places[i]!, places[j]!, like) + (i === j ? like.grainC ** 2 : 0);
      known.set(i, j, value);
      known.set(j, i, value);
    }
  const inverse = new CholeskyDecomposition(known).solve(Matrix.eye(n));
  const values = new Matrix(places.map((p) => [p.lowsC, p.highsC, p.rainDays].flatMap((m) => turned(m, p.latitude))));
  return { places, inverse, weights: inverse.mmul(values) };
}

const kept = new WeakMap<readonly ClimatePlace[], Fitted>();
function fittedOf(places: readonly ClimatePlace[]): Fitted {
  const known = kept.get(places) ?? fitted(places, LIKENESS);
  kept.set(places, known);
  return known;
}

/**
 * The usual months of a place, drawn from places that are known: by nearness, latitude, height and distance to the sea
 * (universal kriging, as in Cressie, Statistics for Spatial Data; from memory). The doubt is that of the method.
 *
 * @param places - the table
 */
export function placeClimate(places: readonly ClimatePlace[], place: GardenPlace): PlaceClimate {
  const { inverse, weights } = fittedOf(places);
  const near = places.map((p) => alike(p, place, LIKENESS));
  const row = Matrix.rowVector(near).mmul(weights).to1DArray();
  const unknown = alike(place, place, LIKENESS) + LIKENESS.grainC ** 2 - Matrix.rowVector(near).mmul(inverse).mmul(Matrix.columnVector(near)).get(0, 0); // prettier-ignore
  const off = Math.sqrt(Math.max(0.25, unknown) + (place.heightM === null ? (UNKNOWN_HEIGHT_M * LAPSE_C_PER_M) ** 2 : 0)); // prettier-ignore
  return climateOf(row, off, place.latitude);
}

/**
 * Each place of the table drawn from all the others: what the method is worth.
 *
 * @param like - tried instead of the usual likeness
 */
export function leftOut(places: readonly ClimatePlace[], like: Likeness = LIKENESS): PlaceClimate[] {
  const { inverse, weights } = fitted(places, like);
  return places.map((p, i) => {
    const pivot = inverse.get(i, i);
    const truth = [p.lowsC, p.highsC, p.rainDays].flatMap((m) => turned(m, p.latitude));
    const row = truth.map((value, k) => value - weights.get(i, k) / pivot);
    return climateOf(row, Math.sqrt(1 / pivot), p.latitude);
  });
}

/** Rain days, in days, against the doubt of lows and highs in °C: tuned with the likeness. */
const RAIN_OFF = 1.3;

function climateOf(row: readonly number[], off: number, latitude: number): PlaceClimate {
  const months = (from: number) => turned(row.slice(from, from + 12), latitude);
  const [lows, highs] = [months(0), months(12)];
  return {
    lowsC: lows.map((low, m) => Math.min(low, highs[m]! - 1)),
    highsC: highs,
    rainDays: months(24).map((d) => Math.min(31, Math.max(0, d))),
    offC: off,
    rainDaysOff: RAIN_OFF * off,
  };
}

/** A usual night strays so far from the usual low, °C; a day's mean so far: our judgement. */
const NIGHT_STRAYS_C = 4;
const DAY_STRAYS_C = 2.8;

/**
 * Normals of a place of which there is no record, wide enough for what is not known of it.
 *
 * @param climate - of the place, from the table
 */
export function normalsOfPlace({ lowsC, highsC, offC }: PlaceClimate): ClimateNormals {
  const months = lowsC.map((low, m) => [low, highsC[m]!] as const);
  const normals = monthlyNormals(months, Math.hypot(NIGHT_STRAYS_C, offC));
  return { ...normals, spreadC: normals.spreadC.map(() => Math.hypot(DAY_STRAYS_C, offC)) };
}
