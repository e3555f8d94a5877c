import { addDays, daysBetween, type IsoDay } from "../calendar";
import { ofVariety, type Crop, type Variety } from "../crops";
import { leafOffer, onceOffer, repeatOffer, settingRate, type LeafOffer, type SettingRate } from "../cropping";
import { BED_CLIMATES, coverGainOf, pickBan, survival, type CoverNight, type PickBan, type Survival } from "../hazards";
import type { PlantingTask } from "../planner";
import { assess, development, judge, oddsOn, windowSchool, type Judgement, type Learnt } from "../readiness";
import type { DayTerms } from "./day-terms";
import { lastDayOf, type GardenSky } from "./garden-sky";
import type { BedState, GardenState, PlantingState } from "./garden-state";
import { bansOf, type BanReason } from "./pick-bans";
import { BED_MINUTES, EFFORT_PER_MINUTE, ERRAND_MINUTES, ROUND_MINUTES } from "./plan-problem";
import { cropShare, spanOf } from "./planting-span";

/** One planting looked ahead: judged, its hazards, and what a pick on each day would bring. */
export interface PlantingOutlook {
  planting: PlantingState;
  crop: Crop;
  bed: BedState;
  judgement: Judgement;
  survival: Survival;
  /** Set while a treatment keeps it from being picked. */
  ban: PickBan | undefined;
  /** What keeps the hands off it on each day. */
  bans: (BanReason | null)[];
  /** The household's ways that hold for it, by school. */
  ways: Record<string, string>;
  /** Worth of a pick on each day of the horizon as a share of the best, 0 to 1. */
  ridge: number[];
  /** The same in kilograms of courgette. */
  worth: number[];
  /** Pieces a first pick on each day would bring. */
  pieces: number[];
  task: PlantingTask;
  /** What picks and counts say of how freely it bears; undefined for a crop lifted once. */
  rate: SettingRate | undefined;
  /** Leaves that may come off each plant; undefined where leaves were not counted. */
  leaves: LeafOffer | undefined;
  /** Pieces by row and day, as the task's tables: what a planned pick brings. */
  taskPieces: number[][];
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
}

/** What a pick of the planting brings, day by day and row by row. */
type Offer = Pick<PlantingOutlook, "ridge" | "worth" | "pieces" | "task" | "rate" | "taskPieces">;

/** Looks one planting ahead. */
export function plantingOutlook(
  planting: PlantingState,
  setting: PlantingSetting,
  sky: GardenSky,
  terms: readonly DayTerms[],
): PlantingOutlook {
  const { bed } = setting;
  const { track, normals, today } = sky;
  const crop = ofVariety(setting.crop, setting.variety);
  const ways = waysOf(setting.schools, crop, planting);
  const span = spanOf(crop, planting);
  const dev = development(crop, track, normals, {
    startedOn: startWithin(planting, sky),
    lastFullPickOn: lastFullPick(planting),
    packet: span,
    extraC: BED_CLIMATES[bed.kind].dayC,
    schools: ways,
    learnt: setting.learnt,
  });
  const assessment = assess(crop, dev, planting.looks, today);
  const soil = sky.soils[bed.kind];
  const risk = survival(crop, track, bed.kind, sky.days.length, {
    nearlyOn: (n) => 1 - oddsOn(assessment.stages, addDays(today, n))["not yet"],
    soil,
    coverGainC: coverGainOf(setting.covers, bed.id),
  });
  const ban = pickBan(planting.treatments, today);
  const bans = bansOf(crop, planting, terms, soil, risk);
  const nobody = terms.map((t, n) => t.minutes <= ROUND_MINUTES + BED_MINUTES || bans[n] === "helper");
  const judgement = judge({
    crop,
    dev,
    assessment,
    today,
    survival: risk,
    rain: sky.rain,
    handsFree: nobody.map((none, n) => !none && bans[n] === null),
    nobody,
    packetHighDays: span.high,
    forSeed: planting.forSeed || planting.seasonCrop === "seed",
    bedNeededOn: planting.bedNeededOn,
    firstPickOn: planting.picks.map((p) => p.pickedOn).sort()[0] ?? null,
    growingYear: planting.growingYear,
    ban,
  });
  const offer = (crop.mode === "repeat" ? repeats : liftedOnce)({ planting, crop, bed, judgement, risk, bans, sky });
  return {
    planting,
    crop,
    bed,
    judgement,
    survival: risk,
    ban,
    bans,
    ways,
    leaves: leafOffer(crop, planting, today),
    ...offer,
  };
}

/** The start as far as the sky reaches: a perennial's may lie months ahead. */
function startWithin({ startedOn }: PlantingState, sky: GardenSky): IsoDay {
  const last = lastDayOf(sky);
  return startedOn < last ? startedOn : last;
}

/** The last pick after which a crop that keeps giving begins again; one before the season's start is of none. */
function lastFullPick({ picks, startedOn }: PlantingState): IsoDay | null {
  return picks.filter((p) => p.tookAll && p.pickedOn >= startedOn).map((p) => p.pickedOn).sort().at(-1) ?? null; // prettier-ignore
}

/** The ways of a crop that hold for a planting: its own choice of window over the household's. */
function waysOf(schools: GardenState["schools"], crop: Crop, planting: PlantingState): Record<string, string> {
  const ways = Object.fromEntries(schools.filter((s) => s.cropId === crop.id).map((s) => [s.schoolId, s.optionId]));
  const window = windowSchool(crop);
  if (window && planting.schoolOption) ways[window.id] = planting.schoolOption;
  return ways;
}

interface OfferTerms {
  planting: PlantingState;
  crop: Crop;
  bed: BedState;
  judgement: Judgement;
  risk: Survival;
  bans: (BanReason | null)[];
  sky: GardenSky;
}

const minutesFor = (crop: Crop, pieces: number) => ERRAND_MINUTES + pieces / crop.piecesPerMinute.value;

/** Kept for seed, stopped for the year or unfit: nothing that the plan should come for. */
const isWanted = ({ verdict }: Judgement) => !["seed", "stop", "unfit"].includes(verdict.kind);

/** Worth of a pick less its effort. */
function netOf({ crop, judgement }: OfferTerms): (worth: number, pieces: number) => number {
  const wanted = isWanted(judgement) ? 1 : 0;
  return (worth, pieces) => wanted * worth - EFFORT_PER_MINUTE * minutesFor(crop, pieces);
}

function liftedOnce(terms: OfferTerms): Offer {
  const { planting, crop, bed, judgement, risk, bans, sky } = terms;
  const taken = planting.picks.reduce((sum, p) => sum + p.pieces, 0);
  const whole = planting.plants * crop.piecesPerPlant.value * cropShare(crop, planting.seasonCrop);
  const left = Math.max(0, whole - taken);
  const offer = onceOffer(crop, judgement.stages, left, risk.sound, sky.today);
  const best = Math.max(1e-9, (left * crop.pieceGrams.value * crop.worthPerKg.value) / 1000);
  const net = netOf(terms);
  return {
    rate: undefined,
    worth: offer.worth,
    pieces: offer.pieces,
    ridge: offer.worth.map((w) => w / best),
    taskPieces: [offer.pieces],
    task: {
      id: planting.id,
      bedId: bed.id,
      repeat: false,
      worth: [offer.worth.map((w, t) => net(w, offer.pieces[t]!))],
      minutes: [offer.pieces.map((n, t) => (bans[t] === null ? minutesFor(crop, n) : null))],
      endWorth: [isWanted(judgement) ? offer.leftWorth : 0],
    },
  };
}

function repeats(terms: OfferTerms): Offer {
  const { planting, crop, bed, risk, bans, sky } = terms;
  const { track, today } = sky;
  const warmth = BED_CLIMATES[bed.kind].dayC;
  const full = lastFullPick(planting);
  const rate = settingRate(crop, planting, track, warmth, today);
  // What starts after today has borne nothing by today.
  const since = full ? addDays(full, 1) : planting.startedOn < today ? planting.startedOn : today;
  const offer = repeatOffer(crop, planting.plants * rate.factor, track, since, bearingOf(terms), full !== null, risk.sound, warmth); // prettier-ignore
  const soonest = crop.again?.low ?? 1;
  const top = Math.max(1e-9, ...offer.worth[0]!);
  const net = netOf(terms);
  return {
    rate,
    worth: offer.worth[0]!,
    pieces: offer.pieces[0]!,
    ridge: offer.worth[0]!.map((w) => Math.max(0, w) / top),
    taskPieces: offer.pieces,
    task: {
      id: planting.id,
      bedId: bed.id,
      repeat: true,
      worth: offer.worth.map((r, row) => r.map((w, t) => net(w, offer.pieces[row]![t]!))),
      minutes: offer.pieces.map((r, row) =>
        r.map((n, t) => ((row > 0 && t - (row - 1) < soonest) || bans[t] !== null ? null : minutesFor(crop, n))),
      ),
      endWorth: offer.endWorth.map((w, row) => net(w, offer.endPieces[row]!)),
    },
  };
}

/** P(something is ready) by day of the track. */
function bearingOf({ judgement, sky }: OfferTerms): (trackDay: number) => number {
  const { stages } = judgement;
  const { odds } = stages;
  const first = daysBetween(sky.track.from, stages.from);
  return (at) => {
    const i = at - first;
    if (i < 0) return 0;
    const n = Math.min(i, odds.prime.length - 1);
    return odds.prime[n]! + odds.slipping[n]! + odds.gone[n]!;
  };
}
