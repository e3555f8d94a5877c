import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allBeds } from "~/db/beds/beds.server";
import { plantingById } from "~/db/beds/plantings.server";
import { endOf, seasonsOf } from "~/db/beds/seasons.server";
import { notesOf } from "~/db/entries/entries.server";
import { looksOfSeason } from "~/db/looks/looks.server";
import { containersInUse } from "~/db/ledger/containers.server";
import { checkView } from "~/views/check/check-view";
import { endedView, type EndedView } from "~/views/check/ended-view";
import { seasonStrip } from "~/views/life/season-strip";
import type { Planned } from "~/views/planned";
import { dayAndMonth, inUnits, sayInUnits } from "~/views/words";
import { nextCropsOf } from "../beds/seasons.server";
import { seenOf } from "../garden/garden-state.server";
import { cropsOf } from "../garden/household-crops.server";
import { plannedGarden } from "../garden/planned-garden.server";
import { linesOf } from "../ledger/ledger-lines.server";

/** A planting's check: its judgement while it grows, what may follow once its season is over; undefined for none. */
export function checkPage(db: Db, garden: GardenRow, plantingId: string) {
  const planned = plannedGarden(db, garden);
  const common = { today: planned.today, units: garden.unitSystem, containers: containersInUse(db) };
  const view = inUnits(checkView(planned, plantingId), planned.units);
  if (view)
    return {
      ...common,
      status: "growing" as const,
      view,
      strip: inUnits(stripOf(planned, plantingId), planned.units),
      notes: notesView(db, plantingId, planned),
    };
  const ended = endedOf(db, planned, plantingId);
  return ended && { ...common, status: "ended" as const, ended: inUnits(ended, planned.units) };
}

/** What is said of a planting whose newest season is over; undefined for one that grows or is not there. */
export function endedOf(db: Db, planned: Planned, plantingId: string): EndedView | undefined {
  const planting = plantingById(db, plantingId);
  const crop = cropsOf(db).find((c) => c.id === planting?.cropId);
  const latest = seasonsOf(db, plantingId).at(-1);
  const end = latest && endOf(db, latest.id);
  if (!planting || !crop || !end) return undefined;
  const bed = allBeds(db).find((b) => b.id === planting.bedId)?.name ?? "";
  const pick = (end.pickId && linesOf(db, [end.pickId])[0]) || null;
  const of = { ...planting, bed, seasonId: latest.id, crop: latest.crop };
  const known = [...crop.cues, ...crop.liftedCues];
  const looks = looksOfSeason(db, latest.id).filter((l) => known.find((c) => c.id === l.cueId)?.readings.some((r) => r.id === l.readingId)); // prettier-ignore
  return endedView(
    crop,
    of,
    { ...end, pick },
    nextCropsOf(crop),
    planned,
    looks.map((l) => seenOf(l)),
  );
}

function stripOf(planned: Planned, plantingId: string) {
  return seasonStrip(
    planned,
    planned.outlook.plantings.find((p) => p.planting.id === plantingId)!,
  );
}

function notesView(db: Db, plantingId: string, { today, units }: Planned) {
  return notesOf(db, plantingId).map(({ id, notedOn, text }) => ({
    id,
    on: sayInUnits(dayAndMonth(notedOn, today), units),
    text,
  }));
}
