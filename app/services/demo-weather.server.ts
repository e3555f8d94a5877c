import { addDays, type IsoDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import { simulatedWeather } from "~/adapters/simulated-weather.server";
import { saveWeather } from "./save-weather.server";

const DEMO_SEED = 20260919;
/** Far enough back for normals of three years. */
const FIRST_OBSERVED = "2023-01-01";

/** Brings the demo's station and forecast to a day. */
export function refreshDemoWeather(db: Db, today: IsoDay): void {
  const service = simulatedWeather(DEMO_SEED);
  saveWeather(db, {
    observed: service.observed(FIRST_OBSERVED, addDays(today, -1)),
    forecast: service.forecast(today),
    source: service.name,
    replaceForecast: true,
  });
}
