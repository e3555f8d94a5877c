import { z } from "zod";
import { issueSentence } from "~/core/issues";
import { RecordDay } from "~/core/calendar";
import { celsiusFrom, type UnitSystem } from "~/core/units";
import { DailyWeather } from "~/core/weather";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { gardenNow, todayOf } from "../garden/clock.server";
import { saveForecast } from "~/db/sky/forecasts.server";
import { capital } from "~/views/words";
import { BY_HAND, saveObserved } from "~/db/sky/weather.server";

const typed = (what: string) =>
  z
    .string()
    .trim()
    .regex(/^[-−]?\d+([.,]\d+)?$/, `Write the ${what} as a number.`)
    .transform((v) => Number(v.replace("−", "-").replace(",", ".")));
const optional = (what: string) => z.union([z.literal("").transform(() => null), typed(what)], `Write the ${what} as a number, or leave it empty.`); // prettier-ignore

export const HandWeatherForm = z.object({
  day: RecordDay,
  low: typed("low"),
  high: typed("high"),
  rain: optional("rain").default(null),
  gust: optional("gust").default(null),
});

export type HandOutcome =
  { status: "noted"; as: "record" | "forecast" } | { status: "refused"; errors: Partial<Record<string, string>> };

const FIELDS: Record<string, string> = { minC: "low", maxC: "high", rainMm: "rain", windKmh: "gust" };

/** Takes a day's weather typed by hand: a day gone by into the record, one to come as a forecast. */
export function noteWeather(db: Db, row: GardenRow, form: z.infer<typeof HandWeatherForm>): HandOutcome {
  const metric = row.unitSystem === ("metric" satisfies UnitSystem);
  const celsius = (t: number) => (metric ? t : celsiusFrom(t));
  const day = DailyWeather.safeParse({
    day: form.day,
    minC: celsius(form.low),
    maxC: celsius(form.high),
    rainMm: form.rain === null ? null : form.rain * (metric ? 1 : 25.4),
    windKmh: form.gust === null ? null : form.gust * (metric ? 1 : 1.609344),
  });
  if (!day.success) {
    const issue = day.error.issues[0]!;
    const sentence = `${capital(issueSentence(issue).replace(/\.$/, ""))}: check the figure.`;
    return { status: "refused", errors: { [FIELDS[String(issue.path[0])] ?? "form"]: sentence } };
  }
  const today = todayOf(row);
  if (form.day < today) {
    saveObserved(db, [day.data], BY_HAND);
    return { status: "noted", as: "record" };
  }
  saveForecast(db, {
    source: BY_HAND,
    issuedAt: gardenNow(row).toISOString(),
    issuedOn: today,
    days: [day.data],
    hours: [],
  });
  return { status: "noted", as: "forecast" };
}
