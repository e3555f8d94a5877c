import type { ForecastService } from "~/ports/forecast-service";
import type { WeatherStation } from "~/ports/weather-station";
import { WeatherUnreachable } from "~/ports/weather-unreachable";
import { fetchText, USUAL_PATIENCE, type Patience } from "./fetch-text.server";
import { readApart } from "./read-apart.server";
import type { Reading } from "./weather-json.server";

function addressed(url: string, terms: Record<string, string>): string {
  const address = new URL(url);
  for (const [name, value] of Object.entries(terms)) address.searchParams.set(name, value);
  return address.href;
}

async function orThrow<T>(asked: Promise<Reading<T>>): Promise<T> {
  const reading = await asked.catch((error: unknown): Reading<T> => ({ status: "refused", sentence: (error as Error).message })); // prettier-ignore
  if (reading.status === "refused") throw new WeatherUnreachable(`Its answer cannot be used: ${reading.sentence}`);
  return reading;
}

/** A forecast service at an address, in the open JSON format. */
export function httpForecast(name: string, url: string, patience: Patience = USUAL_PATIENCE): ForecastService {
  return {
    name,
    newest: async (asOf) => orThrow(readApart("forecast", await fetchText(addressed(url, { "as-of": asOf.toISOString() }), patience))), // prettier-ignore
  };
}

/** A weather station at an address, in the open JSON format. */
export function httpStation(name: string, url: string, patience: Patience = USUAL_PATIENCE): WeatherStation {
  return {
    name,
    readings: async (from, asOf) =>
      orThrow(readApart("station", await fetchText(addressed(url, { from: from.toISOString(), "as-of": asOf.toISOString() }), patience))), // prettier-ignore
  };
}
