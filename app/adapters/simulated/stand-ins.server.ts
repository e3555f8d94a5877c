import { createServer, type IncomingMessage, type Server, type ServerResponse } from "node:http";
import type { AddressInfo } from "node:net";
import { z } from "zod";
import { addDays, localMoment } from "~/core/calendar";
import type { Place, StationReading } from "~/core/weather";
import { STAND_IN_MODES, StandInMode } from "./modes";
import { FORECAST_DAYS, forecastDays, forecastHours, stationReadings } from "./told";
import type { Truth } from "./truth";

export interface StandIns {
  forecastUrl: string;
  stationUrl: string;
  mode: StandInMode;
  close(): Promise<void>;
}

const UNITS = { temperature: "C", rain: "mm", wind: "km/h" };
const SLOW_MS = 20_000;
const MOST_READING_DAYS = 90;

/**
 * The simulated forecast service and the simulated station: two small HTTP servers on this machine. They speak the
 * open JSON format; `as-of` tells them the garden's clock, and their mode how they fail.
 *
 * @param ports - 0 for any free port
 */
export async function startStandIns(
  truth: Truth,
  place: Place,
  seed: number,
  ports: { forecast: number; station: number } = { forecast: 0, station: 0 },
): Promise<StandIns> {
  const state: { mode: StandInMode } = { mode: "as usual" };
  const forecast = createServer((request, answer) =>
    respond(request, answer, state, (asOf) => forecastDocument(truth, place, seed, asOf, state.mode)),
  );
  const station = createServer((request, answer) =>
    respond(request, answer, state, (asOf, terms) => stationDocument(truth, place, terms, asOf, state.mode)),
  );
  const forecastUrl = `${await listening(forecast, ports.forecast)}/forecast`;
  const stationUrl = `${await listening(station, ports.station)}/readings`;
  return {
    forecastUrl,
    stationUrl,
    get mode() {
      return state.mode;
    },
    set mode(mode) {
      state.mode = mode;
    },
    close: async () => {
      for (const server of [forecast, station]) {
        server.closeAllConnections();
        await new Promise((resolve) => server.close(resolve));
      }
    },
  };
}

async function listening(server: Server, port: number): Promise<string> {
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "127.0.0.1", resolve);
  });
  // A script that only asks once should be able to end.
  server.unref();
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
}

const Mode = z.object({ mode: StandInMode });

function respond(
  request: IncomingMessage,
  answer: ServerResponse,
  state: { mode: StandInMode },
  documentOf: (asOf: Date, terms: URLSearchParams) => object,
): void {
  const { searchParams, pathname } = new URL(request.url ?? "/", "http://stand-in");
  const send = (status: number, body: string) => answer.writeHead(status, { "content-type": "application/json" }).end(body); // prettier-ignore
  if (pathname === "/mode") {
    const mode = Mode.safeParse({ mode: searchParams.get("to") });
    if (!mode.success) return void send(400, JSON.stringify({ error: `Modes: ${STAND_IN_MODES.join(", ")}.` }));
    state.mode = mode.data.mode;
    return void send(200, JSON.stringify(mode.data));
  }
  const told = searchParams.get("as-of");
  const asOf = told ? new Date(told) : new Date();
  if (Number.isNaN(asOf.getTime())) return void send(400, JSON.stringify({ error: "as-of is not an instant." }));
  if (state.mode === "down") return void send(503, JSON.stringify({ error: "out of order" }));
  const text = JSON.stringify(documentOf(asOf, searchParams));
  if (state.mode === "half a document") return void send(200, text.slice(0, text.length / 2));
  if (state.mode === "slow") {
    const later = setTimeout(() => send(200, text), SLOW_MS);
    answer.once("close", () => clearTimeout(later));
    return;
  }
  send(200, text);
}

const fahrenheit = (c: number | null | undefined) =>
  c === null || c === undefined ? c : Math.round(c * 18 + 320) / 10;

function forecastDocument(truth: Truth, place: Place, seed: number, asOf: Date, mode: StandInMode): object {
  const today = localMoment(asOf, place.timeZone).slice(0, 10);
  const told = forecastDays(truth, today, seed);
  const wrong = mode === "wrong units" ? fahrenheit : (c: number | null | undefined) => c;
  let days: object[] = told.map((d) => ({
    day: d.day,
    low: mode === "not numbers" ? "NaN" : wrong(d.minC),
    high: wrong(d.maxC),
    rain: d.rainMm,
    gust: d.windKmh,
    dewPoint: wrong(d.dewPointC),
    cloud: d.cloudShare,
    thunderOdds: d.thunderOdds,
    hailOdds: d.hailOdds,
  }));
  if (mode === "days twice") days = [...days, { ...days[2], low: -30 }, days[3]!];
  if (mode === "days missing") days = days.filter((_, n) => n !== 2 && n !== 4 && n < FORECAST_DAYS - 2);
  const hours = mode === "as usual" ? forecastHours(truth, told, place) : [];
  return {
    issuedAt: issueOf(asOf).toISOString(),
    units: UNITS,
    days,
    hours: hours.map((h) => ({ at: h.at, temperature: h.airC, dewPoint: h.dewPointC, rain: h.rainMm, gust: h.windKmh, thunderOdds: h.thunderOdds })), // prettier-ignore
  };
}

/** A forecast is issued at midnight and every six hours after, UTC. */
const issueOf = (asOf: Date) => new Date(Math.floor(asOf.getTime() / 21_600_000) * 21_600_000);

function stationDocument(truth: Truth, place: Place, terms: URLSearchParams, asOf: Date, mode: StandInMode): object {
  const until = localMoment(asOf, place.timeZone).slice(0, 10);
  const earliest = addDays(until, -MOST_READING_DAYS);
  const asked = terms.get("from") ? localMoment(new Date(terms.get("from")!), place.timeZone).slice(0, 10) : earliest;
  const from = asked > earliest ? asked : earliest;
  const readings = stationReadings(truth, place, from, until).filter((r) => Date.parse(r.at) <= asOf.getTime());
  return {
    units: UNITS,
    readings: faulty(readings, mode).map((r) => ({ at: r.at, temperature: r.airC, humidity: r.humidity, rain: r.rainMm, gust: r.windKmh })), // prettier-ignore
  };
}

function faulty(readings: StationReading[], mode: StandInMode): (Omit<StationReading, "airC"> & { airC: unknown })[] {
  switch (mode) {
    case "jumping 40 °C":
      return readings.map((r, n) => (n % 24 >= 8 && n % 24 < 14 ? { ...r, airC: r.airC + 40 } : r));
    case "wrong units":
      return readings.map((r) => ({ ...r, airC: fahrenheit(r.airC) }));
    case "not numbers":
      return readings.map((r, n) => (n % 2 ? { ...r, airC: "NaN" } : r));
    case "days twice":
      return [
        ...readings,
        ...readings.slice(0, 24),
        ...readings.slice(24, 30).map((r) => ({ ...r, airC: r.airC - 20 })),
      ];
    case "days missing":
      return readings.filter((_, n) => n % 24 < 6);
    default:
      return readings;
  }
}
