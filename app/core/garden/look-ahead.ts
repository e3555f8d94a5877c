import { addDays, daysBetween, type IsoDay } from "../calendar";
import { ofVariety, type Catalogue, type Crop } from "../crops";
import type { Trip } from "../hands";
import { leafOffer, onceOffer, repeatOffer, settingRate, type LeafOffer, type SettingRate } from "../cropping";
import {
  BED_CLIMATES,
  COVERS,
  nightOddsBelow,
  pickBan,
  rainOutlook,
  stormOdds,
  survival,
  type BedKind,
  type NightOdds,
  type PickBan,
  type RainOutlook,
  type StormDay,
  type Survival,
} from "../hazards";
import type { PlanProblem, PlantingTask } from "../planner";
import { assess, development, judge, oddsOn, windowSchool, type Judgement } from "../readiness";
import {
  UNMEASURED,
  normalsFromSeries,
  roughNormals,
  skyTrack,
  soilOutlook,
  type ClimateNormals,
  type SkyTrack,
  type SoilDay,
} from "../weather";
import { dayTerms, type DayTerms } from "./day-terms";
import type { BedState, GardenState, PlantingState } from "./garden-state";
import { learnerOf } from "./first-picks";
import { bansOf, type BanReason } from "./pick-bans";

export const HORIZON_DAYS = 14;

/** Effort and overheads of the plan, in minutes and in kilograms of courgette. All our judgement. */
const EFFORT_PER_MINUTE = 0.02;
const ERRAND_MINUTES = 1.5;
export const ROUND_MINUTES = 6;
const ROUND_COST = 0.12;
export const BED_MINUTES = 1.5;
const BED_COST = 0.02;

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

export interface GardenOutlook {
  today: IsoDay;
  days: IsoDay[];
  track: SkyTrack;
  normals: ClimateNormals;
  /** Years behind the normals; 0 = rough guess from the latitude. */
  normalYears: number;
  /** Free hands, hours and stops of each day. */
  terms: DayTerms[];
  minutesFree: number[];
  away: boolean[];
  /** Frost odds in the open, a night each from tonight. */
  frost: NightOdds[];
  storms: StormDay[];
  rain: RainOutlook;
  trips: Trip[];
  /** What a bed's cover holds back on an evening, °C. */
  coverGainC: (bedId: string) => (evening: IsoDay) => number;
  plantings: PlantingOutlook[];
  problem: PlanProblem;
}

/**
 * Looks ahead over a garden: sky, hazards, every planting's judgement and what the planner may do.
 *
 * @param garden - parsed state; plantings of unknown crops are a caller's mistake
 * @param horizonDays - days from today, today included
 * @throws {RangeError} for an unknown crop, bed, cue or reading
 */
export function lookAhead(garden: GardenState, catalogue: Catalogue, horizonDays = HORIZON_DAYS): GardenOutlook {
  const { today } = garden;
  const days = Array.from({ length: horizonDays }, (_, n) => addDays(today, n));
  const normals = normalsFromSeries(garden.observed) ?? roughNormals(garden.latitude);
  const earliest = garden.plantings.reduce((day, p) => (p.startedOn < day ? p.startedOn : day), addDays(today, -30));
  const track = skyTrack(
    garden.observed,
    garden.forecast,
    normals,
    earliest,
    today,
    addDays(today, horizonDays + 75),
    garden.forecastError ?? UNMEASURED,
  );
  const terms = dayTerms(garden, track, days);
  const away = terms.map((t) => t.hands.away);
  const minutesFree = terms.map((t) => t.minutes);
  const coverGainC = (bedId: string) => (evening: IsoDay) =>
    Math.max(
      0,
      ...garden.covers.filter((c) => c.bedId === bedId && c.evening === evening).map((c) => COVERS[c.cover].gainC),
    );
  const soils = new Map<BedKind, SoilDay[]>();
  const soilOf = (kind: BedKind) => {
    const { nightC, dayC } = BED_CLIMATES[kind];
    const soil = soils.get(kind) ?? soilOutlook(track, horizonDays, (nightC + dayC) / 2);
    soils.set(kind, soil);
    return soil;
  };
  const rain = rainOutlook(track, horizonDays);
  const learner = learnerOf(garden, catalogue, normals);
  const plantings = garden.plantings.map((planting): PlantingOutlook => {
    const plain = catalogue.find((c) => c.id === planting.cropId);
    const bed = garden.beds.find((b) => b.id === planting.bedId);
    if (!plain) throw new RangeError(`cropId: no crop “${planting.cropId}”`);
    if (!bed) throw new RangeError(`bedId: no bed “${planting.bedId}”`);
    const crop = ofVariety(plain, varietyOf(garden, planting));
    const warmth = BED_CLIMATES[bed.kind].dayC;
    const picked = planting.picks.map((p) => p.pickedOn).sort(); // prettier-ignore
    const full = planting.picks.filter((p) => p.tookAll).map((p) => p.pickedOn).sort().at(-1) ?? null; // prettier-ignore
    const schools = waysOf(garden, crop, planting);
    const dev = development(crop, track, normals, {
      startedOn: planting.startedOn,
      lastFullPickOn: full,
      packet: planting.packet,
      extraC: warmth,
      schools,
      learnt: learner(crop.id, planting.variety),
    });
    const assessment = assess(crop, dev, planting.looks, today);
    const nearlyOn = (n: number) => 1 - oddsOn(assessment.stages, addDays(today, n))["not yet"];
    const soil = soilOf(bed.kind);
    const risk = survival(crop, track, bed.kind, horizonDays, { nearlyOn, soil, coverGainC: coverGainC(bed.id) });
    const ban = pickBan(planting.treatments, today);
    const bans = bansOf(crop, planting, terms, soil, risk);
    const nobody = minutesFree.map((m, n) => m <= ROUND_MINUTES + BED_MINUTES || bans[n] === "helper");
    const handsFree = nobody.map((none, n) => !none && bans[n] === null);
    const judgement = judge({
      crop,
      dev,
      assessment,
      today,
      survival: risk,
      rain,
      handsFree,
      nobody,
      schools,
      packetHighDays: planting.packet?.high ?? crop.packet.high,
      forSeed: planting.forSeed,
      bedNeededOn: planting.bedNeededOn,
      firstPickOn: picked[0] ?? null,
      ban,
    });
    const leaves = leafOffer(crop, planting, today);
    const base = { planting, crop, bed, judgement, survival: risk, ban, bans, leaves };
    // Kept for seed, stopped for the year or unfit: nothing that the plan should come for.
    const wanted = ["seed", "stop", "unfit"].includes(judgement.verdict.kind) ? 0 : 1;
    const minutes = (pieces: number) => ERRAND_MINUTES + pieces / crop.piecesPerMinute.value;
    const net = (worth: number, pieces: number) => wanted * worth - EFFORT_PER_MINUTE * minutes(pieces);
    if (crop.mode !== "repeat") {
      const taken = planting.picks.reduce((sum, p) => sum + p.pieces, 0);
      const left = Math.max(0, planting.plants * crop.piecesPerPlant.value - taken);
      const offer = onceOffer(crop, judgement.stages, left, risk.sound, today);
      const whole = Math.max(1e-9, (left * crop.pieceGrams.value * crop.worthPerKg.value) / 1000);
      return {
        ...base,
        rate: undefined,
        worth: offer.worth,
        pieces: offer.pieces,
        ridge: offer.worth.map((w) => w / whole),
        taskPieces: [offer.pieces],
        task: {
          id: planting.id,
          bedId: bed.id,
          repeat: false,
          worth: [offer.worth.map((w, t) => net(w, offer.pieces[t]!))],
          minutes: [offer.pieces.map((n, t) => (bans[t] === null ? minutes(n) : null))],
          endWorth: [wanted * offer.leftWorth],
        },
      };
    }
    const stages = judgement.stages;
    const bearing = (at: number) => {
      const i = at - daysBetween(track.from, stages.from);
      if (i < 0) return 0;
      const n = Math.min(i, stages.odds.prime.length - 1);
      return stages.odds.prime[n]! + stages.odds.slipping[n]! + stages.odds.gone[n]!;
    };
    const rate = settingRate(crop, planting, track, warmth, today);
    const offer = repeatOffer(crop, planting.plants * rate.factor, track, full ? addDays(full, 1) : planting.startedOn, bearing, full !== null, risk.sound, warmth); // prettier-ignore
    const soonest = crop.again?.low ?? 1;
    const top = Math.max(1e-9, ...offer.worth[0]!);
    return {
      ...base,
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
          r.map((n, t) => ((row > 0 && t - (row - 1) < soonest) || bans[t] !== null ? null : minutes(n))),
        ),
        endWorth: offer.endWorth.map((w, row) => net(w, offer.endPieces[row]!)),
      },
    };
  });
  return {
    today,
    days,
    track,
    normals,
    normalYears: normals.years,
    terms,
    minutesFree,
    away,
    frost: nightOddsBelow(track, "open", 0, horizonDays),
    storms: stormOdds(track, horizonDays),
    rain,
    trips: garden.trips,
    coverGainC,
    plantings,
    problem: {
      days,
      minutesFree,
      roundMinutes: ROUND_MINUTES,
      roundCost: ROUND_COST,
      bedMinutes: BED_MINUTES,
      bedCost: BED_COST,
      tasks: plantings.map((p) => p.task),
    },
  };
}

/** The household's variety of a planting, by its name. */
function varietyOf(garden: GardenState, planting: PlantingState) {
  const name = planting.variety.trim().toLowerCase();
  return garden.varieties.find((v) => v.cropId === planting.cropId && v.name.trim().toLowerCase() === name);
}

/** The ways of a crop that hold for a planting: its own choice of window over the household's. */
function waysOf(garden: GardenState, crop: Crop, planting: PlantingState): Record<string, string> {
  const ways = Object.fromEntries(
    garden.schools.filter((s) => s.cropId === crop.id).map((s) => [s.schoolId, s.optionId]),
  );
  const window = windowSchool(crop);
  if (window && planting.schoolOption) ways[window.id] = planting.schoolOption;
  return ways;
}
