import { expect, test } from "vitest";
import { gardenInstance } from "../../../tests/garden-instances";
import { planInstance } from "../../../tests/planner-instances";
import { checkPlan } from "./check";
import { MOST_GIVEN, calmest, editedPlan, heldStill, improvingEdit, planBase } from "./edited-plan";
import type { PlanProblem } from "./problem";
import { solvePlan } from "./solve";

const instances = [...[2001, 2002, 2003].map((seed) => gardenInstance(seed, 12)), ...[2011, 2012].map((seed) => planInstance(seed, 14, 14))]; // prettier-ignore

/** The problem with every third planned pick banned where it stands, one of them asked for on the next open day. */
function edited(problem: PlanProblem, picks: Record<string, number[]>): PlanProblem {
  return {
    ...problem,
    tasks: problem.tasks.map((task, i) => {
      const [day] = picks[task.id] ?? [];
      return i % 3 || day === undefined ? task : { ...task, bans: [day] };
    }),
  };
}

test.each(instances.map((problem, n) => [n, problem] as const))(
  "instance %i: an edited plan is allowed, keeps what is asked, is within its bound, and no day moves for nothing",
  (_, problem) => {
    const base = planBase(problem);
    const after = edited(problem, base.plan.picks);
    const steps = [...improvingEdit(base, after)];
    const plan = editedPlan(base, after);
    const check = checkPlan(after, plan.picks, plan.ways);
    if (check.status !== "allowed") throw new Error(check.reasons.join("; "));
    expect(check.worth).toBeCloseTo(plan.worth, 9);
    expect(plan.upperBound).toBeGreaterThanOrEqual(plan.worth);
    // No plan that asking from the start finds is above the bound.
    expect(solvePlan(after).worth).toBeLessThanOrEqual(plan.upperBound + 1e-9);
    for (const step of steps) expect(checkPlan(after, step.picks, step.ways).status).toBe("allowed");
    // Putting any one planting back that was not asked for costs more than next to nothing, or cannot be.
    for (const { id, bans } of after.tasks) {
      const before = base.plan.picks[id] ?? [];
      if (bans || before.join() === plan.picks[id]!.join() || base.plan.ways[id] !== plan.ways[id]) continue;
      const back = checkPlan(after, { ...plan.picks, [id]: before }, plan.ways);
      if (back.status === "allowed") expect(back.worth).toBeLessThan(plan.worth - 0.019);
    }
    expect(editedPlan(base, after)).toEqual(plan);
    expect(editedPlan(base, problem)).toBe(base.plan);
  },
  60_000,
);

test.each(instances.map((problem, n) => [n, problem] as const))(
  "instance %i: staying near to a plan made before gives away no more than is worth a sentence, and moves less",
  (_, problem) => {
    const fresh = solvePlan(problem);
    // A plan of fewer hands, as it stood before somebody came to help.
    const before = solvePlan({ ...problem, minutesFree: problem.minutesFree.map((m) => m * 0.8) });
    const near = calmest(problem, before.picks, [fresh]);
    expect(near.worth).toBeGreaterThanOrEqual(fresh.worth - MOST_GIVEN);
    const moved = (picks: Record<string, number[]>) => problem.tasks.filter(({ id }) => (picks[id] ?? []).join() !== (before.picks[id] ?? []).join()).length; // prettier-ignore
    expect(moved(near.picks)).toBeLessThanOrEqual(moved(fresh.picks));
    expect(checkPlan(problem, near.picks, near.ways)).toMatchObject({ status: "allowed", worth: expect.closeTo(near.worth, 9) }); // prettier-ignore
  },
  60_000,
);

test("held still, what is banned is taken out, what is pinned put in, once a date, and all else left", () => {
  const days = ["2026-09-19", "2026-09-19", "2026-09-20", "2026-09-21"];
  const table = [days.map(() => 1)];
  const task = { bedId: "bed", worth: table, minutes: table, endWorth: [0] };
  const tasks = [
    { ...task, id: "once", repeat: false, pins: [2] },
    { ...task, id: "kept", repeat: false },
    { ...task, id: "often", repeat: true, pins: [0], bans: [2] },
    { ...task, id: "there", repeat: true, pins: [0] },
  ];
  const problem = { days, minutesFree: [9, 9, 9, 9], roundMinutes: 0, roundCost: 0, bedMinutes: 0, bedCost: 0, tasks };
  const held = heldStill(problem, { once: [3], kept: [1], often: [2, 3], there: [1, 3] });
  expect(held).toEqual({ once: [2], kept: [1], often: [0, 3], there: [1, 3] });
});
