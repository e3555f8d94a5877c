import type { PlanProblem } from "./problem";

/** The problem as numbers: flat tables, beds and plantings by index. */
export interface PlanModel {
  plantings: number;
  horizon: number;
  rows: number[];
  bedOf: Int32Array;
  beds: number;
  /** worth[i][row · H + t]; minutes likewise, Infinity where a pick is not allowed. */
  worth: Float64Array[];
  minutes: Float64Array[];
  endWorth: Float64Array[];
  minutesFree: Float64Array;
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
  const bedIds = [...new Set(problem.tasks.map((t) => t.bedId))];
  const table = (rows: (number | null)[][], count: number, what: string, id: string) => {
    if (rows.length !== count || rows.some((r) => r.length !== horizon))
      throw new RangeError(`${what} of ${id}: not ${count} rows of ${horizon} days`);
    return Float64Array.from(rows.flat(), (x) => x ?? Infinity);
  };
  const rows = problem.tasks.map((t) => (t.repeat ? horizon + 1 : 1));
  return {
    plantings: problem.tasks.length,
    horizon,
    rows,
    beds: bedIds.length,
    bedOf: Int32Array.from(problem.tasks, (t) => bedIds.indexOf(t.bedId)),
    worth: problem.tasks.map((t, i) => table(t.worth, rows[i]!, "worth", t.id)),
    minutes: problem.tasks.map((t, i) => table(t.minutes, rows[i]!, "minutes", t.id)),
    endWorth: problem.tasks.map((t, i) => {
      if (t.endWorth.length !== rows[i]) throw new RangeError(`endWorth of ${t.id}: not ${rows[i]} rows`);
      return Float64Array.from(t.endWorth);
    }),
    minutesFree: Float64Array.from(problem.minutesFree),
    problem,
  };
}
