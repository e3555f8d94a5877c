import { sources } from "~/catalogue/catalogue.server";
import type { CropData } from "~/core/crops";
import type { UnitSystem } from "~/core/units";
import { inUnits } from "~/views/words";
import type { Db } from "~/db/client.server";
import { openSeasons } from "~/db/beds/seasons.server";
import { allSchoolChoices, patchOf, varietiesOf } from "~/db/notes/household.server";
import { cropNotes, notesList } from "~/views/notes/field-notes-view";
import { cropYear, type CropYear } from "~/views/life/crop-year";
import type { GardenRow } from "~/db/garden/garden.server";
import { cropsOf, varietyOf } from "../garden/household-crops.server";
import { plannedGarden } from "../garden/planned-garden.server";

/** The list of crops that answer to what was typed. */
export function notesPage(db: Db, typed: string) {
  return notesList(cropsOf(db), new Set(openSeasons(db).map((s) => s.planting.cropId)), typed);
}

/** One crop's notes; undefined when there is none such. */
export function cropPage(db: Db, cropId: string, units: UnitSystem) {
  const crop = cropsOf(db).find((c) => c.id === cropId);
  if (!crop) return undefined;
  return cropNotes(
    crop,
    {
      patch: storedPatch(db, cropId),
      varieties: varietiesOf(db, cropId).map((row) => ({ id: row.id, ...varietyOf(row) })),
      chosen: allSchoolChoices(db).filter((c) => c.cropId === cropId),
      titles: sources(),
    },
    units,
  );
}

function storedPatch(db: Db, cropId: string): CropData {
  const row = patchOf(db, cropId);
  try {
    return row ? (JSON.parse(row.patch) as CropData) : {};
  } catch {
    return {};
  }
}

/** A crop's year in the garden's own usual weather. */
export function cropYearOf(db: Db, garden: GardenRow, cropId: string): CropYear | undefined {
  const crop = cropsOf(db).find((c) => c.id === cropId);
  const { outlook, today } = plannedGarden(db, garden);
  return crop && inUnits(cropYear(crop, outlook, outlook.normalYears, today, garden.unitSystem), garden.unitSystem);
}

/** Notes of the crops named, or of all that grow here, by name. */
export function sheetsPage(db: Db, asked: readonly string[], units: UnitSystem) {
  const ids = asked.length > 0 ? asked : openSeasons(db).map((s) => s.planting.cropId);
  return [...new Set(ids)].flatMap((id) => cropPage(db, id, units) ?? []).sort((a, b) => a.name.localeCompare(b.name));
}
