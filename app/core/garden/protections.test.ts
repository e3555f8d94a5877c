import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { checkPlan, solvePlan } from "../planner";
import { GardenState, hazardsAhead, lookAhead, payingActs, type PlantingState } from ".";

const today = "2026-09-14";
const quick = { seed: 1, relaxIterations: 30, boundSplits: 0, repairIterations: 300, cycles: 1 };

/** Two weeks with one cold night after the third day. */
function garden(
  lowC: number,
  plantings: (Partial<PlantingState> & { id: string; cropId: string })[],
  more: Partial<GardenState> = {},
) {
  // prettier-ignore
  return GardenState.parse({
    today,
    latitude: 52,
    longitude: 0,
    beds: [{ id: "bed", name: "Long bed", kind: "raised", position: 0 }],
    plantings: plantings.map((p) => ({ bedId: "bed", variety: "", startEvent: "sown", startedOn: "2026-05-20", packet: null, looks: [], picks: [3, 6, 9].map((n) => ({ pickedOn: addDays(today, -n), pieces: 12, tookAll: true })), schoolOption: null, ...p })), // prettier-ignore
    observed: [],
    forecast: Array.from({ length: 10 }, (_, n) => ({ day: addDays(today, n), minC: n === 3 ? lowC : 10, maxC: n === 3 ? 13 : 20, rainMm: 0, windKmh: 8 })), // prettier-ignore
    minutesByWeekday: Array.from({ length: 7 }, () => 60),
    trips: [],
    ...more,
  });
}

const courgettes = { id: "courgettes", cropId: "courgette", plants: 6 };

function covers(state: GardenState) {
  const outlook = lookAhead(state, catalogue());
  const plan = solvePlan(outlook.problem, quick);
  const protections = outlook.plantings.flatMap((p) => p.protections ?? []);
  return { outlook, plan, protections, paying: payingActs({ problem: outlook.problem, plan, protections }, quick) };
}

test("a frost by a hair over courgettes that go on bearing: covering them pays, and the plan with it is allowed", () => {
  const { outlook, plan, protections, paying } = covers(garden(0, [courgettes]));
  expect(paying).toMatchObject([{ bedId: "bed", plantingIds: ["courgettes"] }]);
  expect(paying[0]!.days).toEqual([addDays(today, 2)]);
  expect(paying[0]!.minutes).toBeGreaterThan(0);
  expect(paying[0]!.gain).toBeGreaterThan(0.15);
  const problem = { ...outlook.problem, tasks: outlook.problem.tasks.map((t) => ({ ...t, ways: protections.filter((x) => x.taskId === t.id).map((x) => x.way) })) }; // prettier-ignore
  const again = solvePlan(problem, quick, plan);
  const check = checkPlan(problem, again.picks, again.ways);
  expect(check).toMatchObject({ status: "allowed" });
  expect(again.ways).toEqual({ courgettes: "covered" });
  expect(again.worth).toBeGreaterThan(plan.worth);
});

test("no cover is asked for where it would do nothing: a warm night, hardy kale, a bed that is covered, nobody there", () => {
  expect(covers(garden(9, [courgettes])).paying).toEqual([]);
  expect(covers(garden(0, [{ id: "kale", cropId: "kale_leaf", plants: 10 }])).paying).toEqual([]);
  const evening = addDays(today, 2);
  const covered = covers(garden(0, [courgettes], { covers: [{ bedId: "bed", evening, cover: "double fleece" }] }));
  const bare = covers(garden(0, [courgettes]));
  expect(covered.paying.reduce((sum, c) => sum + c.gain, 0)).toBeLessThan(bare.paying[0]!.gain / 2);
  const away = { name: "coast", from: addDays(today, 1), to: addDays(today, 3), leaveAt: null, backAt: null };
  expect(covers(garden(0, [courgettes], { trips: [away] })).paying).toEqual([]);
});

test("the plan itself reckons with no cover that nobody has laid: noting it is what changes it", () => {
  const { plan } = covers(garden(0, [courgettes]));
  expect(plan.ways).toEqual({});
  const laid = covers(garden(0, [courgettes], { covers: [{ bedId: "bed", evening: addDays(today, 2), cover: "fleece" }] })); // prettier-ignore
  expect(laid.plan.worth).toBeGreaterThan(plan.worth);
});

test("pots come in for the night rather than under fleece: a hard frost does them nothing then", () => {
  const pots = { beds: [{ id: "bed", name: "Shed pots", kind: "container" as const, position: 0 }] };
  const { outlook, plan, protections, paying } = covers(garden(-3, [courgettes], pots));
  expect(paying).toMatchObject([{ bedId: "bed", plantingIds: ["courgettes"], days: [addDays(today, 2)] }]);
  const under = protections[0]!.way;
  const after = outlook.problem.days.indexOf(addDays(today, 4));
  expect(under.worth[0]![after]!).toBeGreaterThan(2 * outlook.problem.tasks[0]!.worth[0]![after]!);
  const noted = covers(garden(-3, [courgettes], { ...pots, covers: [{ bedId: "bed", evening: addDays(today, 2), cover: "indoors" }] })); // prettier-ignore
  expect(noted.paying).toEqual([]);
  expect(noted.plan.worth).toBeGreaterThan(plan.worth + 0.5 * paying[0]!.gain);
  const acts = (state: GardenState) => {
    const ahead = lookAhead(state, catalogue());
    return hazardsAhead(ahead, {}).flatMap((h) => h.acts.filter((a) => a.act === "cover" || a.act === "bring in"));
  };
  expect(acts(garden(-3, [courgettes], pots))).toMatchObject([
    { act: "cover", cover: "indoors", bedId: "bed", covered: false },
  ]);
  expect(acts(garden(-3, [courgettes]))).toMatchObject([{ act: "cover", cover: "fleece" }]);
});

const tomatoes = { id: "tomatoes", cropId: "tomato_large", plants: 8, startEvent: "planted" as const };

test("before a frost that kills them, tomatoes are stripped of their green ones, which no cover would save", () => {
  const { outlook, plan, protections, paying } = covers(garden(-4, [tomatoes]));
  const strip = protections.find((x) => x.way.id === "stripped")!;
  expect(strip.doneOn).toEqual([2]);
  expect(paying).toMatchObject([{ way: "stripped", bedId: "bed", days: [addDays(today, 2)], plantingIds: ["tomatoes"] }]); // prettier-ignore
  expect(paying[0]!.minutes).toBeGreaterThan(1);
  const problem = { ...outlook.problem, tasks: outlook.problem.tasks.map((t) => (t.id === strip.taskId ? { ...t, ways: [strip.way] } : t)) }; // prettier-ignore
  const again = solvePlan(problem, quick, plan);
  expect(again.ways).toEqual({ tomatoes: "stripped" });
  expect(again.picks.tomatoes!.at(-1)).toBe(2);
  expect(checkPlan(problem, again.picks, again.ways).status).toBe("allowed");
});

test("nothing is stripped on a warm night, of what does not ripen indoors, or when there is hardly a green one", () => {
  const stripped = (state: GardenState) => covers(state).protections.filter((x) => x.way.id === "stripped");
  expect(stripped(garden(9, [tomatoes]))).toEqual([]);
  expect(stripped(garden(-4, [courgettes]))).toEqual([]);
  expect(stripped(garden(-4, [{ ...tomatoes, picks: [], startedOn: "2026-08-28" }]))).toEqual([]);
});

const hailed = (state: GardenState) => ({ ...state, forecast: state.forecast.map((day, n) => (n === 4 ? { ...day, hailOdds: 0.9, minC: 10, maxC: 20 } : { ...day, minC: 10, maxC: 20 })) }); // prettier-ignore
/** Picked three days ago, and due again after the hail. */
const lettuce = { id: "lettuce", cropId: "lettuce_cca", plants: 120, picks: [3, 6, 9].map((n) => ({ pickedOn: addDays(today, -n), pieces: 100, tookAll: true })) }; // prettier-ignore
const few = { minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: 0, midday: 0, evening: 30 })) };

test("hail over leaves: a net that is put up once pays, and noted it saves what it promised", () => {
  const bare = covers(hailed(garden(10, [lettuce], few)));
  const net = bare.protections.find((x) => x.way.id === "netted")!;
  expect(net.way.acts.map((act) => act.day)).toEqual([4]);
  expect(bare.paying).toMatchObject([{ way: "netted", days: [addDays(today, 4)], plantingIds: ["lettuce"] }]);
  const noted = covers(hailed(garden(10, [lettuce], { ...few, covers: [{ bedId: "bed", evening: addDays(today, 4), cover: "net" }] }))); // prettier-ignore
  expect(noted.plan.worth).toBeGreaterThan(bare.plan.worth + 0.5 * bare.paying[0]!.gain);
  expect(noted.paying).toEqual([]);
  const acts = (outlook: typeof bare.outlook) => hazardsAhead(outlook, {}).flatMap((h) => h.acts.filter((a) => a.act === "cover")); // prettier-ignore
  expect(acts(bare.outlook)).toMatchObject([{ cover: "net", bedId: "bed", evening: addDays(today, 4), covered: false }]); // prettier-ignore
  expect(acts(noted.outlook)).toMatchObject([{ cover: "net", covered: true }]);
});

test("shade over heads that heat would open is put up once for the whole spell", () => {
  const heads = { id: "broccoli", cropId: "broccoli_head", plants: 20, startEvent: "planted" as const, startedOn: "2026-07-12", picks: [], looks: [] }; // prettier-ignore
  const state = garden(10, [heads]);
  const hot = { ...state, forecast: state.forecast.map((day, n) => ({ ...day, minC: 14, maxC: n >= 2 && n <= 5 ? 36 : 20 })) }; // prettier-ignore
  const { protections, outlook } = covers(hot);
  const [shade] = protections.filter((x) => x.way.id === "shaded");
  const act = hazardsAhead(outlook, {}).flatMap((h) => h.acts).find((a) => a.act === "cover" && a.cover === "shade"); // prettier-ignore
  if (!shade) throw new Error(JSON.stringify(outlook.plantings[0]!.survival.threats));
  expect(shade.way.acts).toHaveLength(1);
  expect(act).toMatchObject({ bedId: "bed", evening: addDays(today, 2), nights: 4 });
});
