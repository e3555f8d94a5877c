import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { nextRound } from "~/views/round/planned-walk";
import { plannedGarden } from "../garden/planned-garden.server";
import { ordersOf } from "./round-order.server";

/** What today's round would call at, in walking order. */
export const errandsAhead = (db: Db, garden: GardenRow) =>
  nextRound(plannedGarden(db, garden), ordersOf(db, garden)).walk.stops.flatMap((stop) =>
    stop.errands.map((e) => ({
      plantingId: e.plantingId,
      part: stop.part,
      doing: e.doing,
      expectedPieces: e.pieces,
      expectedGrams: e.grams,
      minutes: e.minutes,
    })),
  );
