import { addDays, daysBetween, type IsoDay } from "../calendar";
import { leafOffer, type LeafOffer, type YieldPrior } from "../cropping";
import { ofVariety, takenAs, type Crop, type Variety } from "../crops";
import { BED_CLIMATES, pickBan, shieldOf, survival, type CoverNight, type PickBan, type Survival } from "../hazards";
import type { Slot } from "../hands";
import { heatNeed, nextCropOf, plantsOf, spanOf, type HeatNeed } from "../life";
import {
  assess,
  ageOn,
  development,
  judge,
  oddsOn,
  tellsHowFar,
  windowSchool,
  type Assessment,
  type Judgement,
  type Learnt,
  type Look,
} from "../readiness";
import { trackIndex } from "../weather";
import type { DayTerms } from "./day-terms";
import { lastFullPick, lastSeenBearing } from "./bearing-seen";
import { endOfLife } from "./end-of-life";
import { lastDayOf, type GardenSky } from "./garden-sky";
import type { BedState, GardenState, LookTaken, PlantingState } from "./garden-state";
import { bansOf, wetSlotsOf, type BanReason } from "./pick-bans";
import { BED_MINUTES, ROUND_MINUTES } from "./plan-problem";
import { pickedAgain } from "./picked-again";
import type { PlantingTask } from "../planner";
import type { PlantingOffer, TaskProtection } from "./planting-offer";
import { ripeningOf } from "./planting-ripens";
import { liftedOn, standingPieces } from "./standing";
import { takenAsWhole } from "./taken-as-whole";
import { verdictAllows } from "./verdict-allows";

/** One planting looked ahead: judged, its hazards, and what a pick on each day would bring. */
export interface PlantingOutlook extends PlantingOffer {
  planting: PlantingState;
  crop: Crop;
  bed: BedState;
  judgement: Judgement;
  survival: Survival;
  /** Set while a treatment keeps it from being picked. */
  ban: PickBan | undefined;
  /** What keeps the hands off it on each day. */
  bans: (BanReason | null)[];
  /** Parts of each day in which its leaves are too wet, where another part is dry. */
  wetSlots: Slot[][];
  /** The household's ways that hold for it, by school. */
  ways: Record<string, string>;
  /** Leaves that may come off each plant; undefined where leaves were not counted. */
  leaves: LeafOffer | undefined;
  /** P(its bearing or its life has ended) today. */
  ended: number;
  /** How freely such plants bear in this garden, before its own picks. */
  bears: YieldPrior;
  /** Pieces that a first pick on each day takes, where the household or its kitchen wants less than what is there. */
  takes?: number[];
  /** The look it wants in the coming days, a task of the plan; undefined where none would pay. */
  look?: PlantingTask;
  /** Its tasks under covers, where a frost is ahead that a cover takes something from. */
  protections?: TaskProtection[];
}

/** What one planting is looked at in: all that stands outside it. */
export interface PlantingSetting {
  /** As the catalogue and the household know it, before its variety. */
  crop: Crop;
  bed: BedState;
  variety: Variety | undefined;
  /** The household's ways of this crop. */
  schools: GardenState["schools"];
  /** Covers of its bed. */
  covers: readonly CoverNight[];
  learnt: Learnt | undefined;
  /** How freely such plants bear in this garden. */
  bears: YieldPrior;
}

/** Looks one planting ahead. */
export function plantingOutlook(
  planting: PlantingState,
  setting: PlantingSetting,
  sky: GardenSky,
  terms: readonly DayTerms[],
): PlantingOutlook {
  const { bed } = setting;
  const { track, normals, today } = sky;
  const named = ofVariety(setting.crop, setting.variety);
  const ways = waysOf(setting.schools, named, planting);
  const crop = takenAs(named, ways);
  const span = spanOf(crop, planting);
  const startedOn = startWithin(planting, sky);
  const dev = development(crop, track, normals, {
    startedOn,
    lastFullPickOn: lastFullPick(planting),
    need: needWithin(heatNeed(crop, { ...planting, startedOn }, normals, sky.latitude), sky),
    days: nextCropOf(crop, planting.seasonCrop) && span,
    extraC: BED_CLIMATES[bed.kind].dayC,
    schools: ways,
    learnt: setting.learnt,
  });
  const pieces = piecesOf(crop, planting);
  const assessment = assess(crop, dev, planting.looks.map((l) => withShare(l, pieces)), today); // prettier-ignore
  const soil = sky.soils[bed.kind];
  const risk = survival(crop, track, bed.kind, sky.days.length, {
    nearlyOn: (n) => 1 - oddsOn(assessment.stages, addDays(today, n))["not yet"],
    ageOn: (n) => ageOn(crop, dev, assessment.belief.posterior, addDays(today, n)),
    soil,
    shield: shieldOf(setting.covers, bed.id),
  });
  const ban = pickBan(planting.treatments, today);
  const bans = bansOf(crop, planting, terms, soil, risk, planting.leavesWet);
  const nobody = terms.map((t, n) => t.longest <= ROUND_MINUTES + BED_MINUTES || bans[n] === "helper");
  const now = trackIndex(track, today);
  const dead = endOfLife(crop, planting, sky);
  const quiet = isQuiet(planting, crop, assessment, today);
  const offered = {
    planting,
    crop,
    bed,
    dev,
    assessment,
    risk,
    bans,
    sky,
    terms,
    dead: quiet ? dead : aliveToday(dead, now),
    bears: setting.bears,
  };
  const ripens = ripeningOf(offered);
  const ended = ripens && crop.mode === "repeat" ? ripens.ripe.ended[now - ripens.ripe.first]! : offered.dead(now);
  const lifted = liftedOn(crop, planting);
  const judgement = judge({
    crop,
    dev,
    assessment,
    today,
    survival: risk,
    rain: sky.rain,
    handsFree: nobody.map((none, n) => !none && bans[n] === null),
    nobody,
    away: terms.map((t) => t.hands.away),
    leavesWet: bans[0] === "wet leaves",
    packetHighDays: span.high,
    forSeed: planting.forSeed || planting.seasonCrop === "seed",
    bedNeededOn: planting.bedNeededOn,
    firstPickOn: planting.picks.map((p) => p.pickedOn).sort()[0] ?? null,
    growingYear: planting.growingYear,
    pieces,
    taken: planting.picks,
    left: crop.mode === "once" ? standingPieces(crop, planting, setting.bears) : undefined,
    lifted: lifted && lifted <= today ? { on: lifted } : undefined,
    counted: countedOf(crop, planting, pieces, today),
    ended: quiet ? ended : 0,
    ban,
  });
  const taking = { ...offered, judgement, allows: (n: number) => verdictAllows(judgement, today, n) };
  return {
    planting,
    crop,
    bed,
    judgement,
    survival: risk,
    ban,
    bans,
    wetSlots: wetSlotsOf(crop, terms),
    ways,
    ended,
    leaves: leafOffer(crop, planting, today),
    bears: setting.bears,
    // What was told of the pieces of a fixed crop is planned as told, not as it should have ripened.
    ...(ripens && !(crop.mode === "once" && judgement.verdict.because.why === "some ready") ? pickedAgain(taking, ripens) : takenAsWhole(taking)), // prettier-ignore
  };
}

/** Share counted ready today, of what is taken piece by piece as it comes; what keeps giving has its own reckoning. */
function countedOf(crop: Crop, { counts }: PlantingState, pieces: number, today: IsoDay): number | undefined {
  const ready = counts.findLast((c) => c.what === "ready" && c.countedOn === today);
  return ready && crop.mode === "once" ? Math.min(1, ready.number / pieces) : undefined;
}

/** A look whose part was counted, told as a share. */
function withShare({ pieces, outOf, ...look }: LookTaken, all: number): Look {
  if (look.share !== undefined || pieces === undefined) return look;
  return { ...look, share: Math.min(1, pieces / Math.max(pieces, outOf ?? all)) };
}

/** How many pieces it is looked at in: of what keeps giving or ripens bit by bit always several. */
function piecesOf(crop: Crop, planting: PlantingState): number {
  const each = crop.mode === "once" ? crop.piecesPerPlant.value : Math.max(2, crop.piecesPerPlant.value);
  return Math.max(1, Math.round(plantsOf(crop, planting) * each));
}

/** The same odds once it has been seen to live. */
function aliveToday(dead: (trackDay: number) => number, now: number): (trackDay: number) => number {
  const by = dead(now);
  return by > 0.99 ? () => 0 : (day) => Math.max(0, (dead(day) - by) / (1 - by));
}

/** What was picked or counted ready within two rounds and a few days, or seen on its way today, is not over, whatever its age. */
function isQuiet(planting: PlantingState, crop: Crop, { looks }: Assessment, today: IsoDay): boolean {
  if (looks.some((l) => l.takenOn === today && tellsHowFar(l) && l.reading.means !== "past")) return false;
  const last = lastSeenBearing(planting);
  return last === null || daysBetween(last, today) > 2 * (crop.again?.high ?? 3) + 4;
}

/** A need that counts from a day as far as the sky reaches: bulbs wait months for their light. */
function needWithin(need: HeatNeed | undefined, sky: GardenSky): HeatNeed | undefined {
  const last = lastDayOf(sky);
  return need && need.countsFrom > last ? { ...need, countsFrom: last } : need;
}

/** The start as far as the sky reaches: a perennial's may lie months ahead. */
function startWithin({ startedOn }: PlantingState, sky: GardenSky): IsoDay {
  const last = lastDayOf(sky);
  return startedOn < last ? startedOn : last;
}

/** The ways of a crop that hold for a planting: its own choice of window over the household's. */
function waysOf(schools: GardenState["schools"], crop: Crop, planting: PlantingState): Record<string, string> {
  const ways = Object.fromEntries(schools.filter((s) => s.cropId === crop.id).map((s) => [s.schoolId, s.optionId]));
  const window = windowSchool(crop);
  if (window && planting.schoolOption) ways[window.id] = planting.schoolOption;
  return ways;
}
