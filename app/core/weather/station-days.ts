import { z } from "zod";
import { hoursOfDay, localMoment, type IsoDay } from "../calendar";
import { DailyWeather } from "./daily-weather";
import { dewPoint } from "./humidity";
import { issueSentence } from "../issues";

/** One reading of a station: the air now, rain and strongest wind since the reading before. */
export const StationReading = z.object({
  at: z.iso.datetime({ offset: true }),
  airC: z.number(),
  humidity: z.number().min(0).max(1).nullish(),
  rainMm: z.number().min(0).nullish(),
  windKmh: z.number().min(0).nullish(),
});
export type StationReading = z.infer<typeof StationReading>;

export interface StationDays {
  days: DailyWeather[];
  /** Readings not believed, with the reason. */
  refused: { at: string; why: string }[];
  /** Days not taken in, with the reason. */
  leftOut: { day: IsoDay; why: string }[];
}

/** Air outside this is a fault, °C. */
const BELIEVABLE_C = [-60, 55] as const;
/** Air may change by this in an instant and by so much more an hour, up to the last, °C: our judgement. */
const STEP_C = 8;
const STEP_C_AN_HOUR = 3;
const MOST_STEP_C = 22;
/** Air this far from the usual mean of the date is a fault, °C: our judgement. */
const FAR_C = 28;
/** A reading this near may bear another out, hours: our judgement. */
const NEIGHBOUR_HOURS = 6;
/** A day counts when this share of its hours has a reading. */
const COVERED = 0.8;

/**
 * Days of a station from its readings. A reading that jumps, repeats another instant with another figure, or cannot
 * be is left out; a day with too few good readings is no day.
 *
 * @param readings - in any order
 * @param timeZone - of the garden: its days have 23 or 25 hours when the clocks change
 * @param until - days from this one on are not over and not taken
 * @param usualC - mean temperature usual at an instant; without it the run's own middle stands in
 */
export function stationDays(
  readings: readonly StationReading[],
  timeZone: string,
  until: IsoDay,
  usualC?: (at: Date) => number,
): StationDays {
  const refused: StationDays["refused"] = [];
  const good = believed(readings, refused, usualC);
  const byDay = new Map<IsoDay, StationReading[]>();
  for (const r of good) {
    const day = localMoment(new Date(r.at), timeZone).slice(0, 10);
    byDay.set(day, [...(byDay.get(day) ?? []), r]);
  }
  for (const r of refused) {
    const day = localMoment(new Date(r.at), timeZone).slice(0, 10);
    if (!byDay.has(day)) byDay.set(day, []);
  }
  const days: DailyWeather[] = [];
  const leftOut: StationDays["leftOut"] = [];
  for (const [day, of] of [...byDay].sort(([a], [b]) => a.localeCompare(b))) {
    if (day >= until) continue;
    const whole = dayOf(day, of, hoursOfDay(day, timeZone).length);
    if (typeof whole === "string") leftOut.push({ day, why: whole });
    else days.push(whole);
  }
  return { days, refused, leftOut };
}

function believed(
  readings: readonly StationReading[],
  refused: StationDays["refused"],
  usualC: ((at: Date) => number) | undefined,
): StationReading[] {
  const sorted = [...readings].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const twice = new Map<number, Set<number>>();
  for (const r of sorted) twice.set(Date.parse(r.at), (twice.get(Date.parse(r.at)) ?? new Set()).add(r.airC));
  const typical = middle(sorted.map((r) => r.airC));
  const usual = usualC ?? (() => typical);
  const good: StationReading[] = [];
  for (const r of sorted) {
    const ms = Date.parse(r.at);
    const last = good.at(-1);
    if (!Number.isFinite(r.airC) || r.airC < BELIEVABLE_C[0] || r.airC > BELIEVABLE_C[1])
      refused.push({ at: r.at, why: `${r.airC} °C cannot be` });
    else if (twice.get(ms)!.size > 1) refused.push({ at: r.at, why: "told twice, with two figures" });
    else if (last && Date.parse(last.at) === ms) continue;
    else if (
      Math.abs(r.airC - usual(new Date(r.at))) > FAR_C &&
      !borneOut(r, last ?? sorted.find((x) => Date.parse(x.at) > ms))
    )
      refused.push({ at: r.at, why: `${r.airC} °C is far from what is usual` });
    else if (last && Math.abs(r.airC - last.airC) > mostStep((ms - Date.parse(last.at)) / 3_600_000))
      refused.push({ at: r.at, why: `jumped from ${last.airC} to ${r.airC} °C` });
    else good.push(r);
  }
  return good;
}

/** Real cold comes by steps that a neighbour bears out: far from the usual is a fault only where it stands alone. */
function borneOut(r: StationReading, neighbour: StationReading | undefined): boolean {
  if (!neighbour) return false;
  const hours = Math.abs(Date.parse(r.at) - Date.parse(neighbour.at)) / 3_600_000;
  return hours <= NEIGHBOUR_HOURS && Math.abs(r.airC - neighbour.airC) <= mostStep(hours);
}

const mostStep = (hours: number) => Math.min(MOST_STEP_C, STEP_C + STEP_C_AN_HOUR * hours);
const middle = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

function dayOf(day: IsoDay, readings: readonly StationReading[], hours: number): DailyWeather | string {
  const seen = new Set(readings.map((r) => Math.floor(Date.parse(r.at) / 3_600_000)));
  if (seen.size < COVERED * hours) return `${seen.size} of ${hours} hours have a good reading`;
  const air = readings.map((r) => r.airC);
  const [minC, maxC] = [Math.min(...air), Math.max(...air)];
  if (minC === maxC) return "the thermometer never moved";
  const known = (values: (number | null | undefined)[]) => values.filter((v): v is number => typeof v === "number");
  const rain = known(readings.map((r) => r.rainMm));
  const wind = known(readings.map((r) => r.windKmh));
  const dew = readings.flatMap((r) => (r.humidity && r.airC >= -40 && r.airC <= 50 ? [dewPoint(r.airC, r.humidity)] : [])); // prettier-ignore
  const tenth = (v: number) => Math.round(v * 10) / 10;
  const parsed = DailyWeather.safeParse({
    day,
    minC,
    maxC,
    rainMm: rain.length ? tenth(rain.reduce((a, b) => a + b, 0)) : null,
    windKmh: wind.length ? Math.max(...wind) : null,
    dewPointC: dew.length ? tenth(dew.reduce((a, b) => a + b, 0) / dew.length) : null,
  });
  return parsed.success ? parsed.data : issueSentence(parsed.error.issues[0]!).replace(/\.$/, "");
}
