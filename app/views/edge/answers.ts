import { z } from "zod";
import { IsoDay, addDays, daysBetween } from "~/core/calendar";
import { Variety, type Catalogue } from "~/core/crops";
import {
  actsDue,
  GardenState,
  lookAhead,
  payingActs,
  pickInRound,
  planDays,
  protectionsIn,
  plantingParts,
  LookTaken,
  PickMade,
  PlantingState,
  type PlantingOutlook,
} from "~/core/garden";
import { BedKind, CoverNight, nightOddsBelow } from "~/core/hazards";
import { doubtRange } from "~/core/life";
import { PlanProblem, solvePlan, thoroughBudget } from "~/core/planner";
import { UnitSystem } from "~/core/units";
import { DailyWeather, trackIndex } from "~/core/weather";
import { afterSentence, howToTake, waitingSentence } from "../sentences/how-to";
import { conflictSentence, verdictSentence } from "../sentences/verdict";

/** One planting without the garden round it: what `judge` and `forecast` need. */
const OnePlanting = z.object({
  today: IsoDay,
  latitude: z.number().min(-90).max(90),
  longitude: z.number().min(-180).max(180).default(0),
  crop: z.string(),
  bedKind: BedKind.default("open"),
  plants: PlantingState.shape.plants,
  lengthM: PlantingState.shape.lengthM,
  /** Left out: as the crop’s packet counts. */
  startEvent: PlantingState.shape.startEvent.optional(),
  startedOn: IsoDay,
  startDoubtDays: PlantingState.shape.startDoubtDays,
  seasonCrop: PlantingState.shape.seasonCrop,
  growingYear: PlantingState.shape.growingYear,
  units: UnitSystem.default("metric"),
  packet: PlantingState.shape.packet.default(null),
  school: z.string().nullable().default(null),
  looks: z.array(LookTaken).default([]),
  picks: z.array(PickMade).default([]),
  counts: PlantingState.shape.counts,
  forSeed: PlantingState.shape.forSeed,
  bedNeededOn: PlantingState.shape.bedNeededOn,
  /** Ways by school id, beside or in place of `school`. */
  schools: z.record(z.string(), z.string()).default({}),
  variety: Variety.omit({ cropId: true, name: true }).nullable().default(null),
  firstPicks: GardenState.shape.firstPicks,
  seasonYields: GardenState.shape.seasonYields,
  observed: z.array(DailyWeather).default([]),
  forecast: GardenState.shape.forecast.default([]),
  forecastError: GardenState.shape.forecastError,
  treatments: PlantingState.shape.treatments,
  trips: GardenState.shape.trips.default([]),
  /** Nobody comes before that day. */
  nextVisitOn: IsoDay.nullable().default(null),
  covers: z.array(CoverNight.omit({ bedId: true })).default([]),
  leavesWet: PlantingState.shape.leavesWet,
  /** What is wanted of it now. */
  wanted: z
    .object({ pieces: z.number().positive().max(100_000), grams: z.number().positive().max(1_000_000) })
    .partial()
    .optional(),
});

/** Days after today on which nobody comes. */
function daysUntil({ today, nextVisitOn }: z.infer<typeof OnePlanting>): IsoDay[] {
  if (!nextVisitOn) return [];
  const days = Math.min(60, daysBetween(today, nextVisitOn) - 1);
  return Array.from({ length: Math.max(0, days) }, (_, n) => addDays(today, n + 1));
}

const ONLY = "the variety";

function gardenOf(one: z.infer<typeof OnePlanting>, catalogue: Catalogue): GardenState {
  const counted = catalogue.find((c) => c.id === one.crop)?.packet.from ?? "sown";
  return {
    today: one.today,
    latitude: one.latitude,
    longitude: one.longitude,
    usual: null,
    beds: [{ id: "bed", name: "bed", kind: one.bedKind, position: 0 }],
    plantings: [
      {
        id: "planting",
        bedId: "bed",
        cropId: one.crop,
        variety: one.variety ? ONLY : "",
        plants: one.plants,
        lengthM: one.lengthM,
        seasonId: "",
        startEvent: one.startEvent ?? counted,
        startStanding: "told",
        startDoubtDays: one.startDoubtDays,
        seasonCrop: one.seasonCrop,
        growingYear: one.growingYear,
        startedOn: one.startedOn,
        packet: one.packet,
        looks: one.looks,
        picks: one.picks,
        schoolOption: one.school,
        counts: one.counts,
        forSeed: one.forSeed,
        leavesWet: one.leavesWet,
        bedNeededOn: one.bedNeededOn,
        treatments: one.treatments,
      },
    ],
    observed: one.observed,
    forecast: one.forecast,
    timeZone: "UTC",
    hours: [],
    forecastError: one.forecastError,
    actMarks: [],
    covers: one.covers.map((c) => ({ ...c, bedId: "bed" })),
    minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: 0, midday: 0, evening: 60 })),
    exceptions: daysUntil(one).map((day) => ({ day, slot: "evening", minutes: 0 })),
    busy: [],
    trips: one.trips,
    helpers: [],
    varieties: one.variety ? [{ ...one.variety, cropId: one.crop, name: ONLY }] : [],
    schools: Object.entries(one.schools).map(([schoolId, optionId]) => ({ cropId: one.crop, schoolId, optionId })),
    firstPicks: one.firstPicks,
    seasonYields: one.seasonYields,
    now: null,
  };
}

function onlyPlanting(input: unknown, catalogue: Catalogue) {
  const one = OnePlanting.parse(input);
  const outlook = lookAhead(gardenOf(one, catalogue), catalogue);
  const planting = outlook.plantings[0];
  if (!planting) throw new RangeError("planting: nothing to judge");
  return { one, outlook, planting };
}

/**
 * The verb `judge`: one planting, its looks and weather → verdict, window, odds and why.
 *
 * @throws {z.ZodError} for input of the wrong shape
 * @throws {RangeError} for an unknown crop, cue or reading
 */
export function judgeAnswer(input: unknown, catalogue: Catalogue) {
  const { one, planting } = onlyPlanting(input, catalogue);
  const { crop, judgement: j } = planting;
  return {
    verdict: { ...j.verdict, sentence: verdictSentence(j.verdict, { crop, today: one.today, units: one.units }) },
    odds: j.odds,
    window: j.window,
    how: howToTake(crop, planting.ways, j.verdict),
    waiting: waitingSentence(crop, j, one.today),
    after: afterSentence(crop, planting.ways),
    evidence: evidenceTold(planting),
    conflict: j.conflict && conflictSentence(j.conflict),
    shareReady: j.shareReady,
    parts: plantingParts(planting, one.today, one.wanted),
    growth: j.growth,
    ahead: j.ahead,
    settingRate: planting.rate ?? null,
    leaves: planting.leaves ?? null,
    nextLooks: j.nextLooks.map(({ cue, bits }) => ({ cueId: cue.id, ask: cue.ask, bits })),
  };
}

/** What each look did, with the measurement in place of its reading where there is one. */
function evidenceTold({ judgement }: PlantingOutlook) {
  return judgement.evidence.map(({ measuredMm, ...e }) => ({
    ...e,
    reading: measuredMm === null ? e.reading : `${Math.round(measuredMm)} mm`,
  }));
}

/**
 * The verb `forecast`: one planting and its weather → when it opens and closes, frost odds by night,
 * share still sound by day.
 */
export function forecastAnswer(input: unknown, catalogue: Catalogue) {
  const { one, outlook, planting } = onlyPlanting(input, catalogue);
  const { track } = outlook;
  const offset = trackIndex(track, one.today);
  return {
    window: planting.judgement.window,
    normalYears: outlook.normalYears,
    frost: nightOddsBelow(track, one.bedKind, 0, outlook.days.length),
    days: outlook.days.map((day, n) => ({
      day,
      minC: track.minC[offset + n],
      maxC: track.maxC[offset + n],
      source: track.source[offset + n],
      sound: planting.survival.sound[n],
      worth: planting.ridge[n],
    })),
  };
}

const PlanInput = GardenState.extend({ horizonDays: z.number().int().min(1).max(28).default(14) });

/** How long each cover is asked about. */
const ASKING = { seed: 1, relaxIterations: 30, boundSplits: 0, repairIterations: 300, cycles: 1 };

/** The verb `plan`: a whole garden → picks by day, with a bound on how much better any plan could be. */
export function planAnswer(input: unknown, catalogue: Catalogue) {
  const garden = PlanInput.parse(input);
  const outlook = lookAhead(garden, catalogue, garden.horizonDays);
  const plan = planDays(outlook);
  return {
    days: outlook.days,
    minutesFree: outlook.minutesFree,
    picks: outlook.plantings.flatMap((p) =>
      outlook.rounds.flatMap(({ day, slot }, t) => {
        const pick = pickInRound(p, plan, t);
        if (!pick) return [];
        const { pieces } = pick;
        return [{ plantingId: p.planting.id, day: addDays(outlook.today, day), slot, pieces, range: doubtRange(pieces, p.doubt) }]; // prettier-ignore
      }),
    ),
    wanted: outlook.wanted.map(({ plantingId, day, blockedBy }) => ({
      plantingId,
      day: addDays(outlook.today, day),
      blockedBy,
    })),
    acts: payingActs({ problem: outlook.problem, plan: { ...plan, picks: plan.rounds }, protections: protectionsIn(outlook.rounds, outlook.plantings) }, ASKING), // prettier-ignore
    jobs: actsDue(outlook, plan, garden.actMarks).map(({ key, act, bedId, plantingId, day, before, minutes }) => ({ key, act, bedId, plantingId, day, before, minutes })), // prettier-ignore
    worth: plan.worth,
    upperBound: plan.upperBound,
    gap: plan.gap,
  };
}

/** The verb `solve`: a planning problem as it stands → plan, worth and bound, so that any solver can be held against ours. */
export function solveAnswer(input: unknown) {
  const problem = PlanProblem.parse(input);
  const { picks, ways, worth, upperBound, gap } = solvePlan(problem, thoroughBudget(problem.tasks.length));
  return { picks, ways, worth: told(worth), upperBound: Math.max(told(worth), upperBound), gap };
}

/** Without the dust of adding up. */
const told = (worth: number) => Math.round(1e9 * worth) / 1e9;
