import { addDays, daysBetween, type IsoDay } from "../calendar";
import { onceOffer } from "../cropping";
import { standSpread } from "../life";
import { CALL, oddsOn, type Judgement } from "../readiness";
import { trackIndex } from "../weather";
import { apartPieces, apartTasks } from "./apart-tasks";
import { minutesFor, roomFor } from "./pick-effort";
import { EFFORT_PER_MINUTE } from "./plan-problem";
import type { PlantingOffer, TakingTerms, TaskPart } from "./planting-offer";
import { standingPieces } from "./standing";

/** A crop too big for a day's hands is lifted in so many parts at most, each at most this share of a usual day. */
const MOST_PARTS = 6;
const PART_OF_A_DAY = 0.6;
/** Of what is dug as needed: a meal so many days apart, as far as the horizon goes, worth twice what is left for later: our judgement. */
const MEAL = { everyDays: 3.5, most: 4, leftWorth: 0.5 } as const;

/** What is lifted at once, or bit by bit as needed: tasks that come once each. */
export function takenAsWhole(terms: TakingTerms): PlantingOffer {
  const { planting, crop, judgement, risk, sky, bears } = terms;
  const standing = standingPieces(crop, planting, bears);
  const apart = judgement.verdict.apart.filter((a) => a.means !== "early");
  const left = Math.max(0, standing - apart.reduce((sum, a) => sum + apartPieces(a, standing), 0));
  const sound = risk.sound.map((s, n) => s * (1 - terms.dead(trackIndex(sky.track, sky.today) + n)));
  const offer = onceOffer(crop, judgement.stages, left, sound, sky.today);
  const best = Math.max(1e-9, (left * crop.pieceGrams.value * crop.worthPerKg.value) / 1000);
  return {
    rate: undefined,
    doubt: Math.hypot(bears.logSpread, standSpread(planting)),
    worth: offer.worth,
    pieces: offer.pieces,
    ridge: offer.worth.map((w) => w / best),
    clear: offer.worth.map((w, n) => Math.min(1, w / best / Math.max(0.02, risk.sound[n]!))),
    parts: [
      ...partsOf(terms, left).map((part, k) => taskOf(terms, part, k, offer, left)),
      ...apartTasks(terms, standing),
    ],
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
export const isGoing = ({ verdict, odds }: Judgement) =>
  TAKEN.includes(verdict.kind) || odds.slipping + odds.gone >= GOING;

interface Part {
  pieces: number;
  /** Days of the horizon on which it may be taken. */
  from: number;
  to: number;
  /** Worth of leaving it, against the offer's. */
  leftTimes: number;
  /** Seen to be ready: worth all it can be, whatever the rest is. */
  prime?: boolean;
  /** It waits until it is likely ready. */
  waits?: boolean;
}

/** What is left for later wants hands then, which are as short as now: kilograms of courgette a minute. Our judgement. */
const LATER_EFFORT = 2 * EFFORT_PER_MINUTE;

/** In how many goes it is taken: meals as needed, and what a day's hands can lift. */
function partsOf({ planting, crop, terms, judgement, sky }: TakingTerms, left: number): Part[] {
  if (left < 0.5) return [];
  const days = terms.length;
  const some = someOf(judgement);
  if (some) return someParts(some.share, left, some.rest ? daysBetween(sky.today, some.rest) : 1, days);
  const { way, mealGrams } = crop.life.taking;
  // What the verdict takes comes off as a whole: no meal is kept in ground that lets it go woody.
  const goes = isGoing(judgement);
  const stands = way === "as needed" && !goes;
  const meal = stands && mealGrams ? Math.max(1, Math.round(mealGrams / crop.pieceGrams.value)) : 0;
  // One came off lately: the next is due when that has been eaten.
  const last = planting.picks
    .map((p) => p.pickedOn)
    .sort()
    .at(-1);
  const wait = last ? Math.max(0, Math.ceil(MEAL.everyDays - daysBetween(last, sky.today))) : 0;
  const meals = meal > 0 ? Math.min(MEAL.most, Math.floor(left / meal)) : 0;
  const parts: Part[] = Array.from({ length: meals }, (_, k) => ({
    pieces: meal,
    from: wait + Math.floor(k * MEAL.everyDays),
    to: k === meals - 1 ? days - 1 : wait + Math.floor((k + 1) * MEAL.everyDays) - 1,
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

/** The share that the verdict takes while the rest waits. */
function someOf({ verdict }: Judgement): { share: number; rest: IsoDay | null } | undefined {
  const { because, lookAgain } = verdict;
  if (because.why === "some ready") return { share: because.share, rest: lookAgain };
  return because.why === "some apart" ? { share: 0, rest: lookAgain } : undefined;
}

/** What is ready now, on any day; and the rest once it has been looked at again. */
function someParts(share: number, left: number, from: number, days: number): Part[] {
  const parts: Part[] = [];
  if (share > 0) parts.push({ pieces: share * left, from: 0, to: days - 1, leftTimes: LEFT_PAST, prime: true });
  if (share < 1) parts.push({ pieces: (1 - share) * left, from, to: days - 1, leftTimes: 1, waits: true });
  return parts;
}

function taskOf(
  { planting, bed, crop, bans, allows, terms, judgement, sky, risk }: TakingTerms,
  part: Part,
  k: number,
  offer: { worth: number[]; pieces: number[]; leftWorth: number },
  left: number,
): TaskPart {
  const share = part.pieces / left;
  const room = roomFor(crop, terms);
  const fits = offer.pieces.map((n, t) => (n > 0 ? Math.min(1, room[t]! / (n * share)) : 0));
  const pieces = offer.pieces.map((n, t) => n * share * fits[t]!);
  const full = (part.pieces * crop.pieceGrams.value * crop.worthPerKg.value) / 1000;
  const worth = (t: number) => (part.prime ? full * risk.sound[t]! : offer.worth[t]! * share);
  const ready = (t: number) => {
    const odds = oddsOn(judgement.stages, addDays(sky.today, t));
    return odds.prime + odds.slipping + odds.gone >= CALL;
  };
  const open = (t: number) =>
    (!part.waits || ready(t)) && t >= part.from && t <= part.to && bans[t] === null && allows(t) && pieces[t]! >= 0.05;
  return {
    pieces: [pieces],
    task: {
      id: k === 0 ? planting.id : `${planting.id}#${k + 1}`,
      bedId: bed.id,
      repeat: false,
      worth: [pieces.map((n, t) => worth(t) * fits[t]! - EFFORT_PER_MINUTE * minutesFor(crop, n))],
      minutes: [pieces.map((n, t) => (open(t) ? minutesFor(crop, n) : null))],
      endWorth: [
        (part.prime ? full : offer.leftWorth * share) * part.leftTimes - LATER_EFFORT * minutesFor(crop, part.pieces),
      ],
    },
  };
}
