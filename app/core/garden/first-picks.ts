import { addDays, dayOfYear, daysBetween } from "../calendar";
import type { Catalogue } from "../crops";
import { BED_CLIMATES } from "../hazards";
import {
  firstPickSays,
  learntFrom,
  normalHeat,
  normalDaysTo,
  requirementFromHeat,
  type FirstPick,
  type Learnt,
} from "../readiness";
import { dailyDegreeDays, normalDegreeDays, type ClimateNormals, type DailyWeather } from "../weather";
import type { FirstPickMade, GardenState } from "./garden-state";
import { heatNeed } from "../life";

/** A first pick this many times off the packet's heat is a slip of a date, and nothing is learnt from it. */
const MOST_OFF = 2.2;

/**
 * What the garden's first picks teach, by crop and variety.
 *
 * @param normals - stand in for days without an observation
 * @param kept - of earlier calls with the same weather and catalogue: what a pick taught then is not worked out again
 * @returns a function of crop and variety; the packet where nothing was picked
 */
export function learnerOf(
  garden: GardenState,
  catalogue: Catalogue,
  normals: ClimateNormals,
  kept = new Map<string, FirstPick | null>(),
): (cropId: string, variety: string) => Learnt {
  const seen = daysSeen(garden.observed);
  const byCrop = new Map<string, FirstPick[]>();
  for (const made of garden.firstPicks) {
    const key = JSON.stringify(made);
    if (!kept.has(key)) kept.set(key, firstPickOf(made, catalogue, normals, seen(), garden.latitude) ?? null);
    const pick = kept.get(key);
    if (pick) byCrop.set(made.cropId, [...(byCrop.get(made.cropId) ?? []), pick]);
  }
  return (cropId, variety) => learntFrom(byCrop.get(cropId) ?? [], variety.trim().toLowerCase());
}

/** The record by its days, made when it is first asked for. */
export function daysSeen(observed: GardenState["observed"]): () => ReadonlyMap<string, DailyWeather> {
  let seen: ReadonlyMap<string, DailyWeather> | undefined;
  return () => (seen ??= new Map(observed.map((d) => [d.day, d])));
}

function firstPickOf(
  made: FirstPickMade,
  catalogue: Catalogue,
  normals: ClimateNormals,
  observed: ReadonlyMap<string, { minC: number; maxC: number }>,
  latitude: number,
): FirstPick | undefined {
  const crop = catalogue.find((c) => c.id === made.cropId);
  if (!crop) return undefined;
  const { baseC, upperC } = crop.degreeDays;
  const extraC = BED_CLIMATES[made.bedKind].dayC;
  const startEvent = made.startEvent ?? crop.packet.from;
  const need = heatNeed(
    crop,
    { startEvent, startedOn: made.startedOn, startDoubtDays: 0, seasonCrop: "main", packet: made.packet },
    normals,
    latitude,
  );
  if (!need) return undefined;
  const days = normalDaysTo(need.high, normals, need.countsFrom, baseC, upperC);
  const packet = requirementFromHeat(need.low, need.high, need.high / days);
  let heat = 0;
  for (let i = 0; i <= daysBetween(need.countsFrom, made.pickedOn); i++) {
    const day = addDays(need.countsFrom, i);
    const seen = observed.get(day);
    heat += seen
      ? dailyDegreeDays(seen.minC, Math.max(seen.minC, seen.maxC + extraC), baseC, upperC)
      : normalDegreeDays(normals, dayOfYear(day), baseC, upperC, extraC);
  }
  const perDay = normalHeat(normals, made.pickedOn, 7, baseC, upperC, extraC) / 7;
  const says = firstPickSays(heat, perDay, crop.windowDays.value, packet);
  if (Math.abs(says.logRatio) > Math.log(MOST_OFF)) return undefined;
  return { variety: made.variety.trim().toLowerCase(), ...says };
}
