import { z } from "zod";
import { issueSentence } from "~/core/issues";
import { IsoDay } from "~/core/calendar";
import { celsiusFrom } from "~/core/units";
import { DailyWeather, HourTold, StationReading } from "~/core/weather";
import type { ForecastIssue } from "~/ports/forecast-service";
import type { StationReport } from "~/ports/weather-station";
import { CsvUnits, RAIN_MM, WIND_KMH } from "./weather-csv.server";

/** The open format of docs/weather-json.md: units are said, never guessed. */
const Units = CsvUnits;
const number = z.number().nullish();

const ForecastDocument = z.object({
  issuedAt: z.iso.datetime({ offset: true, error: "issuedAt is not an instant like 2026-05-03T06:00:00Z" }),
  units: Units,
  days: z
    .array(z.record(z.string(), z.unknown()))
    .min(1, "it speaks of no day")
    .max(60, "it speaks of more than 60 days"),
  hours: z
    .array(z.record(z.string(), z.unknown()))
    .max(24 * 60)
    .default([]),
});
const StationDocument = z.object({
  units: Units,
  readings: z.array(z.record(z.string(), z.unknown())).max(200_000, "more than 200,000 readings"),
});

const DayLine = z.object({ day: IsoDay, low: z.number(), high: z.number(), rain: number, gust: number, dewPoint: number, cloud: number, thunderOdds: number, hailOdds: number }); // prettier-ignore
const HourLine = z.object({ at: z.string(), temperature: number, dewPoint: number, rain: number, gust: number, thunderOdds: number }); // prettier-ignore
const ReadingLine = z.object({ at: z.string(), temperature: z.number(), humidity: number, rain: number, gust: number }); // prettier-ignore

export type Reading<T> = ({ status: "read" } & T) | { status: "refused"; sentence: string };

type Json = { status: "read"; value: unknown } | { status: "refused"; sentence: string };

function parseJson(text: string): Json {
  try {
    return { status: "read", value: JSON.parse(text) };
  } catch {
    const why = text.trim() === "" ? "It is empty." : "It breaks off or is not JSON.";
    return { status: "refused", sentence: why };
  }
}

const firstProblem = (error: z.ZodError) => {
  const issue = error.issues[0];
  const at = issue?.path.join(".");
  const said = issue ? issueSentence(issue).replace(/\.$/, "") : "not usable";
  return `${at && !said.startsWith(at) ? `${at}: ` : ""}${said}.`;
};

function convertersOf(units: z.infer<typeof Units>) {
  const or = <T>(value: T | null | undefined, to: (v: T) => number) => (value === null || value === undefined ? null : to(value)); // prettier-ignore
  return {
    celsius: (v: number | null | undefined) => or(v, (c) => (units.temperature === "F" ? celsiusFrom(c) : c)),
    mm: (v: number | null | undefined) => or(v, (r) => r * RAIN_MM[units.rain]),
    kmh: (v: number | null | undefined) => or(v, (w) => w * WIND_KMH[units.wind]),
  };
}

/**
 * Reads a forecast document.
 *
 * @returns days in °C, mm and km/h; a day that cannot be, or is told twice with two figures, is left out and said.
 *   Nothing is taken when the document as a whole does not hold.
 */
export function readForecast(text: string): Reading<ForecastIssue> {
  const json = parseJson(text);
  if (json.status === "refused") return json;
  const document = ForecastDocument.safeParse(json.value);
  if (!document.success) return { status: "refused", sentence: firstProblem(document.error) };
  const { issuedAt, units } = document.data;
  const { celsius, mm, kmh } = convertersOf(units);
  const leftOut: string[] = [];
  const days = new Map<string, DailyWeather>();
  const twice = new Set<string>();
  document.data.days.forEach((line, i) => {
    const told = DayLine.safeParse(line);
    if (!told.success) return void leftOut.push(`day ${i + 1}: ${firstProblem(told.error)}`);
    const d = told.data;
    const day = DailyWeather.safeParse({
      day: d.day,
      minC: celsius(d.low),
      maxC: celsius(d.high),
      rainMm: mm(d.rain),
      windKmh: kmh(d.gust),
      dewPointC: celsius(d.dewPoint),
      cloudShare: d.cloud ?? null,
      thunderOdds: d.thunderOdds ?? null,
      hailOdds: d.hailOdds ?? null,
    });
    if (!day.success) return void leftOut.push(`${d.day}: ${firstProblem(day.error)}`);
    const known = days.get(d.day);
    if (known && JSON.stringify(known) !== JSON.stringify(day.data)) twice.add(d.day);
    days.set(d.day, day.data);
  });
  for (const day of twice) {
    days.delete(day);
    leftOut.push(`${day}: told twice, with different figures.`);
  }
  if (days.size === 0) return { status: "refused", sentence: `No day of it can be used: ${leftOut[0] ?? ""}` };
  const hours = document.data.hours.flatMap((line): HourTold[] => {
    const told = HourLine.safeParse(line);
    const hour = told.success
      ? HourTold.safeParse({
          at: told.data.at,
          airC: celsius(told.data.temperature),
          dewPointC: celsius(told.data.dewPoint),
          rainMm: mm(told.data.rain),
          windKmh: kmh(told.data.gust),
          thunderOdds: told.data.thunderOdds ?? null,
        })
      : undefined;
    return hour?.success ? [hour.data] : [];
  });
  if (hours.length < document.data.hours.length)
    leftOut.push(`${document.data.hours.length - hours.length} hours cannot be read.`);
  return {
    status: "read",
    issuedAt,
    days: [...days.values()].sort((a, b) => a.day.localeCompare(b.day)),
    hours,
    leftOut,
  };
}

/** Reads a station's document; a reading that is no reading is left out and counted. */
export function readStation(text: string): Reading<StationReport> {
  const json = parseJson(text);
  if (json.status === "refused") return json;
  const document = StationDocument.safeParse(json.value);
  if (!document.success) return { status: "refused", sentence: firstProblem(document.error) };
  const { celsius, mm, kmh } = convertersOf(document.data.units);
  let bad = 0;
  const readings = document.data.readings.flatMap((line): StationReading[] => {
    const told = ReadingLine.safeParse(line);
    const reading = told.success
      ? StationReading.safeParse({
          at: told.data.at,
          airC: celsius(told.data.temperature),
          humidity: told.data.humidity ?? null,
          rainMm: mm(told.data.rain),
          windKmh: kmh(told.data.gust),
        })
      : undefined;
    if (reading?.success) return [reading.data];
    bad++;
    return [];
  });
  return { status: "read", readings, leftOut: bad > 0 ? [`${bad} readings are no readings.`] : [] };
}
