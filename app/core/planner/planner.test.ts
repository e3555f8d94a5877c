import { expect, test } from "vitest";
import { planInstance } from "../../../tests/planner-instances";
import { checkPlan, losersOf, moveCosts, solvePlan, type PlanProblem } from ".";

const quick = { seed: 1, relaxIterations: 120, repairIterations: 200 };

/** Two one-off crops, three days; the second day has little time, a frost takes the tender one after it. */
function twoCrops(minutesFree: number[]): PlanProblem {
  return {
    days: ["2026-09-22", "2026-09-23", "2026-09-24"],
    minutesFree,
    roundMinutes: 5,
    roundCost: 0.1,
    bedMinutes: 1,
    bedCost: 0.02,
    tasks: [
      { id: "tender", bedId: "a", repeat: false, worth: [[2, 3, 0.2]], minutes: [[10, 10, 10]], endWorth: [0] },
      { id: "hardy", bedId: "a", repeat: false, worth: [[2, 2.05, 2.1]], minutes: [[10, 10, 10]], endWorth: [1] },
    ],
  };
}

test("the tender crop comes in before the frost on its best day; the hardy one shares the round or waits", () => {
  expect(solvePlan(twoCrops([60, 60, 60]), quick).picks.tender).toEqual([1]);
  const tight = solvePlan(twoCrops([60, 16, 60]), quick);
  expect(tight.picks).toEqual({ tender: [1], hardy: [2] });
});

test("with no hands on the best day it moves to the day before, not past the frost", () =>
  expect(solvePlan(twoCrops([60, 0, 60]), quick).picks.tender).toEqual([0]));

test("it is not a sort by date: the dearer one gets the only slot", () => {
  const problem = twoCrops([0, 16, 0]);
  problem.tasks[1]!.worth = [[0, 6, 0]];
  expect(solvePlan(problem, quick).picks).toEqual({ tender: [], hardy: [1] });
});

test("no hands at all is a plan without picks, and the bound says nothing better exists", () => {
  const plan = solvePlan(twoCrops([0, 0, 0]), quick);
  expect(plan.picks).toEqual({ tender: [], hardy: [] });
  expect(plan.upperBound).toBeCloseTo(plan.worth, 6);
});

test.each([201, 202, 203])(
  "plans of 30 plantings are allowed, repeat by seed, and stand below their bound (seed %d)",
  (seed) => {
    const problem = planInstance(seed, 30, 14);
    const plan = solvePlan(problem, quick);
    const check = checkPlan(problem, plan.picks);
    if (check.status !== "allowed") throw new Error(check.reasons.join("; "));
    expect(check.worth).toBeCloseTo(plan.worth, 6);
    expect(plan.worth).toBeLessThanOrEqual(plan.upperBound + 1e-6);
    expect(plan.gap).toBeLessThan(0.08);
    expect(solvePlan(problem, quick)).toEqual(plan);
  },
);

test("more minutes never make the bound worse, and the plan stays above doing nothing", () => {
  const problem = planInstance(204, 20, 14);
  const doubled = { ...problem, minutesFree: problem.minutesFree.map((m) => 2 * m) };
  expect(solvePlan(doubled, quick).upperBound).toBeGreaterThan(solvePlan(problem, quick).worth);
  const nothing = problem.tasks.reduce((sum, t) => sum + t.endWorth[0]!, 0);
  expect(solvePlan(problem, quick).worth).toBeGreaterThan(nothing);
});

test("the check refuses what the problem does not allow, whoever made the plan", () => {
  const problem = twoCrops([60, 16, 60]);
  const reasons = (picks: Record<string, number[]>) => {
    const check = checkPlan(problem, picks);
    return check.status === "allowed" ? "" : check.reasons.join("; ");
  };
  expect(reasons({ tender: [1], hardy: [1] })).toMatch(/day 1 takes 26.0 of 16 minutes/);
  expect(reasons({ tender: [0, 1] })).toMatch(/picked 2 times/);
  expect(reasons({ tender: [7] })).toMatch(/day 7/);
  expect(reasons({ stranger: [0] })).toMatch(/not in the problem/);
  expect(reasons({ tender: [1], hardy: [2] })).toBe("");
});

test("a loser is told with the least help that saves it, found by asking again", () => {
  const problem = twoCrops([0, 16, 0]);
  const plan = solvePlan(problem, quick);
  expect(plan.picks).toEqual({ tender: [1], hardy: [] });
  const [loser] = losersOf(problem, plan, quick);
  expect(loser).toMatchObject({ id: "hardy", saver: { day: 1, extraMinutes: 10 } });
  const helped = solvePlan({ ...problem, minutesFree: [0, 26, 0] }, quick);
  expect(helped.picks.hardy).toEqual([1]);
});

test("moving a pick costs what the plan loses, and is refused where it does not fit", () => {
  const problem = twoCrops([60, 16, 60]);
  const plan = solvePlan(problem, quick);
  const costs = moveCosts(problem, plan, "tender", 1);
  expect(costs[1]).toBeCloseTo(0, 9);
  expect(costs[2]!).toBeGreaterThan(2);
  expect(moveCosts(problem, plan, "hardy", 2)[1]).toBeNull();
});

test("a table of the wrong shape is the caller's mistake", () => {
  const problem = twoCrops([60, 60, 60]);
  problem.tasks[0]!.worth = [[1, 2]];
  expect(() => solvePlan(problem, quick)).toThrow(/worth of tender/);
});
