import { KitchenStore } from "./kitchen-store";
import type { PlanProblem, PlantingTask, TaskWay } from "./problem";

/** What a planting offers in one way of treating it. */
export interface WayModel {
  /** Empty where it is left as it stands. */
  id: string;
  /** At most one a day. */
  acts: TaskWay["acts"];
  /** worth[row · H + t]; minutes and kitchen likewise, minutes Infinity where a pick is not allowed or can never fit. */
  worth: Float64Array;
  minutes: Float64Array;
  kitchen: Float64Array;
  /** −Infinity where a pin would be left out. */
  endWorth: Float64Array;
}

/** The problem as numbers: flat tables, beds and plantings by index. */
export interface PlanModel {
  plantings: number;
  horizon: number;
  /** 1 for a one-off planting, horizon + 1 for one that keeps giving. */
  rows: Int32Array;
  bedOf: Int32Array;
  beds: number;
  /** Of planting i, first as it stands, then the ways that could fit. */
  ways: WayModel[][];
  /** Curing space of a pick of planting i, m², and for how many days; 0 = none. */
  area: Float64Array;
  cureDays: Int32Array;
  /** Where its curing ends that begins on day t: cureTo[i · H + t], the first day that is free again. */
  cureTo: Int32Array;
  /** The first entry of the date of day t, and the first of the next date. */
  dateFrom: Int32Array;
  dateTo: Int32Array;
  /** About what is at stake with planting i: the most one pick of it can bring. */
  stake: Float64Array;
  minutesFree: Float64Array;
  kitchenFree: Float64Array;
  /** Kg that can wait from one date to the next, and that wait before the first. */
  fridge: { holds: number; taken: number };
  curingFree: Float64Array;
  /** Which limit on rounds day t falls under, −1 for none; and how many rounds each allows. */
  limitOf: Int32Array;
  mostRounds: Float64Array;
  /** 1 where a round is walked, whether it pays or not: a branch of the bound. */
  isWalked: Uint8Array;
  problem: PlanProblem;
}

/**
 * Flattens a problem.
 *
 * @throws {RangeError} when a table has not the shape the problem promises
 */
export function planModel(problem: PlanProblem): PlanModel {
  const horizon = problem.days.length;
  if (problem.minutesFree.length !== horizon) throw new RangeError("minutesFree: not one entry a day");
  if (problem.kitchenFree && problem.kitchenFree.length !== horizon) throw new RangeError("kitchenFree: not one entry a day"); // prettier-ignore
  const { dateFrom, dateTo } = datesOf(problem.days);
  const bedIds = [...new Set(problem.tasks.map((t) => t.bedId))];
  const { tasks } = problem;
  const model: PlanModel = {
    plantings: tasks.length,
    horizon,
    rows: Int32Array.from(tasks, (t) => (t.repeat ? horizon + 1 : 1)),
    beds: bedIds.length,
    bedOf: Int32Array.from(tasks, (t) => bedIds.indexOf(t.bedId)),
    ways: tasks.map((t) => [wayOf(t, horizon), ...(t.ways ?? []).map((way) => wayOf(t, horizon, way))]),
    area: Float64Array.from(tasks, (t) => t.curing?.area ?? 0),
    cureDays: Int32Array.from(tasks, (t) => t.curing?.days ?? 0),
    cureTo: Int32Array.from(tasks.flatMap((t) => [...dateTo.keys()].map((from) => cureEnd(from, t.curing?.days ?? 0, dateTo)))), // prettier-ignore
    dateFrom,
    dateTo,
    stake: Float64Array.from(tasks, (t) => t.worth.flat().reduce((a, b) => Math.max(a, b), 0)),
    minutesFree: Float64Array.from(problem.minutesFree),
    kitchenFree: Float64Array.from(dateFrom, (first) => problem.kitchenFree?.[first] ?? Infinity),
    fridge: fridgeOf(problem),
    curingFree: curingFreeOf(problem, dateFrom),
    ...roundLimits(problem),
    isWalked: new Uint8Array(horizon),
    problem,
  };
  const kitchen = new KitchenStore(model);
  kitchen.reckon(model.kitchenFree);
  tasks.forEach((task, i) => {
    if (task.repeat && task.curing) throw new RangeError(`curing of ${task.id}: only what is taken once is cured`);
    if ([...(task.pins ?? []), ...(task.bans ?? [])].some((t) => t >= horizon)) throw new RangeError(`pins or bans of ${task.id}: beyond the last day`); // prettier-ignore
    model.ways[i] = model.ways[i]!.filter((way) => way.acts.every((act) => couldAct(model, act)));
    for (const way of model.ways[i]!) shut(model, i, task, way, kitchen.room);
  });
  return model;
}

/** Whether an act would fit its day if nothing else were done on it. */
const couldAct = ({ problem, minutesFree, limitOf, mostRounds }: PlanModel, { day, minutes }: TaskWay["acts"][number]) =>
  minutesFree[day]! > 0 && minutes + problem.roundMinutes + problem.bedMinutes <= minutesFree[day]! + 1e-9 && (limitOf[day]! < 0 || mostRounds[limitOf[day]!]! > 0); // prettier-ignore

/** A planting as it stands, or in a way of its. */
function wayOf(task: PlantingTask, horizon: number, way?: TaskWay): WayModel {
  const of = `${task.id}${way ? ` ${way.id}` : ""}`;
  const rows = task.repeat ? horizon + 1 : 1;
  const { worth, minutes, kitchen, endWorth } = way ?? task;
  const acts = way?.acts ?? [];
  if (acts.some((a) => a.day >= horizon) || new Set(acts.map((a) => a.day)).size < acts.length) throw new RangeError(`acts of ${of}: two on a day, or beyond the last day`); // prettier-ignore
  if (endWorth.length !== rows) throw new RangeError(`endWorth of ${of}: not an entry a row`);
  const table = (what: string, entries: readonly (readonly (number | null)[])[] | undefined) => {
    if (!entries) return new Float64Array(rows * horizon);
    if (entries.length !== rows || entries.some((r) => r.length !== horizon))
      throw new RangeError(`${what} of ${of}: not ${rows} rows of ${horizon} days`);
    return Float64Array.from(entries.flat(), (x) => x ?? Infinity);
  };
  return {
    id: way?.id ?? "",
    acts,
    worth: table("worth", worth),
    minutes: table("minutes", minutes),
    kitchen: table("kitchen", kitchen),
    endWorth: Float64Array.from(endWorth),
  };
}

function curingFreeOf({ days, curingFree = Infinity }: PlanProblem, dateFrom: Int32Array): Float64Array {
  if (typeof curingFree === "number") return new Float64Array(days.length).fill(curingFree);
  if (curingFree.length !== days.length) throw new RangeError("curingFree: not one entry a day");
  return Float64Array.from(dateFrom, (first) => curingFree[first]!);
}

/** @throws {RangeError} when more lies in the fridge than it holds, or there is one without a kitchen to empty it */
function fridgeOf({ fridge, kitchenFree }: PlanProblem): PlanModel["fridge"] {
  if (!fridge) return { holds: 0, taken: 0 };
  if (!kitchenFree) throw new RangeError("fridge: no kitchenFree that empties it");
  if (fridge.taken > fridge.holds) throw new RangeError("fridge: more lies in it than it holds");
  return fridge;
}

/** @throws {RangeError} when the days run backwards */
function datesOf(days: PlanProblem["days"]): Pick<PlanModel, "dateFrom" | "dateTo"> {
  if (days.some((day, t) => t > 0 && day < days[t - 1]!)) throw new RangeError("days: not in order");
  return {
    dateFrom: Int32Array.from(days, (day) => days.indexOf(day)),
    dateTo: Int32Array.from(days, (day) => days.lastIndexOf(day) + 1),
  };
}

/** The day after the last of so many dates, that of day `from` the first. */
function cureEnd(from: number, dates: number, dateTo: Int32Array): number {
  let to = from;
  for (let k = 0; k < dates && to < dateTo.length; k++) to = dateTo[to]!;
  return to;
}

/** @throws {RangeError} when limits run backwards, into one another or beyond the last day */
function roundLimits({ days, roundLimits = [] }: PlanProblem): Pick<PlanModel, "limitOf" | "mostRounds"> {
  const limitOf = new Int32Array(days.length).fill(-1);
  roundLimits.forEach(({ from, to }, l) => {
    if (from > to || to >= days.length || from <= (roundLimits[l - 1]?.to ?? -1)) throw new RangeError("roundLimits: not in order, or beyond the last day"); // prettier-ignore
    limitOf.fill(l, from, to + 1);
  });
  return { limitOf, mostRounds: Float64Array.from(roundLimits, (l) => l.most) };
}

/** Whether a pick of planting i on day t finds space to cure while nothing else cures. */
function hasRacks({ horizon, area, cureTo, curingFree }: PlanModel, i: number, t: number): boolean {
  for (let d = t; d < cureTo[i * horizon + t]!; d++) if (area[i]! > curingFree[d]! + 1e-9) return false;
  return true;
}

/** Shuts what is banned, what jumps over a pin, and what could not fit if it were the only pick of its day. */
function shut(
  model: PlanModel,
  i: number,
  task: PlantingTask,
  { acts, minutes, kitchen, endWorth }: WayModel,
  kitchenRoom: Float64Array,
): void {
  const { horizon: H, problem, limitOf, mostRounds, dateFrom, dateTo } = model;
  const overhead = problem.roundMinutes + problem.bedMinutes;
  for (let row = 0; row < model.rows[i]!; row++) {
    for (let t = row; t < H; t++) {
      const free = model.minutesFree[t]! - (acts.find((a) => a.day === t)?.minutes ?? 0);
      const walks = model.minutesFree[t]! > 0 && (limitOf[t]! < 0 || mostRounds[limitOf[t]!]! > 0);
      const fits = walks && minutes[row * H + t]! + overhead <= free + 1e-9 && kitchen[row * H + t]! <= kitchenRoom[t]! + 1e-9 && hasRacks(model, i, t); // prettier-ignore
      const jumps = task.pins?.some((p) => (task.repeat ? dateFrom[p]! >= row && dateTo[p]! <= t : dateFrom[p] !== dateFrom[t])) ?? false; // prettier-ignore
      const isAgain = row > 0 && dateFrom[row - 1] === dateFrom[t];
      if (!fits || jumps || isAgain || task.bans?.includes(t)) minutes[row * H + t] = Infinity;
    }
    if (task.pins?.some((p) => dateFrom[p]! >= row)) endWorth[row] = -Infinity;
  }
}
