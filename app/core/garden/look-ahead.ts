import type { IsoDay } from "../calendar";
import type { Catalogue, Crop } from "../crops";
import type { Trip } from "../hands";
import type { CoverNight } from "../hazards";
import type { PlanProblem } from "../planner";
import type { FirstPick } from "../readiness";
import { dayWishesOf } from "./day-wishes";
import { dayTerms, handsAhead, type DayTerms } from "./day-terms";
import { learnerOf } from "./first-picks";
import { gardenSky, type GardenSky } from "./garden-sky";
import type { GardenState, PlantingState } from "./garden-state";
import { HouseholdLimits, limitsOfPlan } from "./household-limits";
import { lookRestsUntil } from "./look-rests";
import type { ActMark } from "./act-mark";
import { lessJobs } from "./job-minutes";
import { liftActs } from "./lift-ways";
import { inRounds, roundsAhead, type DayRound } from "./day-rounds";
import { planProblem } from "./plan-problem";
import { withWanted, type WantedDay } from "./wanted-days";
import { yieldLearnerOf } from "./season-yields";
import type { PlantingOutlook } from "./planting-outlook";
import { outlookFrom, type PlantingSheet } from "./planting-sheet";

export const HORIZON_DAYS = 14;

const NO_LIMITS = HouseholdLimits.parse({});

/** A garden looked ahead, as plain data: it can be sent to a worker or kept. */
export interface GardenOutlook extends GardenSky {
  /** Years behind the normals; 0 = rough guess from the latitude. */
  normalYears: number;
  /** Free hands, hours and stops of each day. */
  terms: DayTerms[];
  minutesFree: number[];
  away: boolean[];
  trips: Trip[];
  covers: CoverNight[];
  actMarks: ActMark[];
  plantings: PlantingOutlook[];
  /** What the planner is asked, its days one entry for each of `rounds`; and the same before any day was asked for. */
  problem: PlanProblem;
  unwished: PlanProblem;
  rounds: DayRound[];
  /** Days that the household asked for, and what blocks those that cannot be. */
  wanted: WantedDay[];
}

/** What was worked out before, kept while what it hangs on stands. */
export interface KeptOutlooks {
  sky?: { key: string; observed: GardenState["observed"]; sky: GardenSky };
  /** What each season taught, under that sky and catalogue. */
  taught?: { sky: GardenSky; catalogue: Catalogue; picks: Map<string, FirstPick | null>; yields: Map<string, number> };
  terms?: { key: string; sky: GardenSky; terms: DayTerms[] };
  plantings: Map<string, { key: string; crop: Crop; terms: DayTerms[]; outlook: PlantingOutlook }>;
}

/**
 * Looks ahead over a garden: sky, hazards, every planting's judgement and what the planner may do.
 *
 * @param garden - parsed state; plantings of unknown crops are a caller's mistake
 * @param horizonDays - days from today, today included
 * @param kept - of earlier calls: what still stands is taken from it, what is new is put into it
 * @throws {RangeError} for an unknown crop, bed, cue or reading
 */
export function lookAhead(
  garden: GardenState,
  catalogue: Catalogue,
  horizonDays = HORIZON_DAYS,
  kept: KeptOutlooks = { plantings: new Map() },
): GardenOutlook {
  const looking = lookingAt(garden, catalogue, horizonDays, kept);
  const { sky, terms, limits } = looking;
  const plantings = garden.plantings.map((planting) => {
    const around = looking.around(planting);
    const { crop, bed } = around;
    const taught = garden.firstPicks.filter((f) => f.cropId === crop.id);
    // Which days are asked for is the plan's to know: the outlook stands.
    const { pickOn: _, notOn: __, ...wishes } = planting.wishes ?? { pickOn: [], notOn: [] };
    const acts = liftActs(crop, planting, garden.actMarks, garden.today);
    const key = JSON.stringify([
      { ...planting, wishes },
      lookRestsUntil(crop, planting, garden.actMarks),
      acts.map(({ rule, done }) => [rule.id, done]),
      bed,
      limits,
      around.variety,
      around.schools,
      around.covers,
      taught,
      looking.bears(planting, crop),
    ]);
    return keptOutlook(kept, key, planting, crop, terms, () => outlookFrom(looking.sheet(planting)));
  });
  for (const id of kept.plantings.keys()) if (!garden.plantings.some((p) => p.id === id)) kept.plantings.delete(id);
  const minutesFree = terms.map((t) => t.minutes);
  const away = terms.map((t) => t.hands.away);
  const ahead = { ...sky, plantings, covers: garden.covers, trips: garden.trips, away, minutesFree };
  const rounds = lessJobs(roundsAhead(terms), ahead, garden.actMarks);
  const walked = new Set(garden.plantings.flatMap((p) => p.picks.map((m) => m.pickedOn)));
  const ofPlan = limitsOfPlan(limits, sky.days, walked);
  const tasks = [...plantings.flatMap((p) => p.parts.map((part) => part.task)), ...plantings.flatMap((p) => p.look ?? [])]; // prettier-ignore
  const unwished = inRounds({ ...planProblem(sky.days, minutesFree, tasks), ...ofPlan }, rounds, plantings);
  return {
    ...ahead,
    actMarks: garden.actMarks,
    normalYears: sky.normals.years,
    terms,
    rounds,
    unwished,
    ...withWanted(unwished, rounds, plantings.map(dayWishesOf)),
  };
}

/**
 * What one planting's outlook is worked out from, as `lookAhead` does it.
 *
 * @param kept - of earlier calls, as in `lookAhead`
 * @returns undefined where there is no such planting
 * @throws {RangeError} for an unknown crop or bed
 */
export function plantingSheet(
  garden: GardenState,
  catalogue: Catalogue,
  plantingId: string,
  kept: KeptOutlooks = { plantings: new Map() },
): PlantingSheet | undefined {
  const planting = garden.plantings.find((p) => p.id === plantingId);
  return planting && lookingAt(garden, catalogue, HORIZON_DAYS, kept).sheet(planting);
}

/** A garden as its plantings are looked at: the sky, the hands, and what stands around each. */
function lookingAt(garden: GardenState, catalogue: Catalogue, horizonDays: number, kept: KeptOutlooks) {
  const sky = keptSky(garden, horizonDays, kept);
  const terms = keptTerms(garden, sky, kept);
  const limits = garden.limits ?? NO_LIMITS;
  const taughtBefore = keptTaught(sky, catalogue, kept);
  const learner = learnerOf(garden, catalogue, sky.normals, taughtBefore.picks);
  const yields = yieldLearnerOf(garden, catalogue, sky.normals, taughtBefore.yields);
  const bears = (planting: PlantingState, crop: Crop) => yields(crop, planting.variety);
  const around = (planting: PlantingState) => {
    const crop = catalogue.find((c) => c.id === planting.cropId);
    const bed = garden.beds.find((b) => b.id === planting.bedId);
    if (!crop) throw new RangeError(`cropId: no crop “${planting.cropId}”`);
    if (!bed) throw new RangeError(`bedId: no bed “${planting.bedId}”`);
    return {
      crop,
      bed,
      variety: varietyOf(garden, planting),
      schools: garden.schools.filter((s) => s.cropId === crop.id),
      covers: garden.covers.filter((c) => c.bedId === bed.id),
    };
  };
  const sheet = (planting: PlantingState): PlantingSheet => {
    const of = around(planting);
    const setting = { ...of, bears: bears(planting, of.crop), learnt: learner(of.crop.id, planting.variety) };
    return { planting, setting, limits, actMarks: garden.actMarks, sky, terms };
  };
  return { sky, terms, limits, around, bears, sheet };
}

/** The sky, kept while weather, place and day stand. */
function keptSky(garden: GardenState, horizonDays: number, kept: KeptOutlooks): GardenSky {
  const { today, latitude, longitude, timeZone, observed, usual, forecast, hours, forecastError } = garden;
  const before = kept.sky;
  const earliest = garden.plantings.reduce<IsoDay>((day, p) => (p.startedOn < day ? p.startedOn : day), today);
  const key = JSON.stringify([today, latitude, longitude, timeZone, usual, forecast, hours, forecastError, earliest, horizonDays]); // prettier-ignore
  if (before?.key === key && sameDays(before.observed, observed)) return before.sky;
  const sky = gardenSky(garden, horizonDays);
  kept.sky = { key, observed, sky };
  return sky;
}

/** A caller that keeps the record hands in the same list: then none of twenty years is looked at. */
const sameDays = (before: GardenState["observed"], now: GardenState["observed"]) =>
  before === now || (before.length === now.length && JSON.stringify(before) === JSON.stringify(now));

function keptTaught(sky: GardenSky, catalogue: Catalogue, kept: KeptOutlooks) {
  if (kept.taught?.sky !== sky || kept.taught.catalogue !== catalogue)
    kept.taught = { sky, catalogue, picks: new Map(), yields: new Map() };
  return kept.taught;
}

/** What each day allows, kept while the sky and the hands stand; the clock counts only by what it takes away. */
function keptTerms(garden: GardenState, sky: GardenSky, kept: KeptOutlooks): DayTerms[] {
  const hands = handsAhead(garden, sky.days);
  const key = JSON.stringify(hands);
  if (kept.terms?.key !== key || kept.terms.sky !== sky)
    kept.terms = { key, sky, terms: dayTerms(hands, sky.hours, garden) };
  return kept.terms.terms;
}

function keptOutlook(
  kept: KeptOutlooks,
  key: string,
  planting: PlantingState,
  crop: Crop,
  terms: DayTerms[],
  work: () => PlantingOutlook,
): PlantingOutlook {
  const known = kept.plantings.get(planting.id);
  // The terms hang on the sky: where they stand, it does.
  const stands = known?.key === key && known.crop === crop && known.terms === terms;
  if (stands && JSON.stringify(known.outlook.planting.wishes) === JSON.stringify(planting.wishes)) return known.outlook;
  const outlook = stands ? { ...known.outlook, planting } : work();
  kept.plantings.set(planting.id, { key, crop, terms, outlook });
  return outlook;
}

/** The household's variety of a planting, by its name. */
function varietyOf(garden: GardenState, planting: PlantingState) {
  const name = planting.variety.trim().toLowerCase();
  return garden.varieties.find((v) => v.cropId === planting.cropId && v.name.trim().toLowerCase() === name);
}
