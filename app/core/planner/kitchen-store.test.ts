import { expect, test } from "vitest";
import { checkPlan, solvePlan, type PlanProblem } from ".";

const quick = { seed: 1, relaxIterations: 120, boundSplits: 10, repairIterations: 200, cycles: 2 };

/** Beans that want one day of four, and the kitchen's time on it. */
const beans = (id: string, bestDay: number, kg: number, horizon = 4) => ({
  id,
  bedId: "bed",
  repeat: false,
  worth: [Array.from({ length: horizon }, (_, t) => (t === bestDay ? 3 : 1))],
  minutes: [new Array<number>(horizon).fill(5)],
  endWorth: [0],
  kitchen: [new Array<number>(horizon).fill(kg)],
});
const fourDays = (tasks: PlanProblem["tasks"], fridge?: PlanProblem["fridge"]): PlanProblem => ({
  days: ["2026-09-22", "2026-09-23", "2026-09-24", "2026-09-25"],
  minutesFree: [60, 60, 60, 60],
  roundMinutes: 5,
  roundCost: 0.1,
  bedMinutes: 1,
  bedCost: 0.02,
  kitchenFree: [3, 3, 3, 3],
  ...(fridge && { fridge }),
  tasks,
});

test("what the kitchen has no time for waits in the fridge for the next days, as long as it holds it", () => {
  const both = [beans("a", 1, 2.5), beans("b", 1, 2.5)];
  const daysOf = (problem: PlanProblem) => Object.values(solvePlan(problem, quick).picks).map(([day]) => day);
  expect(daysOf(fourDays(both))).not.toEqual([1, 1]);
  expect(daysOf(fourDays(both, { holds: 2, taken: 0 }))).toEqual([1, 1]);
  expect(daysOf(fourDays(both, { holds: 1.9, taken: 0 }))).not.toEqual([1, 1]);
  // What lies in it from before takes of the first day's kitchen.
  const first = [beans("a", 0, 2.5), beans("b", 0, 2.5)];
  expect(daysOf(fourDays(first, { holds: 2, taken: 0 }))).toEqual([0, 0]);
  expect(daysOf(fourDays(first, { holds: 2, taken: 1 }))).not.toEqual([0, 0]);
  // Full on the second day, it has room again on the fourth only.
  const third = beans("c", 2, 3.5);
  const waits = fourDays([...both, third], { holds: 2, taken: 0 });
  expect(solvePlan(waits, quick).picks.c).not.toEqual([2]);
  expect(checkPlan(waits, { a: [1], b: [1], c: [2] })).toMatchObject({
    broken: ["fridge"],
    reasons: ["by the end of day 2 2.5 kg wait in a fridge of 2"],
  });
});

test("picks of one planting that overfill the fridge together are not all taken", () => {
  const table = [[3, 3, 3, 3], [3, 3, 3, 3], [3, 3, 3, 3], [3, 3, 3, 3], [3, 3, 3, 3]]; // prettier-ignore
  const problem = fourDays(
    [{ ...beans("a", 0, 0), repeat: true, worth: table, minutes: table, kitchen: table.map((row) => row.map(() => 4)), endWorth: [0, 0, 0, 0, 0] }],
    { holds: 2, taken: 0 },
  ); // prettier-ignore
  const plan = solvePlan(problem, quick);
  // Of each pick 1 kg is left for the next day: two are in the fridge after the second, and none fits on the third.
  expect(plan.picks.a).toHaveLength(3);
  expect(checkPlan(problem, plan.picks).status).toBe("allowed");
  expect(plan.upperBound).toBeGreaterThanOrEqual(plan.worth - 1e-9);
  expect(solvePlan({ ...problem, fridge: { holds: 4, taken: 0 } }, quick).picks.a).toHaveLength(4);
});

test("a fridge without a kitchen that empties it, or fuller than it holds, is the caller's mistake", () => {
  const { kitchenFree: _, ...none } = fourDays([beans("a", 1, 1)], { holds: 2, taken: 0 });
  expect(() => solvePlan(none, quick)).toThrow(/kitchenFree/);
  expect(() => solvePlan(fourDays([beans("a", 1, 1)], { holds: 2, taken: 3 }), quick)).toThrow(/more lies in it/);
});
