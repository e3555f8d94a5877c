import { expect, test } from "vitest";
import { planInstance } from "../../../tests/planner-instances";
import { checkPlan, improvingPlan, losersOf, moveCosts, solvePlan, type PlanProblem } from ".";

const quick = { seed: 1, relaxIterations: 120, boundSplits: 10, repairIterations: 200, cycles: 2 };

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
    const check = checkPlan(problem, plan.picks, plan.ways);
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

test("a plan at once, then better ones: never worse than before, each allowed, the bound never higher", () => {
  const problem = planInstance(205, 20, 14, true);
  const plans = [...improvingPlan(problem, { ...quick, cycles: 5 })];
  expect(plans).toHaveLength(6);
  for (const [k, plan] of plans.entries()) {
    expect(checkPlan(problem, plan.picks, plan.ways).status).toBe("allowed");
    if (k === 0) continue;
    expect(plan.worth).toBeGreaterThanOrEqual(plans[k - 1]!.worth - 1e-9);
    expect(plan.upperBound).toBeLessThanOrEqual(plans[k - 1]!.upperBound + 1e-9);
  }
});

test("full kitchen: of two perishable crops that want one day, one comes in the day before", () => {
  const problem: PlanProblem = {
    ...twoCrops([60, 60, 60]),
    kitchenFree: [3, 3, 3],
    tasks: ["a", "b"].map((id) => ({ id, bedId: "bed", repeat: false, worth: [[2, 3, 1]], minutes: [[5, 5, 5]], endWorth: [0], kitchen: [[2, 2, 2]] })), // prettier-ignore
  };
  const { picks } = solvePlan(problem, quick);
  expect([picks.a![0], picks.b![0]].sort()).toEqual([0, 1]);
  expect(checkPlan(problem, { a: [1], b: [1] })).toMatchObject({
    reasons: ["day 1 brings 4.0 of 3 kg to the kitchen"],
  });
});

test("little space to cure on: the second lift waits until the first batch is off it", () => {
  const cured = (id: string, value: number) => ({ id, bedId: "bed", repeat: false, worth: [[value, value, value, value]], minutes: [[5, 5, 5, 5]], endWorth: [0], curing: { area: 1, days: 2 } }); // prettier-ignore
  const problem: PlanProblem = {
    ...twoCrops([]),
    days: ["2026-09-22", "2026-09-23", "2026-09-24", "2026-09-25"],
    minutesFree: [60, 60, 60, 60],
    curingFree: 1.5,
    tasks: [cured("onion", 3), cured("garlic", 2)],
  };
  const { picks } = solvePlan(problem, quick);
  expect(Math.abs(picks.onion![0]! - picks.garlic![0]!)).toBeGreaterThanOrEqual(2);
  expect(checkPlan(problem, { onion: [0], garlic: [1] })).toMatchObject({ reasons: ["day 1 cures on 2.0 of 1.5 m²"] });
});

test("a day that must be is kept and others make way; one that cannot be is refused; a banned one is never taken", () => {
  const tight = twoCrops([60, 16, 60]);
  const [tender, hardy] = tight.tasks as [PlanProblem["tasks"][0], PlanProblem["tasks"][0]];
  const pinned = solvePlan({ ...tight, tasks: [tender, { ...hardy, pins: [1] }] }, quick);
  expect(pinned.picks).toEqual({ tender: [0], hardy: [1] });
  expect(solvePlan({ ...tight, tasks: [{ ...tender, bans: [1] }, hardy] }, quick).picks.tender).toEqual([0]);
  const both = {
    ...tight,
    tasks: [
      { ...tender, pins: [1] },
      { ...hardy, pins: [1] },
    ],
  };
  expect(() => solvePlan(both, quick)).toThrow(/cannot be picked on the days it must be/);
  expect(checkPlan(both, { tender: [1], hardy: [2] })).toMatchObject({ reasons: ["hardy is not picked on day 1, where it must be"] }); // prettier-ignore
});

test("after an edit the rest of the plan still stands, and the plan of the edit is as good as one made anew", () => {
  const problem = planInstance(206, 20, 14);
  const plan = solvePlan(problem, quick);
  const moved = problem.tasks.find((t) => plan.picks[t.id]!.length === 1)!;
  const day = problem.minutesFree.findIndex((m, t) => m > 30 && !plan.picks[moved.id]!.includes(t));
  const edit = { ...problem, tasks: problem.tasks.map((t) => (t === moved ? { ...t, pins: [day] } : t)) };
  const first = improvingPlan(edit, quick, plan).next().value;
  const kept = problem.tasks.filter((t) => t !== moved && first.picks[t.id]!.join() === plan.picks[t.id]!.join());
  expect(kept.length).toBeGreaterThan(problem.tasks.length / 2);
  expect(first.picks[moved.id]).toContain(day);
  expect(solvePlan(edit, quick, plan).worth).toBeGreaterThan(solvePlan(edit, quick).worth * 0.995);
});

test("parts of a planting that are alike are not told apart by the bound: what no day can hold in fractions is seen", () => {
  const part = (id: string) => ({ id, bedId: "a", repeat: false, worth: [[3, 3]], minutes: [[10, 10]], endWorth: [0] });
  const problem: PlanProblem = {
    ...twoCrops([]),
    days: ["2026-09-22", "2026-09-23"],
    minutesFree: [24, 24],
    tasks: ["p", "p#2", "p#3", "p#4", "p#5"].map(part),
  };
  // Each day holds one of 10 minutes beside its overhead of 6, and eight minutes are left over: in fractions 3.6 fit.
  const unsplit = solvePlan(problem, { ...quick, boundSplits: 0 });
  const plan = solvePlan(problem, { ...quick, boundSplits: 20 });
  expect(Object.values(plan.picks).flat()).toHaveLength(2);
  expect(unsplit.gap).toBeGreaterThan(0.5);
  expect(plan.gap).toBeLessThan(0.1);
});
