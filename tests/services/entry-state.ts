import { endOf, seasonsOf } from "~/db/beds/seasons.server";
import { notesOf } from "~/db/entries/entries.server";
import { openCounts, openLooks } from "~/db/looks/looks.server";
import { roundById } from "~/db/round/rounds.server";
import { allLines } from "./ledger-read";
import type { GardenOfTest } from "./garden-fixture";

/** What a gardener would see of a small garden, without the numbers its rows happen to have. */
export function knownDays({ db }: GardenOfTest) {
  const errands = db.$client.prepare("select round_id, planting_id, done_at from errand order by planting_id").all();
  return {
    lines: allLines(db)
      .map(({ id, pickedOn, grams, pieces, estimated, withdrawnAt, label }) => ({
        id,
        pickedOn,
        grams,
        pieces,
        estimated,
        withdrawn: withdrawnAt !== null,
        label,
      }))
      .sort((a, b) => a.id.localeCompare(b.id)),
    looks: openLooks(db).map((l) => [l.seasonId, l.cueId, l.takenOn, l.readingId]).sort(), // prettier-ignore
    counts: openCounts(db).map((c) => [c.seasonId, c.what, c.countedOn, c.number]).sort(), // prettier-ignore
    notes: notesOf(db, "carrot").map((n) => n.id).sort(), // prettier-ignore
    ends: ["carrot", "courgette"].map((id) => seasonsOf(db, id).map((s) => [endOf(db, s.id)?.reason, endOf(db, s.id)?.endedOn])), // prettier-ignore
    errands,
    roundEnded: roundById(db, "r")?.finishedAt,
  };
}
