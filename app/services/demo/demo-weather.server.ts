import { recordOf } from "~/adapters/simulated/truth";
import { forecastDays, forecastHours } from "~/adapters/simulated/told";
import { addDays, instantOf, type IsoDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { replaceFeed } from "~/db/sky/feeds.server";
import { saveForecast } from "~/db/sky/forecasts.server";
import { saveObserved } from "~/db/sky/weather.server";
import { DEMO_SEED, demoTruth } from "~/services/sky/stand-ins.server";

/** Far enough back for frost dates and normals of some nine years. */
const FIRST_OBSERVED = "2017-01-01";
/** Forecasts on file before the demo begins, days: enough to have measured their errors. */
const ARCHIVED_DAYS = 90;

/** Lays the demo's record and its archive of forecasts; from then on both come over HTTP from the stand-ins. */
export function plantDemoWeather(db: Db, row: GardenRow, today: IsoDay): void {
  const truth = demoTruth();
  saveObserved(db, recordOf(truth, FIRST_OBSERVED, addDays(today, -1)), "simulated station");
  for (let back = ARCHIVED_DAYS; back >= 0; back--) {
    const issuedOn = addDays(today, -back);
    const days = forecastDays(truth, issuedOn, DEMO_SEED);
    saveForecast(db, {
      source: "simulated forecast service",
      issuedAt: instantOf(`${issuedOn}T01:00`, row.timeZone).toISOString(),
      issuedOn,
      days,
      hours: back === 0 ? forecastHours(truth, days, row) : [],
    });
  }
  for (const kind of ["forecast", "station"] as const) replaceFeed(db, kind, { mode: "stand-in", url: null });
}
