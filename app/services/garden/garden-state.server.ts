import { groupBy } from "es-toolkit";
import { addDays, localMoment, type IsoDay } from "~/core/calendar";
import type { Catalogue, Crop } from "~/core/crops";
import {
  KITCHEN_LOOKS_BACK,
  isForKitchen,
  rackFor,
  type GardenState,
  type HouseholdLimits,
  type PlantingState,
} from "~/core/garden";
import { ROUND_LOOK } from "~/core/readiness";
import { growingYear, startOf } from "~/core/seasons";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { actMarks } from "~/db/beds/act-marks.server";
import { allBeds } from "~/db/beds/beds.server";
import { allPlantings, type PlantingRow } from "~/db/beds/plantings.server";
import { openSeasons, type SeasonRow } from "~/db/beds/seasons.server";
import { standingTreatments } from "~/db/beds/treatments.server";
import { wantedFrom } from "~/db/beds/wanted-days.server";
import { curingLots, kitchenLots } from "~/db/ledger/lots.server";
import { openPicks, pickedBySeason } from "~/db/ledger/picks.server";
import { openCounts, openLooks, type LookRow } from "~/db/looks/looks.server";
import { allSchoolChoices, allVarieties } from "~/db/notes/household.server";
import { coversFrom } from "~/db/sky/covers.server";
import { handsRules } from "~/db/sky/hands.server";
import { observedDays } from "~/db/sky/weather.server";
import { usualWhereUnknown } from "./normals.server";
import { minutesUsedOn } from "../round/minutes-used.server";
import { measuredErrorOf, newestForecast } from "../sky/forecast-archive.server";
import { gardenNow } from "./clock.server";
import { cropsOf, packetOf, varietyOf } from "./household-crops.server";

const RECORD_BEGINS_DAYS = 7;
/** What was done beside picking longer ago says nothing of a season that is open. */
const MARKS_COUNT_DAYS = 400;
type OpenPick = ReturnType<typeof openPicks>[number];

/**
 * The whole garden as the core wants it: open seasons with their looks and picks, the weather, the hours of free
 * hands. A planting whose crop is not known is left out.
 */
export function gardenState(db: Db, row: GardenRow, today: IsoDay): GardenState {
  const crops = cropsOf(db);
  const forecast = newestForecast(db, today);
  return {
    today,
    latitude: row.latitude,
    longitude: row.longitude,
    timeZone: row.timeZone,
    beds: allBeds(db),
    plantings: plantingStates(db, row, crops, today),
    observed: observedDays(db),
    usual: usualWhereUnknown(db, row),
    forecast: forecast.days,
    hours: forecast.hours,
    forecastError: measuredErrorOf(db, row),
    // Last night’s come off today.
    covers: coversFrom(db, addDays(today, -1)),
    actMarks: actMarks(db, addDays(today, -MARKS_COUNT_DAYS)),
    limits: limitsOf(db, row, crops, today),
    ...handsRules(db),
    now: { clock: localMoment(gardenNow(row), row.timeZone).slice(11), used: minutesUsedOn(db, row, today) },
    varieties: allVarieties(db).map(varietyOf),
    schools: allSchoolChoices(db),
    ...learntFrom(db, crops, row.latitude),
  };
}

/** What the household can, less what lies on its racks: until it has cured, or somebody moves it. */
function limitsOf(db: Db, row: GardenRow, crops: Catalogue, today: IsoDay): HouseholdLimits {
  const { roundsAWeek, kitchenKg, fridgeKg, racksM2 } = row;
  const lying = racksM2 === null ? [] : curingLots(db);
  const racksTaken = lying.flatMap(({ cropId, pickedOn, grams, pieces }) => {
    const crop = crops.find((c) => c.id === cropId);
    if (!crop?.life.cure) return [];
    const done = addDays(pickedOn, Math.ceil(crop.life.cure.high));
    const m2 = rackFor(crop, grams > 0 ? grams / crop.pieceGrams.value : pieces);
    return [{ until: done > today ? done : addDays(today, 1), m2 }];
  });
  const fresh = kitchenKg === null ? [] : kitchenLots(db, addDays(today, -KITCHEN_LOOKS_BACK));
  const kitchenBrought = fresh.flatMap(({ cropId, pickedOn, grams, pieces }) => {
    const crop = crops.find((c) => c.id === cropId);
    if (!crop || !isForKitchen(crop)) return [];
    return [{ on: pickedOn, kg: Math.max(0, grams || pieces * crop.pieceGrams.value) / 1000 }];
  });
  return { roundsAWeek, kitchenKg, fridgeKg, kitchenBrought, racksM2, racksTaken };
}

function plantingStates(db: Db, row: GardenRow, crops: Catalogue, today: IsoDay): PlantingState[] {
  const looks = groupBy(openLooks(db), (l) => l.seasonId);
  const counts = groupBy(openCounts(db), (c) => c.seasonId);
  const picks = groupBy(openPicks(db), (p) => p.seasonId);
  const treatments = groupBy(standingTreatments(db), (t) => t.plantingId);
  const wanted = groupBy(wantedFrom(db, today), (w) => w.plantingId);
  return openSeasons(db).flatMap(({ season, planting }): PlantingState[] => {
    const crop = crops.find((c) => c.id === planting.cropId);
    if (!crop) return [];
    const repeats = crop.mode !== "once";
    const made = picks[season.id] ?? [];
    const { day, doubtDays } = startOf(season);
    return [
      {
        ...planting,
        seasonId: season.id,
        leavesWet: false,
        startEvent: season.startEvent,
        startedOn: day,
        startDoubtDays: doubtDays,
        startStanding: season.startStanding,
        seasonCrop: season.crop,
        growingYear: yearOf(planting, today, row.latitude),
        packet: packetOf(planting),
        wishes: {
          matters: planting.matters,
          eatsGrams: planting.eatsGrams,
          pickOn: (wanted[planting.id] ?? []).filter((w) => !w.isRuledOut).map(({ day, slot }) => ({ day, slot })),
          notOn: (wanted[planting.id] ?? []).filter((w) => w.isRuledOut).map((w) => w.day),
        },
        counts: counts[season.id] ?? [],
        treatments: treatments[planting.id] ?? [],
        looks: [
          ...(looks[season.id] ?? []).filter((l) => isKnown(crop, l)).map((l) => seenOf(l, made)),
          ...made.flatMap((m) => roundLook(m, repeats)),
        ],
        picks: made
          .filter((m) => m.outcome === "picked")
          .map((m) => ({
            pickedOn: m.pickedOn,
            pieces: m.pieces ?? (m.grams ?? 0) / crop.pieceGrams.value,
            // A crop that keeps giving starts its clock again also when the small ones were left.
            tookAll: repeats,
          })),
      },
    ];
  });
}

/** Known where the gardener told of sowing or planting; blossom or growth say nothing of the plant's age. */
function yearOf({ cameBy, cameOn }: PlantingRow, today: IsoDay, latitude: number): number | null {
  return cameBy === "sown" || cameBy === "planted" ? growingYear(cameOn, today, latitude) : null;
}

/** What every season that was picked has to teach: of its first pick, and once it is over of its amounts. */
function learntFrom(db: Db, crops: Catalogue, latitude: number): Pick<GardenState, "firstPicks" | "seasonYields"> {
  const kinds = new Map(allBeds(db).map((b) => [b.id, b.kind]));
  const plantings = new Map(allPlantings(db).map((p) => [p.id, p]));
  const picked = pickedBySeason(db);
  // A ledger begun in mid season tells of its first days when it began, not when a crop was ready.
  const began = picked.map((p) => p.firstOn).sort()[0];
  const teachesFrom = began ? addDays(began, RECORD_BEGINS_DAYS) : "";
  const taught: Pick<GardenState, "firstPicks" | "seasonYields"> = {
    firstPicks: [],
    seasonYields: [],
  };
  for (const { season, closed, firstOn, lastOn, picks, pieces, gramsOnly } of picked) {
    const planting = plantings.get(season.plantingId);
    const bedKind = planting && kinds.get(planting.bedId);
    const crop = planting && crops.find((c) => c.id === planting.cropId);
    if (!bedKind || !crop || firstOn < teachesFrom) continue;
    const { cropId, variety, plants, lengthM } = planting;
    if (teaches(season)) taught.firstPicks.push({ cropId, variety, bedKind, startEvent: season.startEvent, startedOn: season.startedOn, packet: packetOf(planting), pickedOn: firstOn }); // prettier-ignore
    if (!closed || season.crop === "seed") continue;
    const growingYear = yearOf(planting, firstOn, latitude);
    const all = pieces + gramsOnly / crop.pieceGrams.value;
    taught.seasonYields.push({ cropId, variety, bedKind, plants, lengthM, seasonCrop: season.crop, growingYear, firstOn, lastOn, picks, pieces: all }); // prettier-ignore
  }
  return taught;
}

/** A start that was only reckoned, or a second crop, says nothing of the packet. */
function teaches(season: Pick<SeasonRow, "crop" | "startStanding" | "startedTo">): boolean {
  return season.crop === "main" && season.startStanding === "told" && season.startedTo === null;
}

/** Whether the catalogue of today still has this cue and reading; the look stays in the record either way. */
function isKnown(crop: Crop, { cueId, readingId }: Pick<LookRow, "cueId" | "readingId">): boolean {
  return crop.cues.find((c) => c.id === cueId)?.readings.some((r) => r.id === readingId) ?? false;
}

/** A look as the core wants it: what was not given is left out; one after a pick of its day speaks of what was left. */
export function seenOf(
  { cueId, readingId, takenOn, takenAt, sampleOf, measuredMm, share }: LookRow & { readingId: string },
  made: readonly Pick<OpenPick, "pickedOn" | "loggedAt" | "outcome">[] = [],
) {
  const afterPick = made.some((m) => m.outcome === "picked" && m.pickedOn === takenOn && m.loggedAt < takenAt);
  return {
    ...(afterPick ? { afterPick } : {}),
    cueId,
    readingId,
    takenOn,
    ...(sampleOf === null ? {} : { sampleOf }),
    ...(measuredMm === null ? {} : { measuredMm }),
    ...(share === null ? {} : { share }),
  };
}

/** A call on a round is a look too: nothing was ready, or (where the clock runs on) something was. */
function roundLook(made: OpenPick, repeats: boolean) {
  const reading = made.outcome === "nothing ready" ? "none_ready" : repeats ? null : "some_ready";
  return reading ? [{ cueId: ROUND_LOOK.id, readingId: reading, takenOn: made.pickedOn }] : [];
}
