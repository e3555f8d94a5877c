import { addDays, dayOfYear, daysBetween, type IsoDay } from "../calendar";
import { FIRST_PICK_AGE, yieldLearnt, type SeasonYield, type YieldPrior } from "../cropping";
import type { Catalogue, Crop } from "../crops";
import { BED_CLIMATES } from "../hazards";
import { bearingOf, cropShare, growthPace, plantsOf, yearShare } from "../life";
import type { ClimateNormals } from "../weather";
import { daysSeen } from "./first-picks";
import type { GardenState, SeasonPicked } from "./garden-state";

/** A season this many times off the catalogue was not logged whole, or is a slip: nothing is learnt from it. */
const MOST_OFF = 5;
/** Of what keeps giving: fewer picks, or picks over fewer days, say little of how it bears. Our judgement. */
const LEAST = { picks: 3, days: 8 } as const;

type Days = ReadonlyMap<IsoDay, { minC: number; maxC: number }>;

/**
 * What the garden's closed seasons teach of amounts, by crop and variety.
 *
 * @param normals - stand in for days without an observation
 * @param kept - of earlier calls with the same weather and catalogue: what a season was to give is not worked out again
 * @returns a function of crop and variety; the catalogue where no season has closed
 */
export function yieldLearnerOf(
  garden: GardenState,
  catalogue: Catalogue,
  normals: ClimateNormals,
  kept = new Map<string, number>(),
): (crop: Crop, variety: string) => YieldPrior {
  const seen = daysSeen(garden.observed);
  const byCrop = new Map<string, SeasonYield[]>();
  for (const season of garden.seasonYields) {
    const crop = catalogue.find((c) => c.id === season.cropId);
    const key = JSON.stringify(season);
    if (!kept.has(key)) kept.set(key, crop ? expectedOf(crop, season, normals, seen()) : 0);
    const expected = kept.get(key)!;
    if (expected <= 0 || season.pieces <= 0) continue;
    const logRatio = Math.log(season.pieces / expected);
    if (Math.abs(logRatio) > Math.log(MOST_OFF)) continue;
    const variety = season.variety.trim().toLowerCase();
    byCrop.set(season.cropId, [...(byCrop.get(season.cropId) ?? []), { variety, logRatio }]);
  }
  return (crop, variety) => yieldLearnt(crop, byCrop.get(crop.id) ?? [], variety.trim().toLowerCase());
}

/** Pieces that the catalogue has come ready in a season: of what keeps giving from its first pick to its last. */
function expectedOf(crop: Crop, season: SeasonPicked, normals: ClimateNormals, observed: Days): number {
  const share = cropShare(crop, season.seasonCrop) * yearShare(crop, season.growingYear);
  const whole = plantsOf(crop, season) * crop.piecesPerPlant.value * share;
  if (crop.mode !== "repeat") return whole;
  const bearing = bearingOf(crop);
  const days = daysBetween(season.firstOn, season.lastOn);
  if (!bearing || season.picks < LEAST.picks || days < LEAST.days) return 0;
  const extraC = BED_CLIMATES[season.bedKind].dayC;
  const paceOn = (day: IsoDay) => {
    const seen = observed.get(day);
    const doy = dayOfYear(day);
    return growthPace(crop, seen?.minC ?? normals.minC[doy]!, (seen?.maxC ?? normals.maxC[doy]!) + extraC);
  };
  let age = 0;
  let sum = 0;
  for (let n = -FIRST_PICK_AGE; n <= days; n++) {
    const pace = paceOn(addDays(season.firstOn, n));
    sum += pace * bearing.vigourAt(age);
    age += bearing.agesBy(pace);
  }
  return whole * sum;
}
