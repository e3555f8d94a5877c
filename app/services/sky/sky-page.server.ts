import { STAND_IN_MODES } from "~/adapters/simulated/modes";
import { localMoment } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allFeeds } from "~/db/sky/feeds.server";
import { issueDays } from "~/db/sky/forecasts.server";
import { allBusy, allHelpers, allTrips, daysWithOwnMinutes, handsRules } from "~/db/sky/hands.server";
import { revisionOfSource } from "~/db/revision.server";
import { newestObserved, observedDays } from "~/db/sky/weather.server";
import { climateView } from "~/views/sky/climate-view";
import type { Planned } from "~/views/planned";
import { skyView } from "~/views/sky/sky-view";
import { inUnits } from "~/views/words";
import { gardenNow } from "../garden/clock.server";
import { plannedGarden } from "../garden/planned-garden.server";
import { measuredErrorOf, newestIssue } from "./forecast-archive.server";

const climates = new WeakMap<Db, { key: string; record: ReturnType<typeof climateView> }>();

/** What all years tell of the climate; worked out anew on another day, or when what it is drawn from changes. */
function climateOf(db: Db, garden: GardenRow, planned: Planned) {
  const { latitude, longitude, heightM } = garden;
  const key = `${revisionOfSource(db, "weather")} ${revisionOfSource(db, "forecasts")} ${planned.today} ${latitude} ${longitude} ${heightM}`; // prettier-ignore
  const known = climates.get(db);
  if (known?.key === key) return known.record;
  const observed = observedDays(db);
  const [from, to] = [observed[0]?.day ?? null, observed.at(-1)?.day ?? null];
  const record = climateView(planned, { observed, from, to, error: measuredErrorOf(db, garden), issues: issueDays(db) }, latitude); // prettier-ignore
  climates.set(db, { key, record });
  return record;
}

/**
 * What is coming, for which bed, and when hands are free.
 *
 * @param shownDay - the day whose hours are wanted, if any
 */
export function skyPage(db: Db, garden: GardenRow, shownDay: string | null) {
  const planned = plannedGarden(db, garden);
  const now = gardenNow(garden);
  const told = {
    demo: garden.demoDay !== null,
    standInModes: STAND_IN_MODES,
    place: garden,
    trips: allTrips(db),
    busy: allBusy(db),
    rules: handsRules(db),
    limits: garden,
    helpers: allHelpers(db),
    ownDays: daysWithOwnMinutes(db),
    sources: {
      now,
      feeds: allFeeds(db),
      newestForecast: newestIssue(db, localMoment(now, garden.timeZone).slice(0, 10)) ?? null,
      newestObserved: newestObserved(db) ?? null,
    },
    record: climateOf(db, garden, planned),
  };
  return inUnits(skyView(planned, told, shownDay), garden.unitSystem);
}
