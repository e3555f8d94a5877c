import { addDays } from "~/core/calendar";
import { windowSchool } from "~/core/readiness";
import { rowLengthIn } from "~/core/units";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allBeds } from "~/db/beds/beds.server";
import { plantingById } from "~/db/beds/plantings.server";
import { endOf, seasonsOf } from "~/db/beds/seasons.server";
import { treatmentsOf } from "~/db/beds/treatments.server";
import { wantedFrom } from "~/db/beds/wanted-days.server";
import { cropNames } from "~/views/notes/field-notes-view";
import { seasonsView } from "~/views/beds/seasons-view";
import { householdNumber, inUnits, saySlot, shortDay } from "~/views/words";
import { wantedWords } from "~/views/sentences/wanted";
import { todayOf } from "../garden/clock.server";
import { cropsOf, wayOf } from "../garden/household-crops.server";
import { plannedGarden } from "../garden/planned-garden.server";
import { seasonLifeOf } from "../life/season-life.server";

/** The strip of a planting's season over its earlier ones. */
export function plantingLife(db: Db, garden: GardenRow, plantingId: string) {
  return inUnits(seasonLifeOf(db, garden, plantingId), garden.unitSystem);
}

/** Days on which a planting is wanted or ruled out, and what the plan says to each. */
export function plantingWanted(db: Db, garden: GardenRow, plantingId: string) {
  const planned = plannedGarden(db, garden);
  const days = wantedFrom(db, planned.today).filter((w) => w.plantingId === plantingId);
  const shown = days.map(({ id, day, slot, isRuledOut }) => ({
    id,
    day: [shortDay(day, planned.today), slot ? saySlot(slot) : ""].filter(Boolean).join(" "),
    words: isRuledOut ? "ruled out, the plan leaves it alone" : wantedWords(planned, plantingId, day),
  }));
  return inUnits(shown, garden.unitSystem);
}

/** A planting with its seasons, for changing it; undefined when there is none such. */
export function plantingPage(db: Db, garden: GardenRow, plantingId: string) {
  const row = plantingById(db, plantingId);
  const seasons = seasonsOf(db, plantingId);
  const season = seasons.at(-1);
  if (!row || !season) return undefined;
  const crops = cropsOf(db);
  const crop = crops.find((c) => c.id === row.cropId);
  const today = todayOf(garden);
  return {
    row: {
      ...row,
      eats: row.eatsGrams === null ? "" : String(householdNumber(row.eatsGrams, "g", garden.unitSystem).value),
      rowLength: row.lengthM === null ? "" : String(rowLengthIn(row.lengthM, garden.unitSystem)),
    },
    season,
    seasons: inUnits(seasonsView(seasons.map((s) => ({ ...s, end: endOf(db, s.id) ?? null })), today), garden.unitSystem), // prettier-ignore
    ended: endOf(db, season.id) !== undefined,
    wentOn: season.crop !== "main" && seasons.length > 1,
    beds: allBeds(db),
    crops: cropNames(crops, true),
    crop: {
      name: crop?.name ?? row.cropId,
      packet: crop?.packet ?? { low: 0, high: 0 },
      school: (crop && inUnits(windowSchool(crop), garden.unitSystem)) ?? null,
      perennial: Boolean(crop?.perennial),
      keepsGiving: crop?.mode === "repeat",
    },
    way: crop ? inUnits(wayOf(db, crop), garden.unitSystem) : null,
    treatments: treatmentsOf(db, row.id).map((t) => ({ ...t, until: addDays(t.treatedOn, t.intervalDays) })),
    units: garden.unitSystem,
    rowUnit: garden.unitSystem === "metric" ? ("m" as const) : ("ft" as const),
    plantsPerM: crop?.life.spacing.plantsPerM ?? null,
    today,
  };
}
