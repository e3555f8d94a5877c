import type { Entry } from "~/core/entries";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { plantingById } from "~/db/beds/plantings.server";
import { endRound, markErrand, openRound, roundById, saveRound, touchRound } from "~/db/round/rounds.server";
import { applied, refused, type Applied } from "../entries/applied";
import type { EntryDay } from "../entries/entry-day.server";
import { todayOf } from "../garden/clock.server";
import { errandsAhead } from "./errands-ahead.server";

/** Starts today's round: its list is written down so that it does not change underfoot. One is out at a time. */
export function startRound(
  db: Db,
  garden: GardenRow,
  { id, roundId, at }: { id: string; roundId: string; at: string },
): Applied {
  // prettier-ignore
  const out = openRound(db);
  if (out && out.id !== roundId) return applied;
  if (roundById(db, roundId)?.listedAt) return applied;
  const errands = errandsAhead(db, garden);
  if (errands.length === 0) return refused("There is nothing to do on a round today.", { roundId: id });
  saveRound(db, { id: roundId, day: todayOf(garden), startedAt: at }, errands);
  return applied;
}

/** Passes an errand by, or takes that back; also before the round's start has arrived. */
export function passBy(db: Db, entry: Extract<Entry, { kind: "pass by" }>, { day }: EntryDay): Applied {
  if (!plantingById(db, entry.plantingId)) return refused("This planting is no longer there.");
  touchRound(db, entry.roundId, day, entry.at);
  markErrand(db, entry.roundId, entry.plantingId, entry.done, entry.at);
  return applied;
}

/** Ends a round; also before its start has arrived. */
export function finishRound(db: Db, entry: Extract<Entry, { kind: "finish round" }>, { day }: EntryDay): Applied {
  touchRound(db, entry.roundId, day, entry.at);
  endRound(db, entry.roundId, entry.at);
  return applied;
}
