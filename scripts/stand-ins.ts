import { parseArgs } from "node:util";
import { STAND_IN_MODES } from "~/adapters/simulated/modes";
import { startStandIns } from "~/adapters/simulated/stand-ins.server";
import { madeUpTruth } from "~/adapters/simulated/truth";
import { replayOf } from "~/services/sky/stand-ins.server";

/**
 * The simulated forecast service and station by themselves:
 * npm run stand-ins -- [--replay FILE.csv] [--seed N] [--forecast-port N] [--station-port N] [--latitude N --longitude N --zone NAME]
 */
const { values } = parseArgs({
  options: {
    replay: { type: "string" },
    seed: { type: "string", default: "1" },
    "forecast-port": { type: "string", default: "4171" },
    "station-port": { type: "string", default: "4172" },
    latitude: { type: "string", default: "52.4" },
    longitude: { type: "string", default: "-0.6" },
    zone: { type: "string", default: "Europe/London" },
  },
});
const seed = Number(values.seed);
const place = { latitude: Number(values.latitude), longitude: Number(values.longitude), timeZone: values.zone };
const truth = values.replay ? replayOf(values.replay) : madeUpTruth(seed);
const { forecastUrl, stationUrl } = await startStandIns(truth, place, seed, {
  forecast: Number(values["forecast-port"]),
  station: Number(values["station-port"]),
});
console.log(`Weather: ${truth.name}
Forecast at ${forecastUrl}
Station at ${stationUrl}
Out of order: GET …/mode?to=${encodeURIComponent(STAND_IN_MODES[1])} (one of: ${STAND_IN_MODES.join(", ")})
Ctrl+C ends them.`);
// The servers alone do not keep the script alive.
setInterval(() => undefined, 60_000);
