import { catalogue, catalogueData, checkedCrop } from "~/catalogue/catalogue.server";
import { ofVariety, patchCrop, type Catalogue, type Crop, type CropData } from "~/core/crops";
import type { Db } from "~/db/client.server";
import { windowSchool } from "~/core/readiness";
import { householdCrop, schoolChoice, variety, type VarietyRow } from "~/db/schema.server";

let kept: { key: string; crops: Catalogue } | undefined;

/**
 * The catalogue as this household knows it: the shipped crops with its own values laid over them, and
 * the crops it added.
 */
export function cropsOf(db: Pick<Db, "select">): Catalogue {
  const rows = db.select().from(householdCrop).all();
  if (rows.length === 0) return catalogue();
  const key = JSON.stringify(rows);
  if (kept?.key !== key) kept = { key, crops: withHousehold(rows) };
  return kept.crops;
}

function withHousehold(rows: { cropId: string; patch: string }[]): Catalogue {
  const shipped = catalogueData();
  const patches = new Map(rows.map((r) => [r.cropId, JSON.parse(r.patch) as CropData]));
  const changed = catalogue().map((crop, i) => {
    const patch = patches.get(crop.id);
    return patch ? checkedCrop(patchCrop(shipped[i]!, patch)) : crop;
  });
  const added = rows
    .filter((r) => !shipped.some((c) => c.id === r.cropId))
    .flatMap((r) => {
      const patch = patches.get(r.cropId)!;
      const base = shipped.find((c) => c.id === patch.like);
      return base ? [checkedCrop(patchCrop(base, patch))] : [];
    });
  return [...changed, ...added];
}

/** A variety row in the core's words. */
export function varietyOf(row: VarietyRow) {
  return {
    cropId: row.cropId,
    name: row.name,
    ripeColour: row.ripeColour,
    size: row.sizeLowMm !== null && row.sizeHighMm !== null ? { lowMm: row.sizeLowMm, highMm: row.sizeHighMm } : null,
    packet: row.packetLow !== null && row.packetHigh !== null ? { low: row.packetLow, high: row.packetHigh } : null,
  };
}

/** The way that holds for a crop's window where a planting has none of its own; null where there is no question. */
export function wayOf(db: Db, crop: Crop): { label: string; own: boolean } | null {
  const school = windowSchool(crop);
  if (!school) return null;
  const chosen = db.select().from(schoolChoice).all().find((c) => c.cropId === crop.id && c.schoolId === school.id); // prettier-ignore
  const option = school.options.find((o) => o.id === (chosen?.optionId ?? school.usual));
  return { label: option?.label ?? "", own: chosen !== undefined };
}

/** The crop of a planting, in its variety. */
export function cropOfPlanting(db: Db, planting: { cropId: string; variety: string }): Crop | undefined {
  const crop = cropsOf(db).find((c) => c.id === planting.cropId);
  const name = planting.variety.trim().toLowerCase();
  const row = db.select().from(variety).all().find((v) => v.cropId === planting.cropId && v.name.trim().toLowerCase() === name); // prettier-ignore
  return crop && ofVariety(crop, row && varietyOf(row));
}
