import { expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { planDifference, planSum, type Supposition } from "~/core/garden";
import { theGarden, setHouseholdLimits } from "~/db/garden/garden.server";
import { allTrips, handsRules } from "~/db/sky/hands.server";
import { coversFrom } from "~/db/sky/covers.server";
import { todayOf } from "~/services/garden/clock.server";
import { supposedFor } from "~/services/garden/supposed-change.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { PlanAct, actOnPlan } from "~/services/horizon/act-on-plan.server";
import { Suppositions, keepSupposed, whatIf } from "~/services/horizon/what-if.server";
import { whatIfTold } from "~/views/horizon/what-if-words";
import { demoGarden, send, type GardenOfTest } from "./garden-fixture";

const rowOf = ({ db }: GardenOfTest) => theGarden(db)!;
const planOf = ({ db }: GardenOfTest) => plannedGarden(db, theGarden(db)!);
const dayIn = (made: GardenOfTest, n: number) => addDays(todayOf(rowOf(made)), n);

async function supposedSum(made: GardenOfTest, suppositions: Supposition[]) {
  const { before, after } = await supposedFor(made.db, rowOf(made), planOf(made), suppositions);
  if (after.status !== "supposed") throw new Error(after.why);
  return { before, after: after.sum, without: after.without };
}

/** What the household may suppose of the demo's garden and make so. */
const OURS: [string, (made: GardenOfTest) => Supposition[]][] = [
  ["more minutes", (made) => [{ what: "minutes", day: dayIn(made, 1), minutes: 30 }]],
  ["a helper on a day away", (made) => [{ what: "helper", day: addDays(allTrips(made.db)[0]!.fromDay, 2), minutes: 60 }]],
  ["leaving a day earlier", (made) => [{ what: "leave", trip: allTrips(made.db)[0]!.fromDay, day: addDays(allTrips(made.db)[0]!.fromDay, -1) }]],
  ["coming back later", (made) => [{ what: "return", trip: allTrips(made.db)[0]!.fromDay, day: addDays(allTrips(made.db)[0]!.toDay, 2) }]],
  ["another trip", (made) => [{ what: "away", from: dayIn(made, 1), to: dayIn(made, 2) }]],
  ["two beds under fleece", (made) => ["bed-2", "bed-3"].map((_, n) => ({ what: "cover", bedId: planOf(made).outlook.plantings[n * 4]!.bed.id, evening: dayIn(made, 4) }))],
  ["two at once", (made) => [{ what: "minutes", day: dayIn(made, 0), minutes: 20 }, { what: "helper", day: dayIn(made, 3), minutes: 30 }]],
]; // prettier-ignore

const NO_LIMITS = { roundsAWeek: null, kitchenKg: null, fridgeKg: null, racksM2: null };

test.each(OURS)("what is said to come of it is what the plan then is, to the gram and the minute: %s", async (_, suppositions) => {
  const made = demoGarden();
  const asked = suppositions(made);
  const { before, after } = await supposedSum(made, asked);
  const stands = planOf(made);
  expect(before).toEqual(planSum(stands.outlook, stands.plan));
  expect(keepSupposed(made.db, rowOf(made), asked)).toMatchObject({ status: "noted" });
  const kept = planOf(made);
  expect(planSum(kept.outlook, kept.plan)).toEqual(after);
  expect(whatIfTold(stands, asked, { ...planDifference(before, after), found: 0 }).after).toEqual(
    after.plantings
      .filter((p, n) => p.days.join() !== before.plantings[n]!.days.join())
      .map((p) => ({ plantingId: p.plantingId, days: p.days }))
      .sort((a, b) => orderIn(planDifference(before, after), a.plantingId) - orderIn(planDifference(before, after), b.plantingId)),
  );
}); // prettier-ignore

const orderIn = ({ plantings }: ReturnType<typeof planDifference>, id: string) => plantings.findIndex((p) => p.plantingId === id); // prettier-ignore

test("more hands never make a plan worse, nor a forecast colder a better one of what frost takes", async () => {
  const made = demoGarden();
  for (const minutes of [20, 60, 120]) {
    const { before, after } = await supposedSum(made, [{ what: "minutes", day: dayIn(made, 1), minutes }]);
    expect(after.worth).toBeGreaterThan(before.worth - 0.05);
  }
  const cold = await supposedSum(made, [{ what: "colder", degreesC: 5 }]);
  expect(cold.after.worth).toBeLessThan(cold.before.worth);
});

test("what nobody asked to move stays where it was: ten minutes today or on Tuesday move next to nothing", async () => {
  const made = demoGarden();
  for (const n of [0, 2]) {
    const { before, after } = await supposedSum(made, [{ what: "minutes", day: dayIn(made, n), minutes: 10 }]);
    const moved = planDifference(before, after).plantings.filter((p) => p.from.join() !== p.to.join());
    expect(moved.length).toBeLessThanOrEqual(2);
  }
});

test("a better plan that the asking found would have been told as the gain of ten minutes", async () => {
  const made = demoGarden();
  for (const n of [1, 3, 13]) {
    const { before, after, without } = await supposedSum(made, [{ what: "minutes", day: dayIn(made, n), minutes: 10 }]);
    expect(without).toBeGreaterThanOrEqual(before.worth);
    // Ten minutes cannot bring more than ten minutes of the dearest handwork.
    expect(after.worth - without).toBeLessThan(1.5);
  }
});

test("a look at one planting would have moved the days of others: they stay", () => {
  const made = demoGarden();
  const before = planSum(planOf(made).outlook, planOf(made).plan);
  const [tomato] = planOf(made).outlook.plantings.filter((p) => p.crop.id.startsWith("tomato"));
  send(made.db, { kind: "pick", plantingId: tomato!.planting.id, outcome: "picked", weight: "200 g" });
  const after = planSum(planOf(made).outlook, planOf(made).plan);
  const moved = planDifference(before, after).plantings.filter((p) => p.from.join() !== p.to.join() && p.plantingId !== tomato!.planting.id); // prettier-ignore
  for (const p of moved) expect(Math.abs(p.worth), p.plantingId).toBeGreaterThan(0.001);
  expect(moved.length).toBeLessThanOrEqual(4);
});

test("weather and fridge are told and not kept; a full fridge is known only where the kitchen has a limit", async () => {
  const made = demoGarden();
  const colder: Supposition = { what: "colder", degreesC: 2 };
  const told = await whatIf(made.db, rowOf(made), [colder]);
  expect(told).toMatchObject({ status: "told", canKeep: false, note: "The weather cannot be kept: that comes as it comes." });
  expect(keepSupposed(made.db, rowOf(made), [colder]).status).toBe("refused");
  setHouseholdLimits(made.db, { ...NO_LIMITS });
  expect(await whatIf(made.db, rowOf(made), [{ what: "fridge full" }])).toMatchObject({ status: "cannot" });
  setHouseholdLimits(made.db, { ...NO_LIMITS, kitchenKg: 2, fridgeKg: 4 });
  const full = await supposedSum(made, [{ what: "fridge full" }]);
  expect(full.after.worth).toBeLessThan(full.before.worth);
}); // prettier-ignore

test("one that cannot be keeps none of them", () => {
  const made = demoGarden();
  const rules = handsRules(made.db);
  const trip = allTrips(made.db)[0]!;
  const suppositions: Supposition[] = [
    { what: "minutes", day: dayIn(made, 1), minutes: 30 },
    { what: "leave", trip: trip.fromDay, day: addDays(trip.toDay, 3) },
  ];
  const act = PlanAct.parse({ intent: "keep", suppositions: JSON.stringify(suppositions) });
  expect(actOnPlan(made.db, rowOf(made), act)).toEqual({
    status: "refused",
    sentence: "The days run backwards: the end comes before the start.",
  });
  expect(handsRules(made.db)).toEqual(rules);
  expect(coversFrom(made.db, todayOf(rowOf(made)))).toHaveLength(0);
});

test.each(["", "{", "[]", "[{}]", '[{"what":"minutes","day":"2026-02-30","minutes":20}]', '[{"what":"colder","degreesC":99}]', JSON.stringify(Array.from({ length: 9 }, () => ({ what: "fridge full" })))])(
  "what cannot be read is refused: %s",
  (text) => expect(Suppositions.safeParse(text).success).toBe(false),
); // prettier-ignore
