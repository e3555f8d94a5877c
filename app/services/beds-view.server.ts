import { dayAndMonth } from "~/core/calendar";
import { BED_CLIMATES } from "~/core/hazards";
import type { Db } from "~/db/client.server";
import { bed, planting, type GardenRow } from "~/db/schema.server";
import { todayOf } from "./clock.server";
import { cropsOf } from "./household-crops.server";

export type BedsView = ReturnType<typeof bedsView>;

/** Beds along the footpath and what stands, or stood, in each. */
export function bedsView(db: Db, row: GardenRow) {
  const year = todayOf(row).slice(0, 4);
  const plantings = db.select().from(planting).all();
  const crops = cropsOf(db);
  return db
    .select()
    .from(bed)
    .all()
    .sort((a, b) => a.position - b.position)
    .map((b) => ({
      ...b,
      kindLabel: BED_CLIMATES[b.kind].label,
      plantings: plantings
        .filter((p) => p.bedId === b.id)
        .sort(
          (a, c) =>
            Number(a.finishedOn !== null) - Number(c.finishedOn !== null) || a.startedOn.localeCompare(c.startedOn),
        )
        .map((p) => ({
          id: p.id,
          crop: crops.find((c) => c.id === p.cropId)?.name ?? p.cropId,
          variety: p.variety,
          plants: p.plants,
          since: `${p.startEvent} ${dayAndMonth(p.startedOn, year)}`,
          finished: p.finishedOn ? dayAndMonth(p.finishedOn, year) : null,
        })),
    }));
}
