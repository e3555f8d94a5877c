import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allBeds } from "~/db/beds/beds.server";
import { allPlantings } from "~/db/beds/plantings.server";
import { movementsOfPicks } from "~/db/ledger/lots.server";
import { picksOfRound, type PickRow } from "~/db/ledger/picks.server";
import { errandsOf, joinedTo, openRound, type ErrandRow, type RoundRow } from "~/db/round/rounds.server";
import { amountOf, isGuessed, harvestOf } from "~/core/ledger";
import { roundView, type RoundOut, type RoundOutView } from "~/views/round/round-view";
import type { Planned } from "~/views/planned";
import { inUnits } from "~/views/words";
import { endedOf } from "../check/check-page.server";
import { cropsOf } from "../garden/household-crops.server";
import { jobsAhead } from "../horizon/jobs.server";
import { gardenNow, todayOf } from "../garden/clock.server";
import { leaveCost } from "./leave-costs.server";
import { errandsAhead } from "./errands-ahead.server";
import { ordersOf } from "./round-order.server";
import { localMoment, minutesOf } from "~/core/calendar";
import { plannedGarden } from "../garden/planned-garden.server";

/** The round that is out, or the walk that could start today. */
export function roundPage(db: Db, garden: GardenRow) {
  const out = openRound(db);
  return pageOf(db, garden, out ? listed(db, out) : null);
}

/** The round that is out, or today's as it would go if it started now: for a phone that starts it without signal. */
export function walkPage(db: Db, garden: GardenRow): RoundOutView {
  const out = openRound(db);
  const ahead = () => ({ id: NOT_STARTED, joined: [], day: todayOf(garden), errands: errandsAhead(db, garden).map((e) => ({ ...e, doneAt: null })) }); // prettier-ignore
  return pageOf(db, garden, out ? listed(db, out) : ahead()) as RoundOutView;
}

/** The number of a round that has none yet. */
const NOT_STARTED = "";

interface Listed {
  id: string;
  joined: readonly string[];
  day: string;
  errands: readonly Pick<ErrandRow, "plantingId" | "part" | "doing" | "minutes" | "expectedPieces" | "doneAt">[];
}

const listed = (db: Db, { id, day }: RoundRow): Listed => ({
  id,
  joined: joinedTo(db, id),
  day,
  errands: errandsOf(db, id),
});

function pageOf(db: Db, garden: GardenRow, walked: Listed | null) {
  const planned = plannedGarden(db, garden);
  return inUnits(
    roundView(planned, garden, walked && roundOut(db, planned, walked), cropsOf(db), jobsAhead(planned), {
      orders: ordersOf(db, garden),
      now: minutesOf(localMoment(gardenNow(garden), garden.timeZone).slice(11)),
    }),
    garden.unitSystem,
  );
}

/** A round with its list, and what closed each errand. */
function roundOut(db: Db, planned: Planned, { id, joined, day, errands }: Listed): RoundOut {
  const picks = id === NOT_STARTED ? [] : picksOfRound(db, id);
  const plantings = new Map(allPlantings(db).map((p) => [p.id, p]));
  const beds = new Map(allBeds(db).map((b) => [b.id, b]));
  return {
    id,
    joined,
    day,
    errands: errands.flatMap((e) => {
      const planting = plantings.get(e.plantingId);
      const pick = picks.find((p) => p.plantingId === e.plantingId);
      if (!planting) return [];
      const growing = planned.outlook.plantings.find((p) => p.planting.id === planting.id);
      return [
        {
          ...e,
          passedBy: e.doneAt !== null,
          bed: beds.get(planting.bedId)?.name ?? "",
          bedPosition: beds.get(planting.bedId)?.position ?? 0,
          cropId: planting.cropId,
          variety: planting.variety,
          leave: growing ? leaveCost(planned, growing) : null,
          ended: endedOf(db, planned, planting.id) ?? null,
          pick: pick ? { id: pick.id, outcome: pick.outcome, ...amountOfPick(db, pick) } : null,
        },
      ];
    }),
  };
}

function amountOfPick(db: Db, { id }: PickRow) {
  const amount = amountOf(harvestOf(movementsOfPicks(db, [id])));
  return { grams: amount.grams, pieces: amount.pieces, estimated: isGuessed(amount) };
}

/** Whether a round is out. */
export function isRoundOut(db: Db): boolean {
  return openRound(db) !== undefined;
}
