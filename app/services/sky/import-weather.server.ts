import { readApart, ReadingEnded } from "~/adapters/read-apart.server";
import type { CsvUnits } from "~/adapters/weather-csv.server";
import { localMoment } from "~/core/calendar";
import { stationDays, type DailyWeather } from "~/core/weather";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { gardenNow, todayOf } from "../garden/clock.server";
import { saveForecast } from "~/db/sky/forecasts.server";
import { saveObserved } from "~/db/sky/weather.server";
import type { ImportOutcome } from "~/views/sky/sky-answer";

/** Takes a weather file in, CSV or our JSON: days before today are the record, today and later the forecast. */
export async function importWeather(
  db: Db,
  row: GardenRow,
  text: string,
  fileName: string,
  answers: Partial<CsvUnits>,
): Promise<ImportOutcome> {
  try {
    if (/^\s*[[{]/.test(text)) return await importJson(db, row, text, fileName);
    const read = await readApart("weatherCsv", [text, answers]);
    if (read.status !== "read") return read;
    return take(db, row, read.days, fileName, gardenNow(row).toISOString(), read.skipped, read.units);
  } catch (error) {
    if (error instanceof ReadingEnded) return { status: "refused", sentence: error.message };
    throw error;
  }
}

async function importJson(db: Db, row: GardenRow, text: string, fileName: string): Promise<ImportOutcome> {
  const today = todayOf(row);
  const forecast = await readApart("forecast", text);
  if (forecast.status === "read")
    return take(db, row, forecast.days, fileName, forecast.issuedAt, forecast.leftOut, null);
  const station = await readApart("station", text);
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
      // None is newer than now: one that says so would outrank all that follow.
      const now = gardenNow(row).toISOString();
      const at = new Date(issuedAt).toISOString();
      const told = localMoment(new Date(at), row.timeZone).slice(0, 10);
      saveForecast(db, { source, issuedAt: at < now ? at : now, issuedOn: told < today ? told : today, days: forecast, hours: [] }); // prettier-ignore
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
