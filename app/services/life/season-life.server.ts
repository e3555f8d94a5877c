import type { Crop } from "~/core/crops";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { seasonsOf } from "~/db/beds/seasons.server";
import { pickedBySeason } from "~/db/ledger/picks.server";
import { seasonStrip, type PastSeason, type SeasonStrip } from "~/views/life/season-strip";
import { plannedGarden } from "../garden/planned-garden.server";

/** Earlier years that are laid over this one. */
const MOST_YEARS = 4;

/** The strip of a planting's open season over its earlier ones; null when none is open. */
export function seasonLifeOf(db: Db, garden: GardenRow, plantingId: string): SeasonStrip | null {
  const planned = plannedGarden(db, garden);
  const p = planned.outlook.plantings.find((x) => x.planting.id === plantingId);
  return p ? seasonStrip(planned, p, pastSeasons(db, plantingId, p.planting.seasonId, p.crop)) : null;
}

function pastSeasons(db: Db, plantingId: string, openId: string, crop: Crop): PastSeason[] {
  const picked = new Map(pickedBySeason(db, plantingId).map((row) => [row.season.id, row]));
  return seasonsOf(db, plantingId)
    .filter((s) => s.id !== openId)
    .slice(-MOST_YEARS)
    .reverse()
    .map((s) => {
      const made = picked.get(s.id);
      return {
        year: s.startedOn.slice(0, 4),
        startedOn: s.startedOn,
        firstOn: made?.firstOn ?? null,
        lastOn: made?.lastOn ?? null,
        pieces: made ? made.pieces + made.gramsOnly / crop.pieceGrams.value : 0,
      };
    });
}
