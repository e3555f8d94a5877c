import fc from "fast-check";
import { expect, test } from "vitest";
import { checkPlan, solvePlan, type Picks, type PlanProblem, type Ways } from ".";
import { planInstance } from "../../../tests/planner-instances";

const quick = { seed: 1, relaxIterations: 80, boundSplits: 4, repairIterations: 60, cycles: 2 };

/** Every plan there is of a planting: all sets of days, none of one date twice, or at most one of them. */
function* daySets(repeat: boolean, days: PlanProblem["days"]): Generator<number[]> {
  const horizon = days.length;
  if (!repeat) {
    yield [];
    for (let t = 0; t < horizon; t++) yield [t];
    return;
  }
  for (let set = 0; set < 2 ** horizon; set++) {
    const taken = [...days.keys()].filter((t) => set & (1 << t));
    if (new Set(taken.map((t) => days[t])).size === taken.length) yield taken;
  }
}

/** The best plan of all by trying every one against the check, which knows nothing of the solver. */
function bestOfAll(problem: PlanProblem): number {
  let best = -Infinity;
  const picks: Picks = {};
  const ways: Ways = {};
  const follow = (n: number): void => {
    const task = problem.tasks[n];
    if (!task) {
      const check = checkPlan(problem, picks, ways);
      if (check.status === "allowed") best = Math.max(best, check.worth);
      return;
    }
    for (const way of ["", ...(task.ways ?? []).map((w) => w.id)]) {
      ways[task.id] = way;
      for (const days of daySets(task.repeat, problem.days)) {
        picks[task.id] = days;
        follow(n + 1);
      }
    }
    ways[task.id] = "";
  };
  follow(0);
  return best;
}

test("2,000 tiny gardens tried in full: the bound told is never below the best plan, and the plan hardly ever below it", () => {
  let optimal = 0;
  let solved = 0;
  for (let seed = 1; seed <= 2000; seed++) {
    const problem = planInstance(10_000 + seed, 3, 3 + (seed % 2), seed % 3 > 0);
    const best = bestOfAll(problem);
    if (best === -Infinity) {
      expect(() => solvePlan(problem, quick)).toThrow(RangeError);
      continue;
    }
    const plan = solvePlan(problem, quick);
    const check = checkPlan(problem, plan.picks, plan.ways);
    if (check.status !== "allowed") throw new Error(`seed ${seed}: ${check.reasons.join("; ")}`);
    expect(check.worth).toBeCloseTo(plan.worth, 6);
    expect(plan.upperBound, `seed ${seed}`).toBeGreaterThanOrEqual(best - 1e-6);
    solved++;
    if (plan.worth > best - 1e-6) optimal++;
  }
  console.log(`tiny gardens: ${solved} with a plan, best of all in ${optimal}`);
  expect(solved).toBeGreaterThan(1800);
  expect(optimal / solved).toBeGreaterThan(0.99);
}, 240_000);

const aSquareMore = (racks: NonNullable<PlanProblem["curingFree"]>) =>
  typeof racks === "number" ? racks + 1 : racks.map((m2) => m2 + 1);
const seeds = fc.integer({ min: 1, max: 1_000_000 });
const garden = (seed: number, plantings: number, horizon: number) => {
  const problem = planInstance(seed, plantings, horizon, true);
  return { ...problem, tasks: problem.tasks.map(({ pins: _, ...task }) => task) };
};

test("more minutes, kilograms or space: what a plan can reach never falls, whatever the garden", () => {
  fc.assert(
    fc.property(seeds, fc.constantFrom("minutes", "kitchen", "fridge", "curing"), (seed, what) => {
      const problem = garden(seed, 3, 4);
      const more: PlanProblem = {
        ...problem,
        ...(what === "minutes" && { minutesFree: problem.minutesFree.map((m) => 1.5 * m) }),
        ...(what === "kitchen" && { kitchenFree: problem.kitchenFree!.map((kg) => kg + 2) }),
        ...(what === "fridge" && {
          fridge: { holds: (problem.fridge?.holds ?? 0) + 1, taken: problem.fridge?.taken ?? 0 },
        }),
        ...(what === "curing" && { curingFree: aSquareMore(problem.curingFree!) }),
      };
      const best = bestOfAll(problem);
      expect(solvePlan(more, quick).upperBound).toBeGreaterThanOrEqual(best - 1e-6);
      expect(bestOfAll(more)).toBeGreaterThanOrEqual(best - 1e-9);
    }),
    { numRuns: 60, seed: 13 },
  );
}, 120_000);

test("whatever the garden, no limit is broken, no banned day taken, and the same problem gives the same plan", () => {
  fc.assert(
    fc.property(seeds, fc.integer({ min: 1, max: 24 }), (seed, plantings) => {
      const problem = garden(seed, plantings, 10);
      const plan = solvePlan(problem, quick);
      const check = checkPlan(problem, plan.picks, plan.ways);
      expect(check.status === "allowed" ? [] : check.reasons).toEqual([]);
      expect(plan.worth).toBeLessThanOrEqual(plan.upperBound + 1e-9);
      expect(solvePlan(problem, quick)).toEqual(plan);
    }),
    { numRuns: 80, seed: 13 },
  );
}, 120_000);
