import fc from "fast-check";
import { expect, test } from "vitest";
import type { z } from "zod";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { checkPlan } from "../planner";
import { GardenState, lookAhead, pickInRound, planDays, plantingOfTask, protectionsIn, PlantingState } from ".";

/** A Tuesday in a dry summer. */
const today = "2026-07-14";
const DAYS = 4;

type Told = Partial<z.input<typeof PlantingState>> & { id: string; cropId: string };
type HourAt = (day: number, hour: number) => object;

const ready = (cropId: string) => {
  const cue = catalogue().find((c) => c.id === cropId)!.cues.find((c) => !c.auto && c.weight !== "weak" && c.readings.some((r) => r.means === "ready"))!; // prettier-ignore
  return [{ cueId: cue.id, readingId: cue.readings.find((r) => r.means === "ready")!.id, takenOn: today }];
};

/** Rain from 5 to 10 o’clock, dry and windy from then on, unless told otherwise. */
const wetMorning: HourAt = (_, hour) => ({ rainMm: hour >= 5 && hour < 10 ? 1 : 0, windKmh: hour > 9 ? 25 : 5 });

function garden(plantings: Told[], slots: [number, number, number], change: object = {}, hour: HourAt = wetMorning) {
  const hours = Array.from({ length: DAYS * 24 }, (_, n) => ({
    at: new Date(Date.parse(`${today}T00:00:00Z`) + n * 3_600_000).toISOString(),
    airC: 14 + 8 * Math.sin(Math.PI * Math.max(0, ((n % 24) - 5) / 16)),
    dewPointC: 8,
    ...hour(Math.floor(n / 24), n % 24),
  }));
  return GardenState.parse({
    today,
    latitude: 52,
    longitude: 0,
    timeZone: "UTC",
    beds: [{ id: "bed", name: "bed", kind: "open", position: 0 }],
    plantings: plantings.map((p) => ({ bedId: "bed", variety: "", plants: 20, startEvent: "sown", startedOn: "2026-05-15", packet: null, looks: ready(p.cropId), picks: [], schoolOption: null, ...p })), // prettier-ignore
    observed: [],
    forecast: Array.from({ length: DAYS }, (_, n) => ({ day: addDays(today, n), minC: 12, maxC: 22, rainMm: 3, windKmh: 25, dewPointC: 8 })), // prettier-ignore
    hours,
    minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: slots[0], midday: slots[1], evening: slots[2] })),
    trips: [],
    ...change,
  });
}

function planned(state: GardenState) {
  const outlook = lookAhead(state, catalogue());
  const plan = planDays(outlook);
  const check = checkPlan(outlook.problem, plan.rounds, plan.ways);
  expect(check.status === "allowed" ? [] : check.reasons).toEqual([]);
  const slotsOf = (id: string, day: number) => {
    const p = outlook.plantings.find((x) => x.planting.id === id)!;
    return outlook.rounds.flatMap((r, t) => (r.day === day && pickInRound(p, plan, t) ? [r.slot] : []));
  };
  return { outlook, plan, slotsOf };
}

const beans: Told = { id: "beans", cropId: "bean_bush", plants: 40 };
const lettuce: Told = { id: "lettuce", cropId: "lettuce_cca", plants: 12, startedOn: "2026-06-01" };
const courgettes: Told = { id: "courgettes", cropId: "courgette", plants: 4, startedOn: "2026-05-20" };

test("each part of the day with hands is a round of its own: two of half an hour are not one of an hour", () => {
  const { outlook } = planned(garden([beans], [30, 0, 30]));
  expect(outlook.rounds.slice(0, 4).map((r) => [r.day, r.slot, r.minutes])).toEqual([[0, "morning", 30], [0, "evening", 30], [1, "morning", 30], [1, "evening", 30]]); // prettier-ignore
  expect(outlook.minutesFree[0]).toBe(60);
  expect(outlook.problem.minutesFree.slice(0, 2)).toEqual([30, 30]);
  // A part too short to set out in is none; a day without hands still stands in the row.
  const short = planned(garden([beans], [5, 0, 30], { exceptions: [{ day: addDays(today, 1), slot: "evening", minutes: 0 }] })); // prettier-ignore
  expect(short.outlook.rounds.slice(0, 3).map((r) => [r.day, r.slot, r.minutes])).toEqual([[0, "evening", 30], [1, null, 5], [2, "evening", 30]]); // prettier-ignore
});

test("beans wait for dry leaves within the day: the evening round takes them, the morning's does not", () => {
  const away = { trips: [{ name: "away", from: addDays(today, 2), to: addDays(today, 15) }] };
  const { outlook, slotsOf } = planned(garden([beans, lettuce], [40, 0, 40], away));
  const p = outlook.plantings[0]!;
  expect(p.wetSlots[0]).toEqual(["morning"]);
  expect(p.bans[0]).toBeNull();
  expect(outlook.plantings[1]!.wetSlots[0]).toEqual([]);
  expect([0, 1].flatMap((day) => slotsOf("beans", day))).toEqual(["evening"]);
  // Dry minutes too few to set out in are no other part of the day: it is the day that is wet.
  const brief = planned(garden([beans], [40, 0, 5], away)).outlook.plantings[0]!;
  expect([brief.bans[0], brief.wetSlots[0]]).toEqual(["wet leaves", []]);
  // With dry mornings nothing holds them back.
  const dry = planned(garden([beans], [40, 0, 40], {}, () => ({ rainMm: 0, windKmh: 25, dewPointC: 0 })));
  expect(dry.outlook.plantings[0]!.wetSlots[0]).toEqual([]);
});

test("leaves are picked in the cooler part of the day, roots in either", () => {
  const warmEvening: HourAt = (_, hour) => ({ rainMm: 0, windKmh: 25, dewPointC: 0, airC: hour < 10 ? 14 : 29 });
  const { outlook } = planned(garden([lettuce, { id: "beet", cropId: "beetroot" }], [40, 0, 40], {}, warmEvening));
  const worth = (id: string) => outlook.problem.tasks.find((t) => plantingOfTask(t.id) === id)!.worth[0]!;
  expect(worth("lettuce")[1]!).toBeLessThan(worth("lettuce")[0]!);
  expect(worth("beet")[1]).toBe(worth("beet")[0]);
});

test("heat, thunder that is told for its hours and the dark shut their part of the day, no other", () => {
  const terms = (state: GardenState) => lookAhead(state, catalogue()).terms[0]!;
  const slots = (state: GardenState) => terms(state).rounds.map((r) => r.slot);
  const hot = garden([beans], [30, 30, 30], {}, (_, hour) => ({ rainMm: 0, airC: hour > 9 && hour < 16 ? 41 : 20, dewPointC: 20 })); // prettier-ignore
  expect(slots(hot)).toEqual(["morning", "evening"]);
  const thunder = garden([beans], [30, 30, 30], {}, (_, hour) => ({ rainMm: 0, thunderOdds: hour > 15 ? 0.5 : 0.05 }));
  expect(slots(thunder)).toEqual(["morning", "midday"]);
  // Thunder for the day as a whole tells nothing of its hours: it warns, and shuts nothing.
  const allDay = garden([beans], [30, 30, 30], {}, () => ({ rainMm: 0, thunderOdds: 0.5 }));
  expect(slots(allDay)).toEqual(["morning", "midday", "evening"]);
  // At 52° N, 0° E on 1 December civil dawn is about 7:05, dusk about 16:30 (from memory of almanac tables).
  const dark = garden([beans], [200, 30, 60], { today: "2026-12-01", forecast: [], hours: [] });
  const [morning, midday, evening] = terms(dark).rounds;
  expect([morning!.slot, midday!.slot, evening!.slot]).toEqual(["morning", "midday", "evening"]);
  expect(morning!.minutes).toBeGreaterThan(160);
  expect(morning!.minutes).toBeLessThan(185);
  expect(evening!.minutes).toBeGreaterThan(20);
  expect(evening!.minutes).toBeLessThan(40);
});

test("a day that is asked for is kept in whichever of its rounds it fits", () => {
  const wish = { matters: "usual" as const, eatsGrams: null, pickOn: [addDays(today, 1)] };
  const { outlook, plan } = planned(garden([{ ...beans, wishes: wish }], [40, 0, 40]));
  expect(outlook.wanted).toEqual([{ plantingId: "beans", day: 1, slot: null, blockedBy: null }]);
  expect(plan.picks.beans).toContain(1);
  const busy = planned(garden([{ ...beans, wishes: wish }], [40, 0, 40], { exceptions: ["morning", "midday", "evening"].map((slot) => ({ day: addDays(today, 1), slot, minutes: 0 })) })); // prettier-ignore
  expect(busy.outlook.wanted).toEqual([{ plantingId: "beans", day: 1, slot: null, blockedBy: "no hands" }]);
});

test("a part of a day that is asked for is kept; one without hands, or shut by wet leaves, is told", () => {
  const tomorrow = addDays(today, 1);
  const asked = (slot: "morning" | "midday" | "evening", of: Told = courgettes) => {
    const wishes = { pickOn: [{ day: tomorrow, slot }], notOn: [today] };
    return planned(garden([{ ...of, wishes }], [40, 0, 40]));
  };
  for (const slot of ["morning", "evening"] as const) {
    const { outlook, plan } = asked(slot);
    expect(outlook.wanted).toEqual([{ plantingId: courgettes.id, day: 1, slot, blockedBy: null }]);
    const rounds = plan.rounds[courgettes.id]!.map((t) => outlook.rounds[t]!);
    expect(rounds.filter((r) => r.day === 1).map((r) => r.slot)).toEqual([slot]);
    expect(rounds.some((r) => r.day === 0)).toBe(false);
  }
  expect(asked("midday").outlook.wanted[0]!.blockedBy).toBe("no hands");
  expect(asked("morning", beans).outlook.wanted[0]!.blockedBy).toBe("not ready");
});

test("what is covered for the night is covered in the last round of its day", () => {
  const cold = garden([{ ...beans, startedOn: "2026-07-20" }], [40, 0, 40], {
    today: "2026-09-20",
    hours: [],
    forecast: Array.from({ length: 8 }, (_, n) => ({ day: addDays("2026-09-20", n), minC: n === 3 ? -1 : 10, maxC: 18, rainMm: 0, windKmh: 5 })), // prettier-ignore
  });
  const { outlook } = planned(cold);
  const [covered] = protectionsIn(outlook.rounds, outlook.plantings);
  const [act] = covered!.way.acts;
  expect(outlook.rounds[act!.day]).toMatchObject({ day: 2, slot: "evening" });
});

test("whatever the hands and the sky: each round within its minutes, no planting twice a day, none in a part that is shut to it", () => {
  const cropIds = ["bean_bush", "courgette", "lettuce_cca", "tomato_cherry", "beetroot", "pea_shelling", "chard", "raspberry_summer"]; // prettier-ignore

  fc.assert(
    fc.property(
      fc.tuple(fc.nat({ max: 60 }), fc.nat({ max: 60 }), fc.nat({ max: 60 })),
      fc.array(fc.constantFrom(...cropIds), { minLength: 1, maxLength: 6 }),
      fc.array(fc.nat({ max: 23 }), { minLength: DAYS, maxLength: DAYS }),
      (slots, ids, rainAt) => {
        const told = ids.map((cropId, n): Told => ({ id: `p${n}`, cropId, plants: 1 + 7 * n }));
        const { outlook, plan } = planned(garden(told, slots, {}, (day, hour) => ({ rainMm: hour === rainAt[day] ? 4 : 0, windKmh: 12 }))); // prettier-ignore
        for (const [taskId, rounds] of Object.entries(plan.rounds)) {
          expect(rounds.map((t) => outlook.rounds[t]!.day)).toEqual(plan.picks[taskId]);
          expect(new Set(plan.picks[taskId]).size).toBe(rounds.length);
          const p = outlook.plantings.find((x) => x.planting.id === plantingOfTask(taskId))!;
          for (const t of rounds) expect(p.wetSlots[outlook.rounds[t]!.day]).not.toContain(outlook.rounds[t]!.slot);
        }
      },
    ),
    { numRuns: 40, seed: 13 },
  );
}, 120_000);
