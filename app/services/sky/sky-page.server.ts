import { STAND_IN_MODES } from "~/adapters/simulated/modes";
import { localMoment } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allFeeds } from "~/db/sky/feeds.server";
import { issueDays } from "~/db/sky/forecasts.server";
import { allBusy, allHelpers, allTrips, daysWithOwnMinutes, handsRules } from "~/db/sky/hands.server";
import { newestObserved, observedDays, recordSpan } from "~/db/sky/weather.server";
import { skyView } from "~/views/sky/sky-view";
import { inUnits } from "~/views/words";
import { gardenNow } from "../garden/clock.server";
import { plannedGarden } from "../garden/planned-garden.server";
import { measuredErrorOf, newestForecast } from "./forecast-archive.server";

/**
 * What is coming, for which bed, and when hands are free.
 *
 * @param shownDay - the day whose hours are wanted, if any
 */
export function skyPage(db: Db, garden: GardenRow, shownDay: string | null) {
  const planned = plannedGarden(db, garden);
  const now = gardenNow(garden);
  const observed = observedDays(db);
  const span = recordSpan(db);
  const told = {
    demo: garden.demoDay !== null,
    standInModes: STAND_IN_MODES,
    place: garden,
    trips: allTrips(db),
    busy: allBusy(db),
    rules: handsRules(db),
    helpers: allHelpers(db),
    ownDays: daysWithOwnMinutes(db),
    sources: {
      now,
      feeds: allFeeds(db),
      newestForecast: newestForecast(db, localMoment(now, garden.timeZone).slice(0, 10)).newest ?? null,
      newestObserved: newestObserved(db) ?? null,
    },
    climate: {
      observed,
      from: span?.from ?? null,
      to: span?.to ?? null,
      error: measuredErrorOf(db, garden),
      issues: issueDays(db),
    },
  };
  return inUnits(skyView(planned, told, shownDay), garden.unitSystem);
}
