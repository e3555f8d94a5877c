import { localMoment, type IsoDay } from "~/core/calendar";
import { BED_MINUTES, ROUND_MINUTES } from "~/core/garden";
import type { DayNow } from "~/core/hands";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allPlantings } from "~/db/beds/plantings.server";
import { picksOfRound } from "~/db/ledger/picks.server";
import { errandsOf, finishedRoundsOn, type RoundRow } from "~/db/round/rounds.server";
import { gardenNow } from "../garden/clock.server";

/** A round that took longer than this was left open, not walked: minutes, our judgement. */
const LONGEST_ROUND = 300;

/** Minutes that the finished rounds of a day have used, with when each ended; the demo's clock stands. */
export function minutesUsedOn(db: Db, garden: GardenRow, day: IsoDay): DayNow["used"] {
  return finishedRoundsOn(db, day).map((round) => {
    const ended = garden.demoDay ? gardenNow(garden) : new Date(round.finishedAt!);
    return { minutes: minutesOf(db, garden, round), until: localMoment(ended, garden.timeZone).slice(11) };
  });
}

/** What a round took by the clock; at least what its done errands are reckoned at. */
function minutesOf(db: Db, garden: GardenRow, round: RoundRow): number {
  const beds = new Map(allPlantings(db).map((p) => [p.id, p.bedId]));
  const picked = new Set(picksOfRound(db, round.id).map((p) => p.plantingId));
  const done = errandsOf(db, round.id).filter((e) => e.doneAt !== null || picked.has(e.plantingId));
  if (done.length === 0) return 0;
  const calls = new Set(done.map((e) => beds.get(e.plantingId))).size;
  const reckoned = done.reduce((sum, e) => sum + e.minutes, 0) + ROUND_MINUTES + BED_MINUTES * calls;
  const elapsed = (Date.parse(round.finishedAt!) - Date.parse(round.startedAt)) / 60_000;
  // The demo's clock stands, so the real time that passed there says nothing.
  return garden.demoDay || elapsed > LONGEST_ROUND ? reckoned : Math.max(reckoned, elapsed);
}
