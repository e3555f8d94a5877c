import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { walkOf, type Errand } from "../rounds";
import { lookAhead, planDays, type GardenState } from ".";

const today = "2026-09-19";
const crop = (id: string) => catalogue().find((c) => c.id === id)!;

function garden(change: Partial<GardenState> = {}): GardenState {
  const planting = {
    variety: "",
    plants: 20,
    startEvent: "sown" as const,
    packet: null,
    looks: [],
    picks: [],
    schoolOption: null,
    counts: [],
    forSeed: false,
    bedNeededOn: null,
    treatments: [],
    seasonId: "",
    startStanding: "told" as const,
    startDoubtDays: 0,
    seasonCrop: "main" as const,
    growingYear: null,
    lengthM: null,
    leavesWet: false,
  };
  return {
    today,
    usual: null,
    latitude: 52,
    longitude: 0,
    beds: [
      { id: "open", name: "Open bed", kind: "open", position: 0 },
      { id: "low", name: "Low bed", kind: "low", position: 1 },
    ],
    plantings: [
      {
        ...planting,
        id: "bean",
        bedId: "low",
        cropId: "bean_bush",
        startedOn: "2026-07-10",
        looks: [{ cueId: "pod_thickness", readingId: "6_9", takenOn: today }],
      },
      { ...planting, id: "kale", bedId: "open", cropId: "kale_leaf", startEvent: "planted", startedOn: "2026-07-01" },
      { ...planting, id: "beet", bedId: "open", cropId: "beetroot", startedOn: "2026-07-01" },
    ],
    observed: [],
    forecast: Array.from({ length: 10 }, (_, n) => ({
      day: addDays(today, n),
      minC: n === 5 ? -3 : 9,
      maxC: 18,
      rainMm: 0,
      windKmh: 12,
    })),
    actMarks: [],
    minutesByWeekday: [20, 20, 40, 20, 20, 60, 60].map((evening) => ({ morning: 0, midday: 0, evening })),
    timeZone: "UTC",
    hours: [],
    forecastError: null,
    covers: [],
    exceptions: [],
    busy: [],
    helpers: [],
    trips: [],
    varieties: [],
    schools: [],
    firstPicks: [],
    seasonYields: [],
    now: null,
    ...change,
  };
}
const plan = (state: GardenState) => {
  const outlook = lookAhead(state, catalogue());
  return { outlook, plan: planDays(outlook) };
};

test("tender beans are planned before the killing night, never after it; kale need not be", () => {
  const { plan: made } = plan(garden());
  expect(made.picks.bean!.length).toBeGreaterThan(0);
  expect(made.picks.bean!.every((t) => t <= 4)).toBe(true);
});

test("away days have no hands and no picks", () => {
  const { outlook, plan: made } = plan(
    garden({ trips: [{ name: "away", from: addDays(today, 1), to: addDays(today, 6) }] }),
  );
  expect(outlook.minutesFree.slice(0, 8)).toEqual(
    [60, 0, 0, 0, 0, 0, 0, 60].map((m, n) => (n === 7 ? outlook.minutesFree[7]! : m)),
  );
  for (const days of Object.values(made.picks)) expect(days.some((t) => t >= 1 && t <= 6)).toBe(false);
  expect(made.picks.bean).toContain(0);
});

test("ridges lie between 0 and 1 and fall at the frost for what it kills", () => {
  const { outlook } = plan(garden());
  for (const p of outlook.plantings) for (const w of p.ridge) expect(w >= 0 && w <= 1 + 1e-9).toBe(true);
  const bean = outlook.plantings[0]!;
  expect(bean.ridge[5]!).toBeLessThan(0.4 * bean.ridge[4]!);
});

test("taking some of a one-off crop leaves less to take", () => {
  const pieces = (picks: GardenState["plantings"][number]["picks"]) =>
    lookAhead(
      garden({ plantings: garden().plantings.map((p) => (p.id === "beet" ? { ...p, picks } : p)) }),
      catalogue(),
    ).plantings[2]!.pieces[0]!;
  expect(pieces([])).toBeCloseTo(20, 9);
  expect(pieces([{ pickedOn: today, pieces: 5, tookAll: false }])).toBeCloseTo(15, 9);
});

test("an empty garden looks ahead to nothing, without a fuss", () => {
  const { outlook, plan: made } = plan(garden({ plantings: [], forecast: [] }));
  expect(outlook.plantings).toEqual([]);
  expect(made.picks).toEqual({});
});

test("unknown crops and beds are the caller's mistake", () => {
  const [bean] = garden().plantings;
  expect(() => lookAhead(garden({ plantings: [{ ...bean!, cropId: "tulip" }] }), catalogue())).toThrow(
    /no crop “tulip”/,
  );
  expect(() => lookAhead(garden({ plantings: [{ ...bean!, bedId: "cellar" }] }), catalogue())).toThrow(
    /no bed “cellar”/,
  );
});

test("the walk goes along the footpath; with wet leaves what spreads disease comes last", () => {
  const errand = (id: string, cropId: string, bedPosition: number): Errand => ({
    plantingId: id, crop: crop(cropId), variety: "", bedId: `b${bedPosition}`, bedName: `Bed ${bedPosition}`, bedPosition, doing: "pick", minutes: 5, pieces: 10, grams: 1000,
  }); // prettier-ignore
  const errands = [
    errand("carrot", "carrot", 2),
    errand("bean", "bean_bush", 0),
    errand("kale", "kale_leaf", 1),
    errand("tomato", "tomato_large", 2),
  ];
  const terms = (leavesAreWet: boolean) => ({ leavesAreWet, isWarm: false, roundMinutes: 6, bedMinutes: 1.5 });
  const order = (wet: boolean) => walkOf(errands, terms(wet)).stops.flatMap((s) => s.errands.map((e) => e.plantingId));
  expect(order(false)).toEqual(["bean", "kale", "tomato", "carrot"]);
  expect(order(true)).toEqual(["kale", "carrot", "bean", "tomato"]);
  const walk = walkOf(errands, terms(true));
  expect(walk.splitForWetLeaves).toBe(true);
  expect(walk.minutes).toBe(4 * 5 + walk.stops.length * 1.5 + 6);
  expect(walk.kit).toEqual(expect.arrayContaining(["digging fork", "snips", "labels and a fade-proof pen"]));
  expect(walkOf([], terms(false))).toMatchObject({ minutes: 0, kit: [] });
});
