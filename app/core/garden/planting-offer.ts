import { addDays, dayNumber, daysBetween, type IsoDay } from "../calendar";
import { onceOffer, repeatOffer, ripening, settingRate, type Ripening, type SettingRate } from "../cropping";
import type { Crop } from "../crops";
import { BED_CLIMATES, type Survival } from "../hazards";
import { bearingOf, cropShare, yearShare, yieldSpread } from "../life";
import type { PlantingTask } from "../planner";
import { readyOddsOn, type Assessment, type Development, type Judgement } from "../readiness";
import { trackIndex } from "../weather";
import type { DayTerms } from "./day-terms";
import type { GardenSky } from "./garden-sky";
import type { BedState, PlantingState } from "./garden-state";
import type { BanReason } from "./pick-bans";
import { BED_MINUTES, EFFORT_PER_MINUTE, ERRAND_MINUTES, ROUND_MINUTES } from "./plan-problem";

/** One thing that the plan may come for: a planting, or a part of one. */
export interface TaskPart {
  task: PlantingTask;
  /** Pieces by row and day, as the task's tables. */
  pieces: number[][];
}

/** What a pick of the planting brings, day by day and row by row. */
export interface PlantingOffer {
  /** Worth of a pick on each day of the horizon as a share of the best, 0 to 1. */
  ridge: number[];
  /** The same in kilograms of courgette. */
  worth: number[];
  /** Pieces a first pick on each day would bring. */
  pieces: number[];
  parts: TaskPart[];
  /** What picks and counts say of how freely it bears; undefined for a crop taken as a whole. */
  rate: SettingRate | undefined;
  /** Standard deviation of the logarithm of the amounts told. */
  doubt: number;
}

export interface OfferTerms {
  planting: PlantingState;
  crop: Crop;
  bed: BedState;
  dev: Development;
  assessment: Assessment;
  risk: Survival;
  bans: (BanReason | null)[];
  sky: GardenSky;
  terms: readonly DayTerms[];
  /** P(the plants have come to the end of their lives by a day of the track). */
  dead: (trackDay: number) => number;
}

/** The first pick of the season, whatever came off. */
export const firstPickOf = ({ picks, startedOn }: PlantingState): IsoDay | null =>
  picks.filter((p) => p.pickedOn >= startedOn).map((p) => p.pickedOn).sort()[0] ?? null; // prettier-ignore

/** The last pick after which a crop that keeps giving begins again; one before the season's start is of none. */
export function lastFullPick({ picks, startedOn }: PlantingState): IsoDay | null {
  return picks.filter((p) => p.tookAll && p.pickedOn >= startedOn).map((p) => p.pickedOn).sort().at(-1) ?? null; // prettier-ignore
}

/** The last day on which something came off or was counted ready. */
export function lastSeenBearing({ picks, counts }: PlantingState): IsoDay | null {
  const picked = picks.filter((p) => p.pieces > 0).map((p) => p.pickedOn);
  const counted = counts.filter((c) => c.what === "ready" && c.number > 0).map((c) => c.countedOn);
  return [...picked, ...counted].sort().at(-1) ?? null;
}

const minutesFor = (crop: Crop, pieces: number) => ERRAND_MINUTES + pieces / crop.piecesPerMinute.value;

/** Pieces that the hands of each day could take if they came for nothing else. */
const roomFor = (crop: Crop, terms: readonly DayTerms[]) =>
  terms.map((t) =>
    Math.max(0, (t.minutes - ROUND_MINUTES - BED_MINUTES - ERRAND_MINUTES) * crop.piecesPerMinute.value),
  );

/** What comes ready of a planting day by day; undefined where it is taken as a whole. */
export function ripeningOf(terms: OfferTerms): { ripe: Ripening; rate: SettingRate } | undefined {
  const { planting, crop, bed, sky, dead } = terms;
  if (!bearingOf(crop)) return undefined;
  const share = cropShare(crop, planting.seasonCrop) * yearShare(crop, planting.growingYear);
  const first = firstPickOf(planting);
  const of = {
    pieces: planting.plants * crop.piecesPerPlant.value * share,
    firstPickOn: first,
    seenOn: lastSeenBearing(planting),
    begun: beganBy(terms),
    dead,
    extraC: BED_CLIMATES[bed.kind].dayC,
    horizon: terms.terms.length,
  };
  const usual = ripening(crop, sky.track, of);
  const rate = settingRate(crop, planting, (after, to) => cameReady(usual, sky, after, to), sky.today);
  return { ripe: { ...usual, born: usual.born.map((n) => n * rate.factor) }, rate };
}

/** Who looks has looked in the days before: what was ready longer ago than this would have been picked. Our judgement. */
const LATELY = { days: 2, fadesOver: 1.5 } as const;

/** P(the first piece was ready by a day of the track): by heat and looks; lately, where somebody keeps looking. */
function beganBy({ planting, dev, assessment, sky }: OfferTerms): (trackDay: number) => number {
  if (dev.cycle === "again") return () => 1;
  const by = (at: number) => readyOddsOn(dev, assessment.belief.posterior, addDays(sky.track.from, at));
  const looked = planting.looks.map((l) => l.takenOn).sort().at(-1); // prettier-ignore
  if (!looked) return by;
  const day = daysBetween(sky.track.from, looked);
  return (at) => {
    const ago = day - at - LATELY.days;
    return by(at) * (ago > 0 ? Math.exp(-ago / LATELY.fadesOver) : 1);
  };
}

/** Pieces that came ready after one day and up to another. */
function cameReady({ first, born }: Ripening, { track }: GardenSky, after: IsoDay | null, to: IsoDay): number {
  const zero = dayNumber(track.from) + first;
  const from = after ? dayNumber(after) + 1 - zero : 0;
  if (from < 0) return 0;
  let sum = 0;
  for (let d = from; d <= dayNumber(to) - zero && d < born.length; d++) sum += born[d]!;
  return sum;
}

/** What a pick of the planting would bring, and the tasks the plan may come for. */
export function plantingOffer(
  terms: OfferTerms & { judgement: Judgement; allows: (n: number) => boolean },
  ripens: ReturnType<typeof ripeningOf>,
): PlantingOffer {
  return ripens ? pickedAgain(terms, ripens) : takenAsWhole(terms);
}

type Terms = Parameters<typeof plantingOffer>[0];

function pickedAgain(terms: Terms, { ripe, rate }: { ripe: Ripening; rate: SettingRate }): PlantingOffer {
  const { planting, crop, bed, risk, bans, sky, allows } = terms;
  const full = crop.mode === "once" ? (planting.picks.map((p) => p.pickedOn).sort().at(-1) ?? null) : lastFullPick(planting); // prettier-ignore
  const offer = repeatOffer(crop, sky.track, ripe, {
    since: full && addDays(full, 1),
    sound: risk.sound,
    primeDays: crop.windowDays.value,
  });
  const room = roomFor(crop, terms.terms);
  // As many as fit the day: a pick too big for the hands is a part-pick.
  const fits = (pieces: number, t: number) => (pieces > 0 ? Math.min(1, room[t]! / pieces) : 1);
  const soonest = crop.again?.low ?? 2;
  const top = Math.max(1e-9, ...offer.worth[0]!);
  const pieces = offer.pieces.map((r) => r.map((n, t) => n * fits(n, t)));
  const net = (worth: number, n: number) => worth - EFFORT_PER_MINUTE * minutesFor(crop, n);
  return {
    rate,
    doubt: Math.hypot(rate.logSpread, 0.15),
    worth: offer.worth[0]!,
    pieces: pieces[0]!,
    ridge: offer.worth[0]!.map((w) => Math.max(0, w) / top),
    parts: [
      {
        pieces,
        task: {
          id: planting.id,
          bedId: bed.id,
          repeat: true,
          worth: offer.worth.map((r, row) =>
            r.map((w, t) => net(w * fits(offer.pieces[row]![t]!, t), pieces[row]![t]!)),
          ),
          minutes: pieces.map((r, row) =>
            r.map((n, t) =>
              (row > 0 && t - (row - 1) < soonest) || bans[t] !== null || !allows(t) || n < 0.05
                ? null
                : minutesFor(crop, n),
            ),
          ),
          endWorth: offer.endWorth.map((w, row) => (allows(terms.terms.length - 1) ? net(w, offer.endPieces[row]!) : 0)), // prettier-ignore
        },
      },
    ],
  };
}

/** A crop too big for a day's hands is lifted in so many parts at most, each at most this share of a usual day. */
const MOST_PARTS = 6;
const PART_OF_A_DAY = 0.6;
/** Of what is dug as needed: a meal so many days apart, as far as the horizon goes, worth twice what is left for later: our judgement. */
const MEAL = { everyDays: 3.5, most: 4, leftWorth: 0.5 } as const;

function takenAsWhole(terms: Terms): PlantingOffer {
  const { planting, crop, judgement, risk, sky } = terms;
  const taken = planting.picks.reduce((sum, p) => sum + p.pieces, 0);
  const share = cropShare(crop, planting.seasonCrop) * yearShare(crop, planting.growingYear);
  const left = Math.max(0, planting.plants * crop.piecesPerPlant.value * share - taken);
  const sound = risk.sound.map((s, n) => s * (1 - terms.dead(trackIndex(sky.track, sky.today) + n)));
  const offer = onceOffer(crop, judgement.stages, left, sound, sky.today);
  const best = Math.max(1e-9, (left * crop.pieceGrams.value * crop.worthPerKg.value) / 1000);
  return {
    rate: undefined,
    doubt: yieldSpread(crop),
    worth: offer.worth,
    pieces: offer.pieces,
    ridge: offer.worth.map((w) => w / best),
    parts: partsOf(terms, left).map((part, k) => taskOf(terms, part, k, offer, left)),
  };
}

/** What is dug as needed is worth a little more standing than in the shed: our judgement. */
const KEPT_STANDING = 1.12;
/** What the verdict asks to be taken and is left beyond the horizon is worth this share of it: our judgement. */
const LEFT_PAST = 0.5;
const TAKEN: readonly string[] = ["take today", "take early", "past", "clear"];

/** Odds of being past from which it is taken rather than left. */
const GOING = 0.6;

/** What the verdict takes, or what is past its best whatever keeps it from being taken today. */
const isGoing = ({ verdict, odds }: Judgement) => TAKEN.includes(verdict.kind) || odds.slipping + odds.gone >= GOING;

interface Part {
  pieces: number;
  /** Days of the horizon on which it may be taken. */
  from: number;
  to: number;
  /** Worth of leaving it, against the offer's. */
  leftTimes: number;
}

/** In how many goes it is taken: meals as needed, and what a day's hands can lift. */
function partsOf({ crop, terms, judgement }: Terms, left: number): Part[] {
  if (left < 0.5) return [];
  const days = terms.length;
  const { way, mealGrams } = crop.life.taking;
  // What the verdict takes comes off as a whole: no meal is kept in ground that lets it go woody.
  const goes = isGoing(judgement);
  const stands = way === "as needed" && !goes;
  const meal = stands && mealGrams ? Math.max(1, Math.round(mealGrams / crop.pieceGrams.value)) : 0;
  const meals = meal > 0 ? Math.min(MEAL.most, Math.floor(left / meal)) : 0;
  const parts: Part[] = Array.from({ length: meals }, (_, k) => ({
    pieces: meal,
    from: Math.floor(k * MEAL.everyDays),
    to: Math.floor((k + 1) * MEAL.everyDays) - 1,
    leftTimes: MEAL.leftWorth,
  }));
  const rest = left - meals * meal;
  const rooms = roomFor(crop, terms).filter((n) => n > 0).sort((a, b) => a - b); // prettier-ignore
  const usual = rooms[rooms.length >> 1] ?? Infinity;
  const count = Math.min(MOST_PARTS, Math.max(1, Math.ceil(rest / (PART_OF_A_DAY * usual))));
  if (rest >= 0.5)
    for (let k = 0; k < count; k++) parts.push({ pieces: rest / count, from: 0, to: days - 1, leftTimes: stands ? KEPT_STANDING : goes ? LEFT_PAST : 1 }); // prettier-ignore
  return parts;
}

function taskOf(
  { planting, bed, crop, bans, allows, terms }: Terms,
  part: Part,
  k: number,
  offer: { worth: number[]; pieces: number[]; leftWorth: number },
  left: number,
): TaskPart {
  const share = part.pieces / left;
  const room = roomFor(crop, terms);
  const fits = offer.pieces.map((n, t) => (n > 0 ? Math.min(1, room[t]! / (n * share)) : 0));
  const pieces = offer.pieces.map((n, t) => n * share * fits[t]!);
  const open = (t: number) => t >= part.from && t <= part.to && bans[t] === null && allows(t) && pieces[t]! >= 0.05;
  return {
    pieces: [pieces],
    task: {
      id: k === 0 ? planting.id : `${planting.id}#${k + 1}`,
      bedId: bed.id,
      repeat: false,
      worth: [offer.worth.map((w, t) => w * share * fits[t]! - EFFORT_PER_MINUTE * minutesFor(crop, pieces[t]!))],
      minutes: [pieces.map((n, t) => (open(t) ? minutesFor(crop, n) : null))],
      endWorth: [offer.leftWorth * share * part.leftTimes],
    },
  };
}
