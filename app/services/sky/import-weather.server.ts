import { readWeatherCsv, type CsvUnits } from "~/adapters/weather-csv.server";
import { readForecast, readStation } from "~/adapters/weather-json.server";
import { localMoment } from "~/core/calendar";
import { stationDays, type DailyWeather } from "~/core/weather";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { gardenNow, todayOf } from "../garden/clock.server";
import { saveForecast } from "~/db/sky/forecasts.server";
import { saveObserved } from "~/db/sky/weather.server";
import type { ImportOutcome } from "~/views/sky/sky-answer";

/** Takes a weather file in, CSV or our JSON: days before today are the record, today and later the forecast. */
export function importWeather(
  db: Db,
  row: GardenRow,
  text: string,
  fileName: string,
  answers: Partial<CsvUnits>,
): ImportOutcome {
  if (/^\s*[[{]/.test(text)) return importJson(db, row, text, fileName);
  const read = readWeatherCsv(text, answers);
  if (read.status !== "read") return read;
  return take(db, row, read.days, fileName, gardenNow(row).toISOString(), read.skipped, read.units);
}

function importJson(db: Db, row: GardenRow, text: string, fileName: string): ImportOutcome {
  const today = todayOf(row);
  const forecast = readForecast(text);
  if (forecast.status === "read")
    return take(db, row, forecast.days, fileName, forecast.issuedAt, forecast.leftOut, null);
  const station = readStation(text);
  if (station.status === "refused")
    return {
      status: "refused",
      sentence: `Neither a forecast (${forecast.sentence}) nor readings of a station (${station.sentence})`,
    };
  const { days, refused, leftOut } = stationDays(station.readings, row.timeZone, today);
  if (days.length === 0)
    return {
      status: "refused",
      sentence: `No day of it can be used. ${leftOut[0] ? `${leftOut[0].day}: ${leftOut[0].why}.` : ""}`,
    };
  return take(
    db,
    row,
    days,
    fileName,
    gardenNow(row).toISOString(),
    [...refused.map((r) => `${r.at}: ${r.why}`), ...leftOut.map((d) => `${d.day}: ${d.why}`)],
    null,
  );
}

function take(
  db: Db,
  row: GardenRow,
  read: readonly DailyWeather[],
  source: string,
  issuedAt: string,
  skipped: string[],
  units: CsvUnits | null,
): ImportOutcome {
  const today = todayOf(row);
  const days = read.map((d) => d.day).sort();
  const observed = read.filter((d) => d.day < today);
  const forecast = read.filter((d) => d.day >= today);
  db.transaction(() => {
    saveObserved(db, observed, source);
    if (forecast.length > 0) {
      const told = localMoment(new Date(issuedAt), row.timeZone).slice(0, 10);
      saveForecast(db, { source, issuedAt, issuedOn: told < today ? told : today, days: forecast, hours: [] });
    }
  });
  return {
    status: "taken",
    observed: observed.length,
    forecast: forecast.length,
    from: days[0]!,
    to: days.at(-1)!,
    skipped,
    units,
  };
}
