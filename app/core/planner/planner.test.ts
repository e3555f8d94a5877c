import { expect, test } from "vitest";
import { planInstance } from "../../../tests/planner-instances";
import {
  SeenPlans,
  boundAfterEdit,
  checkPlan,
  improvingPlan,
  losersOf,
  moveCosts,
  solvePlan,
  type PlanProblem,
} from ".";

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

/** The tender crop may be covered on the second evening, so that the frost leaves it be. */
function coverable(minutesFree: number[], minutes = 4): PlanProblem {
  const problem = twoCrops(minutesFree);
  const covered = { worth: [[2, 3, 5]], minutes: [[10, 10, 10]], endWorth: [0] };
  problem.tasks[0]!.ways = [{ id: "covered", acts: [{ day: 1, minutes, cost: 0.3 }], ...covered }];
  return problem;
}

test("a cover that pays is laid on its evening, its minutes and its way to the bed counted", () => {
  const plan = solvePlan(coverable([60, 60, 60]), quick);
  expect(plan.ways).toEqual({ tender: "covered" });
  expect(plan.picks.tender).toEqual([2]);
  // Worth 5 for the pick, 2.1 for the hardy one with it, less the cover, two rounds and two calls.
  expect(plan.worth).toBeCloseTo(5 + 2.1 - 0.3 - 0.2 - 0.04, 6);
  expect(checkPlan(coverable([60, 60, 60]), plan.picks, plan.ways)).toMatchObject({
    status: "allowed",
    minutesUsed: [0, 10, 26],
  });
});

test("a cover is not laid where nobody is, where the evening is too short, or where it does not pay", () => {
  for (const problem of [coverable([60, 0, 60]), coverable([60, 9, 60]), coverable([60, 60, 60], 70)])
    expect(solvePlan(problem, quick).ways).toEqual({});
  const dear = coverable([60, 60, 60]);
  dear.tasks[0]!.ways![0]!.acts[0]!.cost = 3;
  expect(solvePlan(dear, quick)).toMatchObject({ ways: {}, picks: { tender: [1] } });
});

test("a cover that the evening has no minutes for, and one that nobody knows, are refused by the check", () => {
  expect(checkPlan(coverable([60, 9, 60]), { tender: [2] }, { tender: "covered" })).toMatchObject({
    reasons: ["day 1 takes 10.0 of 9 minutes"],
    broken: ["minutes"],
  });
  expect(checkPlan(coverable([60, 60, 60]), {}, { tender: "buried" })).toMatchObject({ broken: ["planting"] });
});

test("the plan with its covers is where an edit starts from", () => {
  const problem = coverable([60, 60, 60]);
  const before = solvePlan(problem, quick);
  const edited = { ...problem, tasks: problem.tasks.map((t) => (t.id === "hardy" ? { ...t, pins: [0] } : t)) };
  const [first] = improvingPlan(edited, { ...quick, repairIterations: 0 }, before);
  expect(first).toMatchObject({ ways: { tender: "covered" }, picks: { tender: [2], hardy: [0] } });
});

test("rounds are counted: one in three days, and it is where it brings in most", () => {
  const problem = twoCrops([60, 16, 60]);
  problem.tasks[1]!.endWorth = [0.5];
  const one = { ...problem, roundLimits: [{ from: 0, to: 2, most: 1 }] };
  expect(solvePlan(one, quick).picks).toEqual({ tender: [0], hardy: [0] });
  expect(checkPlan(one, { tender: [1], hardy: [2] })).toMatchObject({ broken: ["rounds"] });
  for (const roundLimits of [
    [{ from: 2, to: 1, most: 1 }],
    [{ from: 0, to: 3, most: 1 }],
    [
      { from: 0, to: 1, most: 1 },
      { from: 1, to: 2, most: 1 },
    ],
  ])
    // prettier-ignore
    expect(() => solvePlan({ ...problem, roundLimits }, quick)).toThrow(/roundLimits/);
});

test("what the household’s limits cost is told with what would save it: a round more, more kitchen, more racks", () => {
  const help = (problem: PlanProblem, id: string) => losersOf(problem, solvePlan(problem, quick), quick).find((l) => l.id === id)?.saver?.help; // prettier-ignore
  const apart = twoCrops([60, 60, 60]);
  apart.tasks[0]!.worth = [[3, 0, 0]];
  apart.tasks[1]!.worth = [[0, 0, 3]];
  apart.tasks[1]!.endWorth = [0];
  expect(help({ ...apart, roundLimits: [{ from: 0, to: 2, most: 1 }] }, "hardy") ?? help({ ...apart, roundLimits: [{ from: 0, to: 2, most: 1 }] }, "tender")).toBe("round"); // prettier-ignore
  const cooked = twoCrops([60, 0, 0]);
  for (const task of cooked.tasks) task.kitchen = [[2, 2, 2]];
  cooked.tasks[1]!.endWorth = [0];
  expect(help({ ...cooked, kitchenFree: [3, 3, 3] }, "hardy") ?? help({ ...cooked, kitchenFree: [3, 3, 3] }, "tender")).toBe("kitchen"); // prettier-ignore
  const cold = { ...cooked, kitchenFree: [3, 3, 3], fridge: { holds: 0.6, taken: 0 } };
  expect(help(cold, "hardy") ?? help(cold, "tender")).toBe("fridge");
  const cured = twoCrops([60, 0, 0]);
  for (const task of cured.tasks) task.curing = { area: 1, days: 3 };
  cured.tasks[1]!.endWorth = [0];
  expect(help({ ...cured, curingFree: 1 }, "hardy") ?? help({ ...cured, curingFree: 1 }, "tender")).toBe("racks");
});

const rounds = (minutesFree: number[]): PlanProblem => ({
  ...twoCrops(minutesFree),
  days: ["2026-09-22", "2026-09-22", "2026-09-23"],
});

test("two rounds of a day: minutes each its own, a pin asks for its date in either of them", () => {
  // Together they would do for both; neither does for one.
  expect(solvePlan(rounds([14, 14, 0]), quick).picks).toEqual({ tender: [], hardy: [] });
  expect(solvePlan(rounds([28, 0, 0]), quick).picks).toEqual({ tender: [0], hardy: [0] });
  const problem = rounds([16, 16, 60]);
  const [tender, hardy] = problem.tasks;
  const pinned = {
    ...problem,
    tasks: [
      { ...tender!, pins: [0] },
      { ...hardy!, pins: [1] },
    ],
  };
  const plan = solvePlan(pinned, quick);
  expect([plan.picks.tender![0]!, plan.picks.hardy![0]!].sort()).toEqual([0, 1]);
  expect(checkPlan(pinned, plan.picks)).toMatchObject({ status: "allowed" });
  expect(checkPlan(pinned, { tender: [2], hardy: [1] })).toMatchObject({ status: "not allowed" });
});

test("two rounds of a day share its kitchen and racks, and no planting is picked in both", () => {
  const problem = rounds([60, 60, 60]);
  const [tender, hardy] = problem.tasks;
  const kitchen = [[3, 3, 3]];
  const full = {
    ...problem,
    kitchenFree: [4, 4, 4],
    tasks: [
      { ...tender!, kitchen },
      { ...hardy!, kitchen },
    ],
  };
  expect(checkPlan(full, { tender: [0], hardy: [1] })).toMatchObject({ status: "not allowed", broken: ["kitchen"] });
  expect(checkPlan(full, { tender: [0], hardy: [2] })).toMatchObject({ status: "allowed" });
  // A day of curing is a date, whatever the rounds.
  const cures = { ...problem, curingFree: 1, tasks: [{ ...tender!, curing: { area: 1, days: 1 } }, { ...hardy!, curing: { area: 1, days: 1 } }] }; // prettier-ignore
  expect(checkPlan(cures, { tender: [0], hardy: [1] })).toMatchObject({ status: "not allowed", broken: ["curing"] });
  expect(checkPlan(cures, { tender: [0], hardy: [2] })).toMatchObject({ status: "allowed" });
  const again = { ...tender!, repeat: true, worth: Array(4).fill([2, 2, 2]) as number[][], minutes: Array(4).fill([5, 5, 5]) as number[][], endWorth: [0, 0, 0, 0] }; // prettier-ignore
  const repeat = { ...problem, tasks: [again] };
  expect(checkPlan(repeat, { tender: [0, 1] })).toMatchObject({ status: "not allowed" });
  expect(solvePlan(repeat, quick).picks.tender).toHaveLength(2);
  expect(() => solvePlan({ ...problem, days: ["2026-09-22", "2026-09-21", "2026-09-23"] })).toThrow(
    "days: not in order",
  );
});

test.each([205, 206])(
  "plans met on the way are plans, with the pick they are kept for or without it (seed %d)",
  (seed) => {
    const problem = planInstance(seed, 16, 14, true);
    const seen = new SeenPlans(problem);
    const plan = solvePlan(problem, quick, undefined, seen);
    let [kept, better] = [0, 0];
    for (const { id } of problem.tasks)
      for (const t of problem.days.keys())
        for (const [met, isWith] of [
          [seen.with(id, t), true],
          [seen.without(id, t), false],
        ] as const) {
          if (!met) continue;
          kept++;
          expect(met.picks[id]!.includes(t)).toBe(isWith);
          const check = checkPlan(problem, met.picks, met.ways);
          if (check.status !== "allowed") throw new Error(check.reasons.join("; "));
          expect(check.worth).toBeCloseTo(met.worth, 6);
          expect(met.worth).toBeLessThanOrEqual(plan.worth + 1e-6);
          if (met.worth > plan.worth - 0.02 * Math.abs(plan.worth)) better++;
        }
    expect(kept).toBeGreaterThan(problem.tasks.length * problem.days.length);
    expect(better).toBeGreaterThan(kept / 4);
    expect(() => seen.with("stranger", 0)).toThrow(RangeError);
  },
);

test("the bound after an edit is one for every plan of the edited problem, and the full search's is no tighter than it proves", () => {
  for (let seed = 301; seed <= 312; seed++) {
    const problem = planInstance(seed, 10, 10, seed % 2 === 0);
    const plan = solvePlan(problem, quick);
    expect(boundAfterEdit(problem, plan, problem)).toBe(plan.upperBound);
    for (const [k, task] of problem.tasks.entries()) {
      const day = (3 * k + seed) % problem.days.length;
      const edits = [{ ...task, bans: [...(task.bans ?? []), day] }, { ...task, worth: task.worth.map((r) => r.map((w) => 1.5 * w)) }]; // prettier-ignore
      for (const edit of edits) {
        const after = { ...problem, tasks: problem.tasks.map((t) => (t === task ? edit : t)) };
        const bound = boundAfterEdit(problem, plan, after);
        try {
          expect(bound).toBeGreaterThanOrEqual(solvePlan(after, quick).worth - 1e-6);
        } catch (error) {
          // A ban on a pinned day.
          if (!(error instanceof RangeError)) throw error;
        }
      }
      expect(boundAfterEdit(problem, plan, { ...problem, tasks: problem.tasks.map((t) => (t === task ? edits[0]! : t)) })).toBeLessThanOrEqual(plan.upperBound); // prettier-ignore
    }
  }
  const one = planInstance(301, 10, 10);
  expect(() => boundAfterEdit(one, solvePlan(one, quick), { ...one, minutesFree: one.minutesFree.map((m) => m + 1) })).toThrow(RangeError); // prettier-ignore
}, 60_000);
