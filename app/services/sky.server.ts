import { eq } from "drizzle-orm";
import { z } from "zod";
import { readWeatherCsv, type CsvReading, type CsvUnits } from "~/adapters/weather-csv.server";
import { IsoDay, daysBetween } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import { trip, weekdayMinutes, type GardenRow } from "~/db/schema.server";
import { todayOf } from "./clock.server";
import { saveWeather } from "./save-weather.server";

export const TripForm = z
  .object({
    name: z.string().trim().min(1, "Say where or why, in a word.").max(60, "Keep it under 60 letters."),
    from: IsoDay,
    to: IsoDay,
  })
  .refine((t) => t.to >= t.from, { error: "The trip ends before it starts.", path: ["to"] })
  .refine((t) => daysBetween(t.from, t.to) <= 366, { error: "Longer than a year: check the dates.", path: ["to"] });

/** Adds a trip: no hands on any of its days. */
export function addTrip(db: Db, form: z.infer<typeof TripForm>): string {
  const id = crypto.randomUUID();
  db.insert(trip).values({ id, name: form.name, fromDay: form.from, toDay: form.to }).run();
  return id;
}

export function removeTrip(db: Db, id: string): void {
  db.delete(trip).where(eq(trip.id, id)).run();
}

const Minutes = z.coerce
  .number("Minutes as a number.")
  .int("Whole minutes.")
  .min(0, "Minutes cannot be below zero.")
  .max(720, "More than 12 hours in one day: check the number.");
export const MinutesForm = z.object({ minutes: z.array(Minutes).length(7) });

/** Sets the minutes of free hands, Monday to Sunday. */
export function setMinutes(db: Db, form: z.infer<typeof MinutesForm>): void {
  db.transaction((tx) =>
    form.minutes.forEach((minutes, weekday) =>
      tx
        .insert(weekdayMinutes)
        .values({ weekday, minutes })
        .onConflictDoUpdate({ target: weekdayMinutes.weekday, set: { minutes } })
        .run(),
    ),
  );
}

export type ImportOutcome =
  | {
      status: "taken";
      observed: number;
      forecast: number;
      from: IsoDay;
      to: IsoDay;
      skipped: string[];
      units: CsvUnits;
    }
  | Exclude<CsvReading, { status: "read" }>;

/** Takes a weather file in: days before today are the record, today and later the forecast. */
export function importWeather(
  db: Db,
  row: GardenRow,
  text: string,
  fileName: string,
  answers: Partial<CsvUnits>,
): ImportOutcome {
  const read = readWeatherCsv(text, answers);
  if (read.status !== "read") return read;
  const today = todayOf(row);
  const days = read.days.map((d) => d.day).sort();
  const observed = read.days.filter((d) => d.day < today);
  const forecast = read.days.filter((d) => d.day >= today);
  saveWeather(db, { observed, forecast, source: fileName, replaceForecast: forecast.length > 0 });
  return {
    status: "taken",
    observed: observed.length,
    forecast: forecast.length,
    from: days[0]!,
    to: days.at(-1)!,
    skipped: read.skipped,
    units: read.units,
  };
}
