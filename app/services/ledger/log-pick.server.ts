import type { IsoDay } from "~/core/calendar";
import type { Entry, PickBody } from "~/core/entries";
import { NOT_EATEN } from "~/core/ledger";
import type { Db } from "~/db/client.server";
import { plantingById, type PlantingRow } from "~/db/beds/plantings.server";
import { endOf, insertEnd, type SeasonRow } from "~/db/beds/seasons.server";
import { insertLot, insertMovements, insertWeighing } from "~/db/ledger/lots.server";
import { insertPick, pickById } from "~/db/ledger/picks.server";
import { roundInFact, touchRound } from "~/db/round/rounds.server";
import { sayDay, sayStart } from "~/views/words";
import { endsSeason, seasonFor } from "../beds/seasons.server";
import { banOn } from "../beds/treatments.server";
import { applied, refused, type Applied } from "../entries/applied";
import type { EntryDay } from "../entries/entry-day.server";
import { pickAmount, type ReadAmount } from "./pick-amount.server";

type PickEntry = Extract<Entry, { kind: "pick" }>;

/**
 * Writes one line of the ledger: the pick, the lot it makes, and where that goes.
 *
 * @param person - who picked, where that is known
 */
export function logPick(db: Db, entry: PickEntry, { day, today }: EntryDay, person: string | null): Applied {
  if (pickById(db, entry.id)) return applied;
  const planting = plantingById(db, entry.plantingId);
  const season = planting && seasonFor(db, planting.id, day, entry.seasonId);
  if (!planting || !season) return refused({ form: "This planting is no longer there." });
  const wrong = dayError(db, entry, season, day, today);
  if (wrong) return refused({ on: wrong });
  if (entry.outcome === "nothing ready") {
    writePick(db, entry, season, day, person);
    return applied;
  }
  const read = pickAmount(db, entry);
  if (read.status === "refused") return refused(read.fields);
  db.transaction(() => {
    writePick(db, entry, season, day, person);
    writeLot(db, entry, day, read.value);
    endWithIt(db, entry, planting, season, day);
  });
  return applied;
}

function writePick(db: Db, entry: PickEntry, season: SeasonRow, day: IsoDay, person: string | null): void {
  const { id, roundId, outcome, tookAll, note, at } = entry;
  if (roundId) touchRound(db, roundId, day, at);
  insertPick(db, {
    id,
    seasonId: season.id,
    roundId: roundId ? roundInFact(db, roundId) : null,
    pickedOn: day,
    outcome,
    tookAll: outcome === "picked" && tookAll,
    note,
    person,
    loggedAt: at,
  });
}

function writeLot(db: Db, entry: PickEntry, day: IsoDay, { grams, pieces, weighing, about }: ReadAmount): void {
  const { id, condition, fate, at } = entry;
  const estimated = entry.estimated || about;
  insertLot(db, { id, pickId: id, condition, fate });
  insertMovements(
    db,
    [{ lotId: id, kind: "picked", day, grams, pieces, estimated, fate, condition, otherLotId: null }],
    at,
  );
  if (weighing && (!estimated || weighing.containers.length > 0))
    insertWeighing(db, { id: `weighed-${id}`, lotId: id, weighedAt: at, ...weighing });
}

/** All of a crop lifted once: its season ends, unless something ended it before. */
function endWithIt(db: Db, entry: PickEntry, planting: PlantingRow, season: SeasonRow, day: IsoDay): void {
  if (!endsSeason(db, entry, planting) || endOf(db, season.id)) return;
  const { id, at } = entry;
  insertEnd(db, { id: `end-${id}`, seasonId: season.id, endedOn: day, reason: "all taken", pickId: id, loggedAt: at });
}

/** Why nothing can have been picked on that day; undefined when it can. */
export function dayError(
  db: Db,
  pick: Pick<PickBody, "outcome" | "fate" | "plantingId">,
  season: SeasonRow,
  day: IsoDay,
  today: IsoDay,
): string | undefined {
  if (day > today) return "That day is still to come.";
  if (season.startStanding === "told" && day < season.startedOn) return `It was only ${sayStart(season, today)}.`;
  // Treated and not over yet: only what goes to the compost or the bin may come off.
  if (pick.outcome !== "picked" || NOT_EATEN.includes(pick.fate)) return undefined;
  const ban = banOn(db, pick.plantingId, day);
  if (!ban) return undefined;
  return `Treated with ${ban.product} ${sayDay(ban.treatedOn, today)}: by its label not to be picked before ${sayDay(ban.until, today)}. To the compost or the bin is all right.`;
}
