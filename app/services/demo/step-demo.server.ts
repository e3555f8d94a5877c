import { requestDb } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { stepDemoClock } from "../garden/clock.server";
import { refreshWeather } from "../sky/refresh-weather.server";

/** The step waits this long for the new day's weather; without it the last stands. */
const PATIENCE = { timeoutMs: 2500, retries: 0, waitMs: 0 };

/** Steps the demo's clock and fetches the new day's weather. */
export async function stepDemo(days: number): Promise<"stepped" | "not the demo"> {
  const db = requestDb();
  if (stepDemoClock(db, days).status === "not the demo") return "not the demo";
  await refreshWeather(db, theGarden(db)!, PATIENCE);
  return "stepped";
}
