import Papa from "papaparse";
import { z } from "zod";
import { issueSentence } from "~/core/issues";
import { IsoDay } from "~/core/calendar";
import { celsiusFrom } from "~/core/units";
import { DailyWeather } from "~/core/weather";

/** Units a file may be in; "?" = the file does not say and the gardener is asked. */
export const CsvUnits = z.object({
  temperature: z.enum(["C", "F"]),
  rain: z.enum(["mm", "cm", "in"]),
  wind: z.enum(["km/h", "m/s", "mph", "kn"]),
});
export type CsvUnits = z.infer<typeof CsvUnits>;

const COLUMNS = {
  day: ["date", "day", "datum", "time", "timestamp", "valid_date"],
  minC: [
    "temp_min",
    "tmin",
    "min_temp",
    "min",
    "low",
    "minimum",
    "temperature_min",
    "min_temperature",
    "tn",
    "mintemp",
  ],
  maxC: [
    "temp_max",
    "tmax",
    "max_temp",
    "max",
    "high",
    "maximum",
    "temperature_max",
    "max_temperature",
    "tx",
    "maxtemp",
  ],
  rainMm: ["precipitation", "rain", "rainfall", "precip", "prcp", "rr", "precipitation_sum"],
  windKmh: ["gust", "gusts", "wind_gust", "wind_max", "windspeed_max", "wind", "wind_speed", "windspeed", "fx"],
} as const;
type Column = keyof typeof COLUMNS;
const COLUMN_NAMES: Record<Column, string> = {
  day: "date",
  minC: "low",
  maxC: "high",
  rainMm: "rain",
  windKmh: "wind",
};

const UNIT_MARKS: { kind: keyof CsvUnits; unit: string; mark: RegExp }[] = [
  { kind: "temperature", unit: "F", mark: /°\s*f\b|[([_ ]f[)\]]?$|fahrenheit/i },
  { kind: "temperature", unit: "C", mark: /°\s*c\b|[([_ ]c[)\]]?$|celsius/i },
  { kind: "rain", unit: "mm", mark: /mm/i },
  { kind: "rain", unit: "cm", mark: /cm/i },
  { kind: "rain", unit: "in", mark: /[([_ ]in(ch(es)?)?[)\]]?$/i },
  { kind: "wind", unit: "km/h", mark: /km\/?h|kph|kmh/i },
  { kind: "wind", unit: "m/s", mark: /m\/s|[([_ ]ms[)\]]?$/i },
  { kind: "wind", unit: "mph", mark: /mph/i },
  { kind: "wind", unit: "kn", mark: /kn(ots?)?\b|[([_ ]kt[)\]]?$/i },
];

export type CsvReading =
  | {
      status: "read";
      days: DailyWeather[];
      units: CsvUnits;
      columns: Partial<Record<Column, string>>;
      skipped: string[];
    }
  /** Columns are clear, units are not: ask for the ones listed. */
  | { status: "units unclear"; ask: (keyof CsvUnits)[]; known: Partial<CsvUnits>; days: number }
  | { status: "refused"; sentence: string };

const MOST_ROWS = 60_000;
const MOST_SKIPPED_SHARE = 0.05;

function columnsOf(headers: readonly string[]): Partial<Record<Column, string>> {
  const bare = (header: string) =>
    header
      .toLowerCase()
      .replace(/[([].*$/, "")
      .replace(/\s*°.*$/, "")
      .trim()
      .replace(/[\s.-]+/g, "_")
      .replace(/_(c|f|mm|cm|in|kmh|ms|mph|kn|kt)$/, "");
  const found: Partial<Record<Column, string>> = {};
  for (const column of Object.keys(COLUMNS) as Column[])
    for (const name of COLUMNS[column]) {
      const header = headers.find((h) => bare(h) === name);
      if (header !== undefined) {
        found[column] = header;
        break;
      }
    }
  return found;
}

/** Units named in the headers, or plain from the figures (a high above 50 is °F; a year below 46 is °C). */
function unitsOf(columns: Partial<Record<Column, string>>, rows: readonly Record<string, string>[]): Partial<CsvUnits> {
  const known: Record<string, string> = {};
  const headerOf = { temperature: columns.maxC, rain: columns.rainMm, wind: columns.windKmh };
  for (const { kind, unit, mark } of UNIT_MARKS) {
    const header = headerOf[kind];
    if (header && mark.test(header)) known[kind] ??= unit;
  }
  const highs = columns.maxC ? rows.map((r) => Number(r[columns.maxC!])).filter(Number.isFinite) : [];
  if (!known.temperature && highs.length > 0) {
    const top = highs.reduce((a, b) => Math.max(a, b), -Infinity);
    if (top > 50) known.temperature = "F";
    else if (highs.length >= 300) known.temperature = "C";
  }
  if (!columns.rainMm) known.rain = "mm";
  else if (!known.rain) {
    const wettest = rows.reduce((top, r) => Math.max(top, Number(r[columns.rainMm!]) || 0), 0);
    if (wettest > 12) known.rain = "mm";
  }
  if (!columns.windKmh) known.wind = "km/h";
  return known as Partial<CsvUnits>;
}

export const RAIN_MM = { mm: 1, cm: 10, in: 25.4 };
export const WIND_KMH = { "km/h": 1, "m/s": 3.6, mph: 1.609344, kn: 1.852 };

/**
 * Reads a daily weather file: date, low, high, and if there are rain and wind, under the usual headers.
 *
 * @param text - the file
 * @param answers - units the gardener gave where the file does not say
 * @returns days in °C, mm and km/h; or what to ask; or a sentence. Nothing is taken from a file that is refused.
 */
export function readWeatherCsv(text: string, answers: Partial<CsvUnits>): CsvReading {
  const refused = (sentence: string): CsvReading => ({ status: "refused", sentence });
  if (text.trim() === "") return refused("The file is empty.");
  const parsed = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: "greedy",
    preview: MOST_ROWS + 1,
  });
  const headers = parsed.meta.fields ?? [];
  const columns = columnsOf(headers);
  const missing = (["day", "minC", "maxC"] as const).filter((c) => !columns[c]).map((c) => COLUMN_NAMES[c]);
  if (missing.length > 0) {
    if (headers.length < 2)
      return refused(
        "The file has only one column. It should be separated by commas, semicolons or tabs, with a first line such as date,temp_min,temp_max.",
      );
    return refused(
      `No column for ${missing.join(" and ")} was found. The first line names: ${headers.slice(0, 8).join(", ")}.`,
    );
  }
  const rows = parsed.data;
  if (rows.length === 0) return refused("The file has a first line but no days below it.");
  if (rows.length > MOST_ROWS) return refused(`The file has more than ${MOST_ROWS} lines; at most so many are taken.`);
  const units = { ...unitsOf(columns, rows), ...answers };
  const ask = (["temperature", "rain", "wind"] as const).filter((u) => !units[u]);
  if (ask.length > 0) return { status: "units unclear", ask, known: units, days: rows.length };
  const sure = CsvUnits.parse(units);
  const days = new Map<string, DailyWeather>();
  const skipped: string[] = [];
  rows.forEach((row, i) => {
    const day = readDay(row, columns, sure);
    if (typeof day === "string") skipped.push(`line ${i + 2}: ${day}`);
    else if (days.has(day.day)) skipped.push(`line ${i + 2}: ${day.day} is there twice`);
    else days.set(day.day, day);
  });
  if (skipped.length > Math.max(2, MOST_SKIPPED_SHARE * rows.length))
    return refused(
      `${skipped.length} of ${rows.length} lines cannot be read, so nothing was taken. First: ${skipped[0]}.`,
    );
  return { status: "read", days: [...days.values()], units: sure, columns, skipped };
}

function readDay(
  row: Record<string, string>,
  columns: Partial<Record<Column, string>>,
  units: CsvUnits,
): DailyWeather | string {
  const cell = (column: Column) => (columns[column] ? (row[columns[column]] ?? "").trim() : "");
  const number = (column: Column) => {
    const text = cell(column).replace(/^(-?\d+),(\d+)$/, "$1.$2");
    return text === "" ? NaN : Number(text);
  };
  const celsius = (column: Column) => (units.temperature === "F" ? celsiusFrom(number(column)) : number(column));
  const optional = (column: Column, factor: number) => {
    const value = number(column);
    return Number.isNaN(value) && cell(column) === "" ? null : value * factor;
  };
  const day = IsoDay.safeParse(cell("day").slice(0, 10).replace(/\//g, "-"));
  if (!day.success) return `“${cell("day").slice(0, 20)}” is not a date like 2026-05-03`;
  const parsed = DailyWeather.safeParse({
    day: day.data,
    minC: celsius("minC"),
    maxC: celsius("maxC"),
    rainMm: optional("rainMm", RAIN_MM[units.rain]),
    windKmh: optional("windKmh", WIND_KMH[units.wind]),
  });
  if (parsed.success) return parsed.data;
  const issue = parsed.error.issues[0];
  const field = COLUMN_NAMES[issue?.path[0] as Column] ?? "line";
  return `${field} on ${day.data}: ${issue?.code === "invalid_type" ? "not a number" : issue ? issueSentence(issue).replace(/\.$/, "").toLowerCase() : "not usable"}`;
}
