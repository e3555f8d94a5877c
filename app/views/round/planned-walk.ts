import { groupBy } from "es-toolkit";
import {
  BED_MINUTES,
  COOL_BELOW_C,
  LOOK_MINUTES,
  ROUND_MINUTES,
  actsDue,
  lookTaskId,
  looksAsked,
  pickInRound,
  plannedPicks,
  roundFor,
  type DayRound,
  type PlantingOutlook,
} from "~/core/garden";
import type { Slot } from "~/core/hands";
import { walkOf, type Errand, type Walk, type WalkJob } from "~/core/rounds";
import { gathered, jobsTold } from "../sentences/acts-due";
import type { Planned } from "../planned";

/** The stops of a round of today as the household put them. */
export interface RoundOrder {
  slot: DayRound["slot"];
  stops: readonly string[];
}

/** A round of a day, as the plan has it. */
export interface PlannedRound {
  slot: DayRound["slot"];
  /** Day index, 0 = today. */
  day: number;
  /** Whether its day has another one that hands could walk. */
  isOneOfSeveral: boolean;
  walk: Walk;
}

/**
 * The rounds that the plan makes of a day, those with nothing to do left out: its picks and looks and, in the first that
 * is walked today, what else eyes could settle and still fits. Such looks alone make one round, not two. Jobs with minutes
 * are done on the round that there is.
 *
 * @param orders - stops as the household put them, of rounds of today
 */
export function plannedRounds(planned: Planned, dayIndex: number, orders: readonly RoundOrder[] = []): PlannedRound[] {
  if (orders.length > 0) return roundsOf(planned, dayIndex, orders);
  const known = kept.get(planned) ?? [];
  kept.set(planned, known);
  return (known[dayIndex] ??= roundsOf(planned, dayIndex, []));
}

/** What was made of a plan: several pages ask for the same rounds many times over. */
const kept = new WeakMap<Planned, PlannedRound[][]>();

function roundsOf(planned: Planned, dayIndex: number, orders: readonly RoundOrder[]): PlannedRound[] {
  const { outlook } = planned;
  const ofDay = [...outlook.rounds.keys()].filter((t) => outlook.rounds[t]!.day === dayIndex);
  const walked = ofDay.filter((t) => walkIn(planned, t, false, [], []).stops.length > 0);
  const first = walked[0] ?? ofDay[0];
  const jobs = jobsOn(planned, dayIndex, walked);
  return ofDay.flatMap((t): PlannedRound[] => {
    const { slot } = outlook.rounds[t]!;
    const order = dayIndex === 0 ? orders.find((o) => o.slot === slot)?.stops : undefined;
    const walk = walkIn(planned, t, dayIndex === 0 && t === first, jobs.get(t) ?? [], order ?? []);
    const isWalk = walk.stops.some((stop) => stop.errands.length > 0);
    return isWalk ? [{ slot, day: dayIndex, isOneOfSeveral: ofDay.length > 1, walk }] : [];
  });
}

/** The next round of today, whose walk has no stops where there is none. */
export function nextRound(planned: Planned, orders: readonly RoundOrder[] = []): PlannedRound {
  return plannedRounds(planned, 0, orders)[0] ?? { slot: null, day: 0, isOneOfSeveral: false, walk: walkOf([], { leavesAreWet: false, isWarm: false, ...OVERHEADS }) }; // prettier-ignore
}

const OVERHEADS = { roundMinutes: ROUND_MINUTES, bedMinutes: BED_MINUTES };

/** Jobs of a day that take minutes, by the round they are done on. */
function jobsOn(planned: Planned, day: number, walked: readonly number[]): Map<number, WalkJob[]> {
  const { outlook, plan } = planned;
  const due = actsDue(outlook, plan, outlook.actMarks).filter(
    (act) => act.day === outlook.days[day] && act.minutes > 0,
  );
  const rounds = walked.map((t) => ({ t, minutes: outlook.rounds[t]!.minutes }));
  const placed = due.flatMap((act) => {
    const round = roundFor(act, rounds);
    const bed = outlook.plantings.find((p) => p.bed.id === act.bedId)?.bed;
    return round && bed ? [{ t: round.t, bed, act }] : [];
  });
  const byRound = new Map<number, WalkJob[]>();
  for (const same of Object.values(groupBy(placed, ({ t, bed }) => `${t} ${bed.id}`))) {
    const { t, bed } = same[0]!;
    const jobs = gathered(jobsTold(planned, same.map((x) => x.act))).map((job): WalkJob => ({ keys: job.keys, bedId: bed.id, bedName: bed.name, bedPosition: bed.position, words: job.lead.replaceAll(` (${bed.name})`, ""), minutes: job.minutes })); // prettier-ignore
    byRound.set(t, [...(byRound.get(t) ?? []), ...jobs]);
  }
  return byRound;
}

const ROUND_NAMES: Record<Slot, string> = {
  morning: "This morning’s round",
  midday: "The midday round",
  evening: "This evening’s round",
};

/** Today's round, by the part of the day where there is another one. */
export const roundName = ({ slot, isOneOfSeveral }: PlannedRound): string =>
  slot && isOneOfSeveral ? ROUND_NAMES[slot] : "Today’s round";

function walkIn(
  { outlook, plan }: Planned,
  round: number,
  isNext: boolean,
  jobs: readonly WalkJob[],
  order: readonly string[],
): Walk {
  // prettier-ignore
  const { day, slot, minutes, meanC } = outlook.rounds[round]!;
  const ofRound = outlook.terms[day]!.rounds.find((r) => r.slot === slot);
  // What the plan had to leave to jobs is theirs and the round's.
  const budget = ofRound?.minutes ?? minutes;
  const wet = ofRound?.wetAtStart ?? false;
  const terms = { leavesAreWet: wet, isWarm: meanC !== null && meanC >= COOL_BELOW_C, ...OVERHEADS };
  const walk = (errands: Errand[]) => walkOf(errands, terms, jobs, order);
  const picks = outlook.plantings.flatMap((p): Errand[] => {
    const pick = pickInRound(p, plan, round);
    return pick ? [errandOf(p, "pick", pick.minutes, pick.pieces)] : [];
  });
  const picked = new Set(picks.map((e) => e.plantingId));
  const look = (p: PlantingOutlook) => errandOf(p, "look", LOOK_MINUTES, 0);
  const planned = outlook.plantings.filter((p) => !picked.has(p.planting.id) && plan.rounds[lookTaskId(p.planting.id)]?.includes(round)); // prettier-ignore
  const pickedToday = (p: PlantingOutlook) => plannedPicks(p, plan.picks)[0]?.day === day;
  const asked = isNext ? looksAsked(outlook.plantings, outlook.actMarks, outlook.today).filter((p) => !pickedToday(p) && !plan.picks[lookTaskId(p.planting.id)]?.includes(day)) : []; // prettier-ignore
  return walk(
    asked.map(look).reduce(
      (errands, errand) => {
        const longer = [...errands, errand];
        return walk(longer).minutes <= budget ? longer : errands;
      },
      [...picks, ...planned.map(look)],
    ),
  );
}

function errandOf(p: PlantingOutlook, doing: Errand["doing"], minutes: number, pieces: number): Errand {
  return {
    plantingId: p.planting.id,
    crop: p.crop,
    variety: p.planting.variety,
    bedId: p.bed.id,
    bedName: p.bed.name,
    bedPosition: p.bed.position,
    doing,
    minutes,
    pieces,
    grams: pieces * p.crop.pieceGrams.value,
  };
}

/** Whether a round of the plan comes to a planting on a day. */
export function comesTo(planned: Planned, day: string, plantingId: string | null): boolean {
  const n = planned.outlook.days.indexOf(day);
  if (n < 0 || plantingId === null) return false;
  return plannedRounds(planned, n).some((r) => r.walk.stops.some((s) => s.errands.some((e) => e.plantingId === plantingId))); // prettier-ignore
}
