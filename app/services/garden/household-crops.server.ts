import { catalogueData, checkedCrop } from "~/catalogue/catalogue.server";
import { ofVariety, patchCrop, type Catalogue, type Crop, type CropData } from "~/core/crops";
import { windowSchool } from "~/core/readiness";
import type { UnitSystem } from "~/core/units";
import type { Db } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import {
  allPatches,
  allSchoolChoices,
  allVarieties,
  type PatchRow,
  type VarietyRow,
} from "~/db/notes/household.server";
import { sayFigure } from "~/views/words";

interface HouseholdCrops {
  crops: Catalogue;
  /** Values of the household's that no longer fit, a sentence each. */
  notices: string[];
}

let kept: (HouseholdCrops & { key: string }) | undefined;
const shippedIn: Partial<Record<UnitSystem, Catalogue>> = {};

/** The shipped crops, measures said in the household's units; made once per process. */
function catalogueIn(units: UnitSystem): Catalogue {
  shippedIn[units] ??= catalogueData().map((crop) => checkedCrop(crop, sayFigure(units)));
  return shippedIn[units];
}

/**
 * The catalogue as this household knows it: the shipped crops in its units with its own values laid over
 * them, and the crops it added.
 */
export function cropsOf(db: Db): Catalogue {
  return householdCrops(db).crops;
}

/** What no longer fits since the app was brought up to date; the handbook's holds meanwhile. */
export function noticesOf(db: Db): string[] {
  return householdCrops(db).notices;
}

function householdCrops(db: Db): HouseholdCrops {
  const rows = allPatches(db);
  const units = theGarden(db)?.unitSystem ?? "metric";
  if (rows.length === 0) return { crops: catalogueIn(units), notices: [] };
  const key = JSON.stringify([units, rows]);
  if (kept?.key !== key) kept = { key, ...withHousehold(rows, units) };
  return kept;
}

function withHousehold(rows: readonly PatchRow[], units: UnitSystem): HouseholdCrops {
  const shipped = catalogueData();
  const notices: string[] = [];
  const patches = new Map(rows.map((r) => [r.cropId, patchIn(r, notices)]));
  const changed = catalogueIn(units).map((crop, i) => {
    const patch = patches.get(crop.id);
    return patch ? fitted(shipped[i]!, patch, crop.name, notices, units) ?? crop : crop; // prettier-ignore
  });
  const added = rows
    .filter((r) => !shipped.some((c) => c.id === r.cropId))
    .flatMap((r) => {
      const patch = patches.get(r.cropId)!;
      const base = shipped.find((c) => c.id === patch.like);
      const name = typeof patch.name === "string" ? patch.name : r.cropId;
      if (!base) notices.push(`${name} is like a crop that the handbook no longer has: its plantings wait, their record stays.`); // prettier-ignore
      return (base && fitted(base, patch, name, notices, units)) ?? [];
    });
  return { crops: [...changed, ...added], notices };
}

/** A stored patch; one that cannot be read is none, and is said. */
function patchIn({ cropId, patch }: PatchRow, notices: string[]): CropData {
  try {
    return JSON.parse(patch) as CropData;
  } catch {
    notices.push(`Your values of ${cropId} cannot be read: the handbook’s hold.`);
    return {};
  }
}

/** A crop with the household's values, without those that no longer fit. */
function fitted(base: CropData, patch: CropData, name: string, notices: string[], units: UnitSystem): Crop | undefined {
  const whole = tried(base, patch, units);
  if (whole) return whole;
  let good: CropData = {};
  // A crop of its own keeps its name and number whatever else of it no longer fits.
  for (const key of ["id", "like", "name"]) if (key in patch) good[key] = patch[key];
  for (const [key, value] of Object.entries(patch)) {
    if (key in good) continue;
    const next = { ...good, [key]: value };
    if (tried(base, next, units)) good = next;
    else notices.push(`${name}: your “${key}” no longer fits, the handbook’s holds.`);
  }
  return tried(base, good, units);
}

function tried(base: CropData, patch: CropData, units: UnitSystem): Crop | undefined {
  try {
    return checkedCrop(patchCrop(base, patch), sayFigure(units));
  } catch {
    return undefined;
  }
}

/** A variety row in the core's words. */
export function varietyOf(row: VarietyRow) {
  return {
    cropId: row.cropId,
    name: row.name,
    ripeColour: row.ripeColour,
    size: row.sizeLowMm !== null && row.sizeHighMm !== null ? { lowMm: row.sizeLowMm, highMm: row.sizeHighMm } : null,
    packet: packetOf(row),
  };
}

/** Days of a packet where both ends are known. */
export function packetOf(row: { packetLow: number | null; packetHigh: number | null }) {
  return row.packetLow !== null && row.packetHigh !== null ? { low: row.packetLow, high: row.packetHigh } : null;
}

/** The way that holds for a crop's window where a planting has none of its own; null where there is no question. */
export function wayOf(db: Db, crop: Crop): { label: string; own: boolean } | null {
  const school = windowSchool(crop);
  if (!school) return null;
  const chosen = allSchoolChoices(db).find((c) => c.cropId === crop.id && c.schoolId === school.id);
  const option = school.options.find((o) => o.id === (chosen?.optionId ?? school.usual));
  return { label: option?.label ?? "", own: chosen !== undefined };
}

/** The crop of a planting, in its variety. */
export function cropOfPlanting(db: Db, planting: { cropId: string; variety: string }): Crop | undefined {
  const crop = cropsOf(db).find((c) => c.id === planting.cropId);
  const name = planting.variety.trim().toLowerCase();
  const row = allVarieties(db).find((v) => v.cropId === planting.cropId && v.name.trim().toLowerCase() === name);
  return crop && ofVariety(crop, row && varietyOf(row));
}
