import { addDays, type IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import type { SeasonCrop } from "~/core/seasons";
import { seasonOn } from "~/core/seasons";
import type { Db } from "~/db/client.server";
import { plantingById, type PlantingRow } from "~/db/beds/plantings.server";
import {
  daysTouched,
  deleteSeason,
  endOf,
  insertEnd,
  insertSeason,
  openSeasonOf,
  seasonById,
  seasonsOf,
  updateEnd,
  withdrawEnds,
  type SeasonRow,
} from "~/db/beds/seasons.server";
import { cropsOf } from "../garden/household-crops.server";
import { applied, refused, type Applied } from "../entries/applied";

const GONE = "This planting is no longer there.";

/** The season an entry belongs to: the one it names, or the one its day falls into. */
export function seasonFor(db: Db, plantingId: string, day: IsoDay, named?: string): SeasonRow | undefined {
  const own = named ? seasonById(db, named) : undefined;
  if (own?.plantingId === plantingId) return own;
  return seasonOn(seasonsOf(db, plantingId), day);
}

/** Something said of a planting: when it was done, and its own number. */
interface Said {
  plantingId: string;
  day: IsoDay;
  id: string;
  at: string;
}

/** Ends the newest season by hand: over (a perennial rests until its year turns), or the bed is free. */
export function endSeason(db: Db, { plantingId, day, id, at }: Said, bedFree: boolean): Applied {
  const latest = plantingById(db, plantingId) && seasonsOf(db, plantingId).at(-1);
  if (!latest) return refused(GONE);
  const end = endOf(db, latest.id);
  const reason = bedFree ? "bed free" : "over";
  // Said twice, by two devices: the earlier day holds, whichever came first.
  if (end?.reason === reason && day < end.endedOn) updateEnd(db, end.id, { endedOn: day });
  if (end && (end.reason === reason || !bedFree)) return applied;
  db.transaction(() => {
    if (end) withdrawEnds(db, { seasonId: latest.id });
    insertEnd(db, { id, seasonId: latest.id, endedOn: day, reason, loggedAt: at });
  });
  return applied;
}

/** It still grows: whatever ended the newest season is taken back. */
export function reopenSeason(db: Db, plantingId: string): Applied {
  const latest = seasonsOf(db, plantingId).at(-1);
  if (!latest) return refused(GONE);
  withdrawEnds(db, { seasonId: latest.id });
  return applied;
}

/** What the plants of a crop may give once all of it was taken. */
export function nextCropsOf(crop: Crop): SeasonCrop[] {
  return [...crop.nextCrops.map((n) => n.crop), ...(crop.seedSaving ? (["seed"] as const) : [])];
}

/** The plants go on to their next crop: side shoots, a second cut, seed. */
export function startNextCrop(db: Db, said: Said, next: SeasonCrop): Applied {
  const { plantingId, day, id, at } = said;
  const planting = plantingById(db, plantingId);
  const seasons = seasonsOf(db, plantingId);
  const latest = seasons.at(-1);
  if (!planting || !latest) return refused(GONE);
  const crop = cropsOf(db).find((c) => c.id === planting.cropId);
  if (!crop || !nextCropsOf(crop).includes(next))
    return refused(`${crop?.name ?? "This crop"} does not go on to ${next}.`, { crop: "Choose what the plants give." });
  const open = openSeasonOf(db, plantingId);
  if (open?.crop === next) return applied;
  // Two seasons cannot open on one day: a second turn of the same day changes the first.
  if (seasons.some((s) => s.opensOn === day && s.id !== latest.id)) return refused("It went on to another crop that day already."); // prettier-ignore
  const opensOn = day > latest.opensOn ? day : addDays(latest.opensOn, 1);
  const seasonId = nextSeasonId(said);
  db.transaction(() => {
    const end = endOf(db, latest.id);
    insertSeason(db, { id: seasonId, plantingId, opensOn, crop: next, startEvent: "growth", startedOn: day });
    // Ended by hand since, though heard of before: that was the end of this crop.
    const since = end && end.pickId === null && end.loggedAt > at;
    if (since) updateEnd(db, end.id, { seasonId });
    if (open || since) insertEnd(db, { id: `${id}-end`, seasonId: latest.id, endedOn: day, reason: "next crop", loggedAt: at }); // prettier-ignore
  });
  return applied;
}

const nextSeasonId = ({ plantingId, id }: Pick<Said, "plantingId" | "id">) => `${plantingId}/${id}`;

/** The plants did not go on to their next crop after all. */
export function undoNextCrop(db: Db, plantingId: string, id?: string): Applied {
  const seasons = seasonsOf(db, plantingId);
  const latest = seasons.at(-1);
  const before = seasons.at(-2);
  if (!latest || !before || latest.crop === "main" || (id && latest.id !== nextSeasonId({ plantingId, id })))
    return refused("That crop is not the newest of this planting.");
  if (daysTouched(db, latest.id).length > 0)
    return refused("Something was seen or picked of it already: take that back first.");
  db.transaction(() => {
    deleteSeason(db, latest.id);
    const end = endOf(db, before.id);
    if (end?.reason === "next crop") withdrawEnds(db, { id: end.id });
  });
  return applied;
}

/** A crop lifted once is over when all of it came off. */
export function endsSeason(db: Db, pick: { outcome: string; tookAll: boolean }, planting: PlantingRow): boolean {
  const crop = cropsOf(db).find((c) => c.id === planting.cropId);
  return crop?.mode === "once" && pick.outcome === "picked" && pick.tookAll;
}
