import type { Entry } from "~/core/entries";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { plantingById } from "~/db/beds/plantings.server";
import { picksOfRound } from "~/db/ledger/picks.server";
import {
  endRound,
  errandsOf,
  joinRound,
  markErrand,
  roundAlongside,
  roundById,
  roundInFact,
  saveRound,
  touchRound,
} from "~/db/round/rounds.server";
import { applied, refused, type Applied } from "../entries/applied";
import type { EntryDay } from "../entries/entry-day.server";
import { todayOf } from "../garden/clock.server";
import { errandsAhead } from "./errands-ahead.server";

/**
 * Starts today's round: its list is written down so that it does not change underfoot. One is out at a time: a phone that
 * began its own without having heard of it walks the same one.
 */
export function startRound(
  db: Db,
  garden: GardenRow,
  { id, roundId, at }: { id: string; roundId: string; at: string },
): Applied {
  const known = roundById(db, roundId);
  if (known?.listedAt || known?.joinedTo) return applied;
  const row = { id: roundId, day: todayOf(garden), startedAt: at };
  const other = roundAlongside(db, { day: row.day, at });
  if (other) {
    joinRound(db, row, other.id);
    return applied;
  }
  const errands = errandsAhead(db, garden);
  if (errands.length === 0) return refused("There is nothing to do on a round today.", { roundId: id });
  saveRound(db, row, errands);
  return applied;
}

/** Passes an errand by, or takes that back; also before the round's start has arrived. */
export function passBy(db: Db, entry: Extract<Entry, { kind: "pass by" }>, { day }: EntryDay): Applied {
  if (!plantingById(db, entry.plantingId)) return refused("This planting is no longer there.");
  touchRound(db, entry.roundId, day, entry.at);
  markErrand(db, roundInFact(db, entry.roundId), entry.plantingId, entry.done, entry.at);
  return applied;
}

/** Ends a round; also before its start has arrived. Who joined another's leaves it to that one while something is left. */
export function finishRound(db: Db, entry: Extract<Entry, { kind: "finish round" }>, { day }: EntryDay): Applied {
  touchRound(db, entry.roundId, day, entry.at);
  const roundId = roundInFact(db, entry.roundId);
  if (roundId !== entry.roundId && isLeft(db, roundId)) return applied;
  endRound(db, roundId, entry.at);
  return applied;
}

/** Whether a stop is neither picked at nor passed by. */
function isLeft(db: Db, roundId: string): boolean {
  const picked = new Set(picksOfRound(db, roundId).map((p) => p.plantingId));
  return errandsOf(db, roundId).some((e) => e.doneAt === null && !picked.has(e.plantingId));
}
