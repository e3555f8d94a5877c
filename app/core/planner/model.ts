import type { PlanProblem, PlantingTask } from "./problem";

/** The problem as numbers: flat tables, beds and plantings by index. */
export interface PlanModel {
  plantings: number;
  horizon: number;
  /** 1 for a one-off planting, horizon + 1 for one that keeps giving. */
  rows: Int32Array;
  bedOf: Int32Array;
  beds: number;
  /** worth[i][row · H + t]; minutes and kitchen likewise, minutes Infinity where a pick is not allowed or can never fit. */
  worth: Float64Array[];
  minutes: Float64Array[];
  kitchen: Float64Array[];
  /** −Infinity where a pin would be left out. */
  endWorth: Float64Array[];
  /** Curing space of a pick of planting i, m², and for how many days; 0 = none. */
  area: Float64Array;
  cureDays: Int32Array;
  /** About what is at stake with planting i: the most one pick of it can bring. */
  stake: Float64Array;
  minutesFree: Float64Array;
  kitchenFree: Float64Array;
  curingFree: Float64Array;
  /** Which limit on rounds day t falls under, −1 for none; and how many rounds each allows. */
  limitOf: Int32Array;
  mostRounds: Float64Array;
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
  const bedIds = [...new Set(problem.tasks.map((t) => t.bedId))];
  const { tasks } = problem;
  const model: PlanModel = {
    plantings: tasks.length,
    horizon,
    rows: Int32Array.from(tasks, (t) => (t.repeat ? horizon + 1 : 1)),
    beds: bedIds.length,
    bedOf: Int32Array.from(tasks, (t) => bedIds.indexOf(t.bedId)),
    worth: tasks.map((t) => table(t, horizon, "worth")),
    minutes: tasks.map((t) => table(t, horizon, "minutes")),
    kitchen: tasks.map((t) => table(t, horizon, "kitchen")),
    endWorth: tasks.map((t) => {
      if (t.endWorth.length !== (t.repeat ? horizon + 1 : 1)) throw new RangeError(`endWorth of ${t.id}: not an entry a row`); // prettier-ignore
      return Float64Array.from(t.endWorth);
    }),
    area: Float64Array.from(tasks, (t) => t.curing?.area ?? 0),
    cureDays: Int32Array.from(tasks, (t) => t.curing?.days ?? 0),
    stake: Float64Array.from(tasks, (t) => t.worth.flat().reduce((a, b) => Math.max(a, b), 0)),
    minutesFree: Float64Array.from(problem.minutesFree),
    kitchenFree: Float64Array.from(problem.kitchenFree ?? new Array<number>(horizon).fill(Infinity)),
    curingFree: curingFreeOf(problem),
    ...roundLimits(problem),
    problem,
  };
  tasks.forEach((task, i) => shut(model, i, task));
  return model;
}

function curingFreeOf({ days, curingFree = Infinity }: PlanProblem): Float64Array {
  if (typeof curingFree === "number") return new Float64Array(days.length).fill(curingFree);
  if (curingFree.length !== days.length) throw new RangeError("curingFree: not one entry a day");
  return Float64Array.from(curingFree);
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

function table(task: PlantingTask, horizon: number, what: "worth" | "minutes" | "kitchen"): Float64Array {
  const count = task.repeat ? horizon + 1 : 1;
  const rows = task[what];
  if (!rows) return new Float64Array(count * horizon);
  if (rows.length !== count || rows.some((r) => r.length !== horizon))
    throw new RangeError(`${what} of ${task.id}: not ${count} rows of ${horizon} days`);
  return Float64Array.from((rows as (number | null)[][]).flat(), (x) => x ?? Infinity);
}

/** Whether a pick of planting i on day t finds space to cure while nothing else cures. */
function hasRacks({ horizon, area, cureDays, curingFree }: PlanModel, i: number, t: number): boolean {
  for (let d = t; d < Math.min(horizon, t + cureDays[i]!); d++) if (area[i]! > curingFree[d]! + 1e-9) return false;
  return true;
}

/** Shuts what is banned, what jumps over a pin, and what could not fit if it were the only pick of its day. */
function shut(model: PlanModel, i: number, task: PlantingTask): void {
  const { horizon: H, problem } = model;
  if (task.repeat && task.curing) throw new RangeError(`curing of ${task.id}: only what is taken once is cured`);
  if ([...(task.pins ?? []), ...(task.bans ?? [])].some((t) => t >= H)) throw new RangeError(`pins or bans of ${task.id}: beyond the last day`); // prettier-ignore
  const minutes = model.minutes[i]!;
  const overhead = problem.roundMinutes + problem.bedMinutes;
  for (let row = 0; row < model.rows[i]!; row++) {
    for (let t = row; t < H; t++) {
      const free = model.minutesFree[t]!;
      const fits = free > 0 && (model.limitOf[t]! < 0 || model.mostRounds[model.limitOf[t]!]! > 0) && minutes[row * H + t]! + overhead <= free + 1e-9 && model.kitchen[i]![row * H + t]! <= model.kitchenFree[t]! + 1e-9 && hasRacks(model, i, t); // prettier-ignore
      const jumps = task.pins?.some((p) => (task.repeat ? p >= row && p < t : p !== t)) ?? false;
      if (!fits || jumps || task.bans?.includes(t)) minutes[row * H + t] = Infinity;
    }
    if (task.pins?.some((p) => p >= row)) model.endWorth[i]![row] = -Infinity;
  }
}
