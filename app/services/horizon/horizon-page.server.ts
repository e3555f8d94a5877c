import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { openRound } from "~/db/round/rounds.server";
import { horizonView } from "~/views/horizon/horizon-view";
import { inUnits } from "~/views/words";
import { noticesOf } from "../garden/household-crops.server";
import { losersIn, plannedGarden } from "../garden/planned-garden.server";

/** The start page. */
export function horizonPage(db: Db, garden: GardenRow) {
  const planned = plannedGarden(db, garden);
  return inUnits(
    horizonView(planned, losersIn(db, planned), openRound(db) !== undefined, noticesOf(db)),
    planned.units,
  );
}
