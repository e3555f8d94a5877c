import { addDays, daysBetween, type IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import { startBefore, workedOutStart, yearTurnOn } from "~/core/seasons";
import type { ClimateNormals, DailyWeather } from "~/core/weather";
import type { Db } from "~/db/client.server";
import { pickedBySeason } from "~/db/ledger/picks.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allPlantings, type PlantingRow } from "~/db/beds/plantings.server";
import {
  daysTouched,
  endOf,
  insertEnd,
  insertSeason,
  moveRowsFrom,
  seasonsOf,
  settleOldEnds,
  updateSeason,
  type SeasonRow,
} from "~/db/beds/seasons.server";
import { observedDays } from "~/db/sky/weather.server";
import { todayOf } from "./clock.server";
import { cropsOf } from "./household-crops.server";
import { normalsOf } from "./normals.server";

/** The climate that starts are worked out from. */
interface Climate {
  normals: ClimateNormals;
  observed: ReadonlyMap<IsoDay, DailyWeather>;
  latitude: number;
  today: IsoDay;
}

const settledOn = new WeakMap<Db, IsoDay>();

/**
 * Opens a perennial's season when its year has turned, tells apart the years of one that has run through several,
 * and works its start out anew until the gardener says it. Done once a day, and for a planting when it changes.
 */
export function settleSeasons(db: Db, garden: GardenRow): void {
  const today = todayOf(garden);
  if (settledOn.get(db) === today) return;
  settle(db, garden, allPlantings(db));
  settledOn.set(db, today);
}

/** The same for one planting, now. */
export function settlePlanting(db: Db, garden: GardenRow, planting: PlantingRow): void {
  settle(db, garden, [planting]);
}

function settle(db: Db, garden: GardenRow, plantings: readonly PlantingRow[]): void {
  const crops = new Map(cropsOf(db).map((c) => [c.id, c]));
  const perennial = plantings.filter((p) => crops.get(p.cropId)?.perennial);
  db.transaction(() => {
    settleOldEnds(db, [...crops.values()].filter((c) => c.mode !== "once").map((c) => c.id)); // prettier-ignore
    if (perennial.length === 0) return;
    const climate = climateOf(db, garden);
    const firstPicks = new Map(pickedBySeason(db).map((p) => [p.season.id, p.firstOn]));
    for (const p of perennial) {
      const crop = crops.get(p.cropId)!;
      turnYears(db, p, crop, climate);
      for (const s of seasonsOf(db, p.id)) workOut(db, p, crop, s, climate, firstPicks.get(s.id) ?? null);
    }
  });
}

function climateOf(db: Db, garden: GardenRow): Climate {
  const days = observedDays(db);
  return {
    normals: normalsOf(db, garden),
    observed: new Map(days.map((d) => [d.day, d])),
    latitude: garden.latitude,
    today: todayOf(garden),
  };
}

/** Ends the year that is over and opens the one that runs; a bed that is free stays so. */
function turnYears(db: Db, planting: PlantingRow, crop: Crop, { latitude, today }: Climate): void {
  const turn = yearTurnOn(today, latitude);
  let latest = seasonsOf(db, planting.id).at(-1);
  if (!latest || yearTurnOn(latest.opensOn, latitude) >= turn) return;
  const end = endOf(db, latest.id);
  if (end?.reason === "bed free" || end?.reason === "next crop") return;
  const turns = new Set([...daysTouched(db, latest.id).map((day) => yearTurnOn(day, latitude)), turn]);
  for (const opensOn of [...turns].sort()) {
    if (opensOn <= yearTurnOn(latest.opensOn, latitude) || opensOn > turn) continue;
    const next: SeasonRow = {
      id: `${planting.id}/${opensOn}`,
      plantingId: planting.id,
      opensOn,
      crop: "main",
      startEvent: crop.perennial!.opens,
      startedOn: opensOn,
      startedTo: null,
      startStanding: "worked out",
    };
    insertSeason(db, next);
    moveRowsFrom(db, latest.id, next.id, opensOn);
    if (!endOf(db, latest.id))
      insertEnd(db, { id: `year-${next.id}`, seasonId: latest.id, endedOn: addDays(opensOn, -1), reason: "year turned" }); // prettier-ignore
    latest = next;
  }
}

/** Works out the start of a season where nobody has told it. */
function workOut(
  db: Db,
  planting: PlantingRow,
  crop: Crop,
  season: SeasonRow,
  climate: Climate,
  firstPickOn: IsoDay | null,
): void {
  // A packet of a perennial counts from growth or blossom: the day it was planted is its age, not its start.
  const planted = season.startEvent === "planted" || season.startEvent === "sown";
  if (season.startStanding === "told" && !planted) return;
  const turn = yearTurnOn(season.opensOn, climate.latitude);
  const start = startBefore(crop, workedOutStart(crop, turn, climate.normals, climate.observed), firstPickOn);
  const startedOn = daysBetween(planting.cameOn, start) < 0 ? planting.cameOn : start;
  if (season.startedOn === startedOn && season.startStanding === "worked out") return;
  updateSeason(db, season.id, { startEvent: crop.perennial!.opens, startedOn, startedTo: null, startStanding: "worked out" }); // prettier-ignore
}
