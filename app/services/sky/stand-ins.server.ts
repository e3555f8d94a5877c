import { readFileSync } from "node:fs";
import path from "node:path";
import { startStandIns, type StandIns } from "~/adapters/simulated/stand-ins.server";
import { madeUpTruth, replayTruth, type Truth } from "~/adapters/simulated/truth";
import { readWeatherCsv } from "~/adapters/weather-csv.server";
import type { GardenRow } from "~/db/garden/garden.server";

export const DEMO_SEED = 20260919;

let started: Promise<StandIns> | undefined;

/** The weather that the demo's stand-ins know: made up, or a real series named by AKMEDON_REPLAY (a daily CSV file). */
export function demoTruth(): Truth {
  const file = process.env.AKMEDON_REPLAY;
  return file ? replayOf(file) : madeUpTruth(DEMO_SEED);
}

/**
 * A daily CSV file as a truth to replay, played from 2024 on.
 *
 * @throws {Error} with a sentence when the file cannot be read
 */
export function replayOf(file: string): Truth {
  const read = readWeatherCsv(readFileSync(file, "utf8"), { wind: "m/s" });
  if (read.status !== "read") throw new Error(`${file} cannot be replayed: ${read.status === "refused" ? read.sentence : "its units are not said."}`); // prettier-ignore
  return replayTruth(path.basename(file), read.days, 2024);
}

/** The stand-ins of this server, started once, on free ports of this machine. */
export function standIns(row: GardenRow): Promise<StandIns> {
  started ??= startStandIns(demoTruth(), row, DEMO_SEED);
  return started;
}
