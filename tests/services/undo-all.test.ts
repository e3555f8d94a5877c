import { beforeEach, expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import type { Supposition } from "~/core/garden";
import { actMarks } from "~/db/beds/act-marks.server";
import { theGarden } from "~/db/garden/garden.server";
import { allTrips, handsRules } from "~/db/sky/hands.server";
import { coversFrom } from "~/db/sky/covers.server";
import { todayOf } from "~/services/garden/clock.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { PlanAct, actOnPlan } from "~/services/horizon/act-on-plan.server";
import { editsAtHand } from "~/services/horizon/edit-plan.server";
import { jobsAhead, markJobs, unmarkJobs } from "~/services/horizon/jobs.server";
import { removeTrip } from "~/services/sky/trips.server";
import { demoGarden, type GardenOfTest } from "./garden-fixture";

let made: GardenOfTest;
beforeEach(() => {
  made = demoGarden();
});

const row = () => theGarden(made.db)!;
const planned = () => plannedGarden(made.db, row());
const act = (fields: Record<string, string>) => actOnPlan(made.db, row(), PlanAct.parse(fields));
const keep = (...suppositions: Supposition[]) => act({ intent: "keep", suppositions: JSON.stringify(suppositions) });
/** All that an act of the plan may change beside days asked for. */
const state = () => {
  const { db } = made;
  const today = todayOf(row());
  return { trips: allTrips(db), minutes: handsRules(db), covers: coversFrom(db, today), marks: actMarks(db, addDays(today, -400)).map(({ key, isSkipped }) => ({ key, isSkipped })) }; // prettier-ignore
};

test("everything that is done to the plan is undone step by step, and done again, whatever its kind", () => {
  const today = todayOf(row());
  const trip = allTrips(made.db)[0]!;
  const job = jobsAhead(planned()).find((j) => j.isToday)!;
  const bed = planned().outlook.plantings[0]!.bed;
  const steps: (() => { status: string })[] = [
    () => keep({ what: "stay", trip: trip.fromDay }),
    () => markJobs(made.db, row(), job.keys.slice(0, 1), false),
    () => keep({ what: "minutes", day: addDays(today, 2), minutes: 20 }, { what: "cover", bedId: bed.id, evening: addDays(today, 3) }), // prettier-ignore
    () => unmarkJobs(made.db, row(), job.keys.slice(0, 1)),
    () => act({ intent: "rule out", plantingId: "bean-green", day: addDays(today, 1) }),
    () => markJobs(made.db, row(), job.keys.slice(0, 1), true),
    () => keep({ what: "away", from: addDays(today, 5), to: addDays(today, 6) }),
  ];
  const states = [state()];
  for (const step of steps) {
    expect(step().status).toBe("noted");
    states.push(state());
  }
  for (let k = steps.length; k > 0; k--) {
    expect(state()).toEqual(states[k]);
    expect(act({ intent: "undo" }).status).toBe("noted");
  }
  expect(state()).toEqual(states[0]);
  expect(act({ intent: "undo" })).toMatchObject({ status: "refused", sentence: "There is nothing to undo." });
  for (const after of states.slice(1)) {
    expect(act({ intent: "redo" }).status).toBe("noted");
    expect(state()).toEqual(after);
  }
});

test("the plan after an undo is the plan before", () => {
  const before = planned().plan;
  keep({ what: "stay", trip: allTrips(made.db)[0]!.fromDay });
  expect(planned().plan.worth).toBeGreaterThan(before.worth);
  expect(editsAtHand(made.db, row()).undo).toMatch(/stay/i);
  act({ intent: "undo" });
  const { plan, outlook } = planned();
  expect(outlook.trips).toHaveLength(1);
  expect(plan.worth).toBeGreaterThan(before.worth - 0.03 * Object.keys(before.picks).length);
});

test("what was changed otherwise meanwhile stays, is told, and stands in nobody's way", () => {
  const today = todayOf(row());
  act({ intent: "rule out", plantingId: "bean-green", day: addDays(today, 1) });
  keep({ what: "away", from: addDays(today, 5), to: addDays(today, 6) });
  const ours = allTrips(made.db).find((t) => t.fromDay === addDays(today, 5))!;
  removeTrip(made.db, ours.id);
  const stands = state();
  expect(act({ intent: "undo" })).toMatchObject({ status: "noted", sentence: expect.stringMatching(/^That was changed since, and stays as it is: /) }); // prettier-ignore
  expect(state()).toEqual(stands);
  // The one before it is next.
  expect(act({ intent: "undo" })).toMatchObject({ status: "noted", sentence: expect.stringMatching(/^Undone: French bean/) }); // prettier-ignore
});

test("what is refused halfway leaves nothing to undo", () => {
  const today = todayOf(row());
  const before = state();
  expect(keep({ what: "minutes", day: addDays(today, 2), minutes: 20 }, { what: "cover", bedId: "nowhere", evening: today })).toMatchObject({ status: "refused" }); // prettier-ignore
  expect(state()).toEqual(before);
  expect(editsAtHand(made.db, row()).undo).toBeNull();
});
