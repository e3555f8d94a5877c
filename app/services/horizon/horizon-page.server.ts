import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { openRound } from "~/db/round/rounds.server";
import { horizonView } from "~/views/horizon/horizon-view";
import { oddDays } from "~/db/sky/weather.server";
import { inUnits } from "~/views/words";
import { noticesOf } from "../garden/household-crops.server";
import { losersIn, plannedGarden } from "../garden/planned-garden.server";

/** The start page. */
export function horizonPage(db: Db, garden: GardenRow) {
  const planned = plannedGarden(db, garden);
  return inUnits(
    horizonView(planned, losersIn(db, planned), openRound(db) !== undefined, [...noticesOf(db), ...oddDaysTold(db)]),
    planned.units,
  );
}

/** Days of the record that an earlier version let in and that cannot be. */
function oddDaysTold(db: Db): string[] {
  const odd = oddDays(db);
  if (odd === 0) return [];
  return [`${odd === 1 ? "One day" : `${odd} days`} of the weather record ${odd === 1 ? "has a year" : "have years"} that cannot be right: left aside.`]; // prettier-ignore
}
