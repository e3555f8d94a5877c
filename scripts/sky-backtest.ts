import { readFileSync } from "node:fs";
import { forecastDays, type ForecastMiss } from "~/adapters/simulated/told";
import { replayTruth, type Truth } from "~/adapters/simulated/truth";
import { readWeatherCsv } from "~/adapters/weather-csv.server";
import { addDays, dayOfYear, daysBetween, type IsoDay } from "~/core/calendar";
import { bedMinimum, nightOddsBelow, type BedKind } from "~/core/hazards";
import {
  UNMEASURED,
  measuredError,
  normalsFromSeries,
  opennessOf,
  skyTrack,
  type ClimateNormals,
  type DailyWeather,
  type ForecastDay,
  type ForecastError,
} from "~/core/weather";

/** The error of the forecasts of the backtest: known to the script, to be found out by the app. */
export const BACKTEST_MISS: ForecastMiss = { biasC: 0.8, atOnceC: 0.9, perDayC: 0.22, scalePerDay: 0.06 };
const BEDS: BedKind[] = ["open", "low", "wall"];
const LEADS = 10;
const FROST_C = 0;
/** Days either side whose years make the climatology of a date. */
const CLIMATE_DAYS = 15;

/** One call: its odds, the climatology's, and what came. */
export interface Call {
  odds: number;
  climatology: number;
  came: boolean;
  night: string;
}

export interface Series {
  days: DailyWeather[];
  learn: DailyWeather[];
  test: DailyWeather[];
}

/**
 * A daily CSV file split into years to learn from and the last whole year to test on.
 *
 * @throws {Error} when it holds fewer than two whole years
 */
export function readSeries(file: string): Series {
  const read = readWeatherCsv(readFileSync(file, "utf8"), { wind: "m/s" });
  if (read.status !== "read")
    throw new Error(read.status === "refused" ? read.sentence : `Say the units of ${read.ask.join(" and ")} in the file’s first line.`); // prettier-ignore
  const days = [...read.days].sort((a, b) => a.day.localeCompare(b.day));
  const years = [...new Set(days.map((d) => d.day.slice(0, 4)))];
  const whole = years.filter((y) => days.filter((d) => d.day.startsWith(y)).length >= 360);
  if (whole.length < 2) throw new Error("The file needs at least two whole years: some to learn from, one to test on.");
  const last = whole.at(-1)!;
  return {
    days,
    learn: days.filter((d) => d.day.slice(0, 4) < last),
    test: days.filter((d) => d.day.startsWith(last)),
  };
}

function archiveOf(truth: Truth, days: readonly DailyWeather[], seed: number): ForecastDay[] {
  return days.flatMap((d) =>
    forecastDays(truth, d.day, seed, BACKTEST_MISS).map((told) => ({ ...told, issuedOn: d.day })),
  );
}

/** Low of a bed as it came, by the same offsets: what is tested is the forecast, not the bed. */
function bedCame(kind: BedKind, d: DailyWeather): number {
  const track = skyTrack([d], [], ROUGH, d.day, d.day, d.day);
  return bedMinimum(kind, d.minC, opennessOf(track, 0));
}
const ROUGH = { minC: new Float64Array(367), maxC: new Float64Array(367), spreadC: new Float64Array(367), lowSpreadC: new Float64Array(367), years: 0 }; // prettier-ignore

/**
 * Frost calls of every day of the test year, all leads and three beds, with errors measured on the years before.
 *
 * @param measure - what is known of the forecasts' errors, from the archive of the learning years
 */
export function frostCalls(
  { days, learn, test }: Series,
  seed: number,
  measure: (archive: ForecastDay[], observed: DailyWeather[], normals: ClimateNormals) => ForecastError = measuredError,
): Call[] {
  const truth = replayTruth("series", days, Number(days[0]!.day.slice(0, 4)));
  const seen = (d: DailyWeather): DailyWeather => {
    const { minC, maxC, rainMm, windKmh, dewPointC, cloudShare } = truth.dayOf(d.day)!;
    return { day: d.day, minC, maxC, rainMm, windKmh, dewPointC, cloudShare };
  };
  const observed = learn.map(seen);
  const normals = normalsFromSeries(learn);
  if (!normals) throw new Error("The years to learn from do not cover the year.");
  const error = measure(archiveOf(truth, learn, seed), observed, normals);
  const came = new Map(test.map((d) => [d.day, seen(d)]));
  const climate = new Map(BEDS.map((kind) => [kind, climatologyOf(observed, kind)]));
  return test.flatMap(({ day }): Call[] => {
    const told = forecastDays(truth, day, seed, BACKTEST_MISS).map((d) => ({ ...d, issuedOn: day }));
    const track = skyTrack([], told, normals, addDays(day, -1), day, addDays(day, LEADS + 2), error);
    return BEDS.flatMap((kind) =>
      nightOddsBelow(track, kind, FROST_C, LEADS).flatMap((night): Call[] => {
        const real = came.get(addDays(night.evening, 1));
        if (!real) return [];
        return [{ odds: night.odds, climatology: climate.get(kind)!(real.day), came: bedCame(kind, real) < FROST_C, night: `${real.day} ${kind}` }]; // prettier-ignore
      }),
    );
  });
}

/** How often a bed froze about a date in the years learnt from. */
function climatologyOf(observed: readonly DailyWeather[], kind: BedKind): (day: IsoDay) => number {
  const froze = observed.map((d) => ({ doy: dayOfYear(d.day), frost: bedCame(kind, d) < FROST_C }));
  const known = new Map<number, number>();
  return (day) => {
    const doy = dayOfYear(day);
    const kept = known.get(doy);
    if (kept !== undefined) return kept;
    const near = froze.filter((f) => Math.min(Math.abs(f.doy - doy), 366 - Math.abs(f.doy - doy)) <= CLIMATE_DAYS);
    const odds = near.length ? near.filter((f) => f.frost).length / near.length : 0;
    known.set(doy, odds);
    return odds;
  };
}

export const brier = (calls: readonly Call[], odds: (c: Call) => number) =>
  calls.reduce((sum, c) => sum + (odds(c) - Number(c.came)) ** 2, 0) / calls.length;

/** Reliability by decile of the odds: how many, what was said, what came. */
export function reliability(calls: readonly Call[]) {
  return Array.from({ length: 10 }, (_, decile) => {
    const of = calls.filter((c) => Math.min(9, Math.floor(c.odds * 10)) === decile);
    const mean = (f: (c: Call) => number) => (of.length ? of.reduce((s, c) => s + f(c), 0) / of.length : 0);
    return { decile, cases: of.length, said: mean((c) => c.odds), came: mean((c) => Number(c.came)) };
  });
}

/** Nothing measured: our judgement stands. */
export const unmeasured = () => UNMEASURED;
export const spanOf = (days: readonly DailyWeather[]) => `${days[0]!.day} to ${days.at(-1)!.day}, ${daysBetween(days[0]!.day, days.at(-1)!.day) + 1} days`; // prettier-ignore
