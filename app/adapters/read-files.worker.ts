import type { IsoDay } from "~/core/calendar";
import { readCalendar, type CalendarReading } from "./calendar-ics.server";
import { readWeatherCsv } from "./weather-csv.server";
import { readForecast, readStation } from "./weather-json.server";

/** What reads strangers' files, in a thread that can be ended. */
export interface ReadTasks {
  weatherCsv: (asked: Parameters<typeof readWeatherCsv>) => ReturnType<typeof readWeatherCsv>;
  forecast: (text: string) => ReturnType<typeof readForecast>;
  station: (text: string) => ReturnType<typeof readStation>;
}

export interface CalendarAsked {
  text: string;
  timeZone: string;
  today: IsoDay;
  /** Events by their place in the file that are not expanded: their rule does not come to an end. */
  endless: readonly number[];
  /** Where the worker writes which event it is at, counted from 1, for whoever waits. */
  at: SharedArrayBuffer;
}

export function calendar({ text, timeZone, today, endless, at }: CalendarAsked): CalendarReading {
  const place = new Int32Array(at);
  return readCalendar(text, timeZone, today, { endless: new Set(endless), onEvent: (n) => Atomics.store(place, 0, n) });
}

export const weatherCsv: ReadTasks["weatherCsv"] = (asked) => readWeatherCsv(...asked);
export const forecast: ReadTasks["forecast"] = (text) => readForecast(text);
export const station: ReadTasks["station"] = (text) => readStation(text);
