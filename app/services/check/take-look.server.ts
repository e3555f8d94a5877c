import type { Entry } from "~/core/entries";
import { readingOfSize } from "~/core/readiness";
import type { Db } from "~/db/client.server";
import { plantingById } from "~/db/beds/plantings.server";
import { saveLook } from "~/db/looks/looks.server";
import { seasonFor } from "../beds/seasons.server";
import type { EntryDay } from "../entries/entry-day.server";
import { applied, refused, type Applied } from "../entries/applied";
import { cropOfPlanting } from "../garden/household-crops.server";

/**
 * Writes what was seen; of two answers to one cue on one day the later holds, an empty one takes it back. Told of a
 * share, readings stand side by side.
 */
export function takeLook(db: Db, entry: Extract<Entry, { kind: "look" }>, { day }: EntryDay): Applied {
  const { plantingId, cueId, measuredMm, sampleOf, share } = entry;
  const target = plantingById(db, plantingId);
  const season = target && seasonFor(db, plantingId, day);
  if (!target || !season) return refused({ look: "This planting is no longer there." });
  const crop = cropOfPlanting(db, target);
  const cue = crop && [...crop.cues, ...crop.liftedCues].find((c) => c.id === cueId);
  if (!cue || cue.auto) return refused({ look: "That is not a look this crop knows." });
  const taken = { seasonId: season.id, cueId, takenOn: day, takenAt: entry.at };
  if (entry.readingId === null && measuredMm === undefined) {
    saveLook(db, { ...taken, readingId: null, measuredMm: null, sampleOf: null });
    return applied;
  }
  const reading =
    measuredMm === undefined ? cue.readings.find((r) => r.id === entry.readingId) : readingOfSize(cue, measuredMm);
  if (!reading) return refused({ look: "That is not a look this crop knows." });
  saveLook(db, { ...taken, readingId: reading.id, measuredMm: measuredMm ?? null, sampleOf: sampleOf ?? null, share: share ?? null }); // prettier-ignore
  return applied;
}
