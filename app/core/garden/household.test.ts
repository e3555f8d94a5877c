import fc from "fast-check";
import { expect, test } from "vitest";
import type { z } from "zod";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { checkPlan, solvePlan } from "../planner";
import { GardenState, isLookTask, lookAhead, plannedPicks, PlantingState } from ".";
import { HouseholdLimits, kitchenAhead, limitsOfPlan } from "./household-limits";

/** A Monday. */
const today = "2026-08-10";

type Told = Partial<z.input<typeof PlantingState>> & { id: string; cropId: string };

function garden(plantings: Told[], limits: Partial<HouseholdLimits> = {}, minutes = 90): GardenState {
  return GardenState.parse({
    today,
    latitude: 52,
    longitude: 0,
    beds: [{ id: "bed", name: "bed", kind: "open", position: 0 }],
    plantings: plantings.map((p) => ({ bedId: "bed", variety: "", plants: 10, startEvent: "sown", startedOn: "2026-05-10", packet: null, looks: ready(p.cropId), picks: [], schoolOption: null, ...p })), // prettier-ignore
    observed: [],
    forecast: [],
    minutesByWeekday: Array.from({ length: 7 }, () => minutes),
    trips: [],
    limits,
  });
}

function ready(cropId: string) {
  const cue = catalogue().find((c) => c.id === cropId)!.cues.find((c) => !c.auto && c.weight !== "weak" && c.readings.some((r) => r.means === "ready"))!; // prettier-ignore
  return [{ cueId: cue.id, readingId: cue.readings.find((r) => r.means === "ready")!.id, takenOn: today }];
}

function planned(state: GardenState) {
  const outlook = lookAhead(state, catalogue());
  const plan = solvePlan(outlook.problem);
  const check = checkPlan(outlook.problem, plan.picks);
  expect(check.status === "allowed" ? [] : check.reasons).toEqual([]);
  const of = (id: string) =>
    plannedPicks(
      outlook.plantings.find((p) => p.planting.id === id)!,
      plan.picks,
    );
  const rounds = new Set(Object.entries(plan.picks).flatMap(([id, days]) => (isLookTask(id) ? [] : days)));
  return { outlook, plan, of, rounds: [...rounds].sort((a, b) => a - b) };
}

const beans: Told = { id: "beans", cropId: "bean_bush", plants: 30, startedOn: "2026-05-25" };
const courgettes: Told = { id: "courgettes", cropId: "courgette", plants: 4 };
const berries: Told = { id: "berries", cropId: "raspberry_autumn", plants: 12, startEvent: "growth", startedOn: "2026-03-15", growingYear: 5 }; // prettier-ignore

test("one round a week is one round a week, and the plan is worth less than without the word", () => {
  const [free, bound] = [planned(garden([beans, courgettes])), planned(garden([beans, courgettes], { roundsAWeek: 1 }))]; // prettier-ignore
  expect(free.rounds.length).toBeGreaterThan(2);
  expect(bound.rounds.filter((t) => t < 7)).toHaveLength(1);
  expect(bound.rounds.filter((t) => t >= 7)).toHaveLength(1);
  expect(bound.plan.worth).toBeLessThan(free.plan.worth);
});

test("rounds that were walked this week are counted: today's goes on, those of last week are over", () => {
  const thursday = addDays(today, 3);
  const days = Array.from({ length: 14 }, (_, n) => addDays(thursday, n));
  const limits = HouseholdLimits.parse({ roundsAWeek: 2 });
  const most = (...walked: number[]) => limitsOfPlan(limits, days, new Set(walked.map((n) => addDays(thursday, n)))).roundLimits; // prettier-ignore
  expect(most()).toEqual([
    { from: 0, to: 3, most: 2 },
    { from: 4, to: 10, most: 2 },
    { from: 11, to: 13, most: 2 },
  ]);
  expect(most(-1, -4)![0]).toEqual({ from: 0, to: 3, most: 1 });
  expect(most(0, -1)![0]).toEqual({ from: 1, to: 3, most: 0 });
});

test("no day brings more to the kitchen than it takes; what keeps is not counted", () => {
  const state = (limits: Partial<HouseholdLimits>) => garden([beans, courgettes, { id: "garlic", cropId: "garlic_softneck", plants: 80, startEvent: "planted", startedOn: "2025-10-20" }], limits); // prettier-ignore
  const { outlook, of } = planned(state({ kitchenKg: 1.5 }));
  const grams = (id: string) => {
    const byDay = new Array<number>(14).fill(0);
    const { crop } = outlook.plantings.find((p) => p.planting.id === id)!;
    for (const pick of of(id)) byDay[pick.day]! += pick.pieces * crop.pieceGrams.value;
    return byDay;
  };
  const kitchen = grams("beans").map((g, t) => g + grams("courgettes")[t]!);
  expect(Math.max(...kitchen)).toBeGreaterThan(500);
  expect(Math.max(...kitchen)).toBeLessThanOrEqual(1500.001);
  expect(outlook.problem.tasks.find((t) => t.id === "garlic")!.kitchen).toBeUndefined();
});

test("a fridge lets one round bring more than a day's kitchen; what was brought in before takes its room", () => {
  const most = (limits: Partial<HouseholdLimits>) => {
    const { outlook, plan } = planned(garden([beans, courgettes], limits));
    const byDate = new Map<string, number>();
    for (const { id, kitchen } of outlook.problem.tasks)
      (plan.picks[id] ?? []).forEach((t, k, days) => {
        const on = outlook.problem.days[t]!;
        byDate.set(on, (byDate.get(on) ?? 0) + (kitchen?.[k === 0 ? 0 : days[k - 1]! + 1]?.[t] ?? 0));
      });
    return { most: Math.max(...byDate.values()), first: byDate.get(today) ?? 0 };
  };
  const bare = most({ kitchenKg: 0.4 });
  const cold = most({ kitchenKg: 0.4, fridgeKg: 0.6 });
  expect(bare.most).toBeLessThanOrEqual(0.4 + 1e-6);
  expect(cold.most).toBeGreaterThan(0.4);
  expect(cold.most).toBeLessThanOrEqual(1 + 1e-6);
  const brought = most({ kitchenKg: 0.4, fridgeKg: 0.6, kitchenBrought: [{ on: addDays(today, -1), kg: 0.9 }, { on: today, kg: 0.4 }] }); // prettier-ignore
  expect(brought.first).toBeLessThanOrEqual(0.1 + 1e-6);
});

test("what waits today is what came in, day by day, less what the kitchen dealt with", () => {
  const days = [today, addDays(today, 1)];
  const ahead = (limits: Partial<HouseholdLimits>) => kitchenAhead(HouseholdLimits.parse(limits), days);
  const on = (back: number, kg: number) => ({ on: addDays(today, -back), kg });
  expect(ahead({})).toBeUndefined();
  expect(ahead({ kitchenKg: 2 })).toEqual({ kitchenFree: [2, 2], fridge: { holds: 0, taken: 0 } });
  // 5 kg three days ago: 3 wait, then 1; 3 yesterday: 2 wait; 2.5 today: the kitchen is taken, 2.5 wait.
  const brought = [on(3, 5), on(1, 3), on(0, 2.5)];
  expect(ahead({ kitchenKg: 2, fridgeKg: 4, kitchenBrought: brought })).toEqual({ kitchenFree: [0, 2], fridge: { holds: 4, taken: 2.5 } }); // prettier-ignore
  // More than it holds is gone some other way.
  expect(ahead({ kitchenKg: 1, fridgeKg: 2, kitchenBrought: [on(1, 9)] })!.fridge).toEqual({ holds: 2, taken: 2 });
});

test("garlic goes on the racks there are: as much as they hold, and none while other bulbs lie there", () => {
  const garlic: Told = { id: "garlic", cropId: "garlic_softneck", plants: 300, startEvent: "planted", startedOn: "2025-10-20" }; // prettier-ignore
  const lifted = (limits: Partial<HouseholdLimits>) => planned(garden([garlic], limits)).of("garlic").reduce((sum, p) => sum + p.pieces, 0); // prettier-ignore
  const all = lifted({});
  expect(all).toBeGreaterThan(200);
  const some = lifted({ racksM2: 0.3 });
  expect(some).toBeGreaterThan(0);
  expect(some).toBeLessThan(0.6 * all);
  expect(lifted({ racksM2: 0.3, racksTaken: [{ until: addDays(today, 20), m2: 0.3 }] })).toBe(0);
  const late = planned(garden([garlic], { racksM2: 10, racksTaken: [{ until: addDays(today, 4), m2: 10 }] }));
  for (const pick of late.of("garlic")) expect(pick.day).toBeGreaterThanOrEqual(4);
  expect(late.of("garlic").length).toBeGreaterThan(0);
});

test("where two want the same minutes, what matters more has them", () => {
  const minutes = (matters: "little" | "much") => {
    const other = matters === "much" ? "little" : "much";
    const { of } = planned(garden([{ ...beans, wishes: { matters, eatsGrams: null, pickOn: [] } }, { ...berries, wishes: { matters: other, eatsGrams: null, pickOn: [] } }], {}, 20)); // prettier-ignore
    return of("beans").reduce((sum, p) => sum + p.minutes, 0);
  };
  expect(minutes("much")).toBeGreaterThan(minutes("little"));
});

test("as much as is eaten, the rest on the plant; what would stop it bearing comes off all the same", () => {
  const eats = { matters: "usual" as const, eatsGrams: 300, pickOn: [] };
  const grams = (p: Told) => {
    const { outlook, of } = planned(garden([p]));
    return of(p.id).reduce((sum, pick) => sum + pick.pieces, 0) * outlook.plantings[0]!.crop.pieceGrams.value;
  };
  const chard: Told = { id: "chard", cropId: "chard", plants: 20 };
  const [all, eaten] = [grams(chard), grams({ ...chard, wishes: { ...eats, eatsGrams: 150 } })];
  expect(eaten).toBeLessThan(0.5 * all);
  // Two weeks of it, and what is due from before.
  expect(eaten).toBeLessThan(500);
  expect(grams({ ...courgettes, wishes: eats })).toBeGreaterThan(0.7 * grams(courgettes));
  expect(0.7 * grams(courgettes)).toBeGreaterThan(600);
});

test("a day asked for is in the plan, or the limit that blocks it is named and the rest is planned", () => {
  const on = (pickOn: string[], limits: Partial<HouseholdLimits> = {}, minutes = 90) => {
    const wishes = { matters: "usual" as const, eatsGrams: null, pickOn };
    return planned(garden([{ ...beans, wishes }, courgettes], limits, minutes));
  };
  const sunday = addDays(today, 6);
  const kept = on([sunday]);
  expect(kept.outlook.wanted).toEqual([{ plantingId: "beans", day: 6, slot: null, blockedBy: null }]);
  expect(kept.of("beans").map((p) => p.day)).toContain(6);
  expect(on([addDays(today, 40), addDays(today, -1)]).outlook.wanted).toEqual([]);
  const week = [addDays(today, 1), addDays(today, 3), addDays(today, 5)];
  const two = on(week, { roundsAWeek: 2 });
  expect(two.outlook.wanted.map((w) => w.blockedBy)).toEqual([null, null, "rounds"]);
  expect(two.rounds.filter((t) => t < 7)).toEqual([1, 3]);
  expect(on([sunday], {}, 0).outlook.wanted[0]!.blockedBy).toBe("no hands");
  const came = planned(garden([{ ...beans, picks: [{ pickedOn: today, pieces: 40, tookAll: true }], wishes: { matters: "usual", eatsGrams: null, pickOn: [today] } }])); // prettier-ignore
  expect(came.outlook.wanted).toEqual([]);
  const young = planned(garden([{ ...beans, startedOn: addDays(today, -20), looks: [], wishes: { matters: "usual", eatsGrams: null, pickOn: [sunday] } }])); // prettier-ignore
  expect(young.outlook.wanted[0]!.blockedBy).toBe("not ready");
  const treated = planned(garden([{ ...beans, treatments: [{ product: "soft soap", treatedOn: today, intervalDays: 9 }], wishes: { matters: "usual", eatsGrams: null, pickOn: [sunday] } }])); // prettier-ignore
  expect(treated.outlook.wanted[0]!.blockedBy).toBe("treated");
});

test("whatever is wished, there is a plan, and it keeps every wish that is not named as broken", () => {
  const day = fc.integer({ min: 0, max: 13 }).map((n) => addDays(today, n));
  const wishes = fc.record({
    matters: fc.constantFrom("little" as const, "usual" as const, "much" as const),
    eatsGrams: fc.option(fc.integer({ min: 100, max: 3000 })),
    pickOn: fc.uniqueArray(day, { maxLength: 4 }),
  });
  const limits = fc.record({
    roundsAWeek: fc.option(fc.integer({ min: 1, max: 4 })),
    kitchenKg: fc.option(fc.integer({ min: 1, max: 20 }).map((n) => n / 4)),
    racksM2: fc.option(fc.constantFrom(0.1, 0.5, 2)),
  });
  fc.assert(
    fc.property(wishes, wishes, limits, fc.integer({ min: 0, max: 40 }), (a, b, c, minutes) => {
      const { outlook, of } = planned(
        garden(
          [
            { ...beans, wishes: a },
            { ...courgettes, wishes: b },
          ],
          c,
          minutes,
        ),
      );
      for (const w of outlook.wanted) if (!w.blockedBy) expect(of(w.plantingId).map((p) => p.day)).toContain(w.day);
    }),
    { numRuns: 60, seed: 9 },
  );
}, 120_000);
