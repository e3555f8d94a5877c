import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import { GardenState, hazardsAhead, lookAhead, planDays } from "~/core/garden";
import type { DailyWeather } from "~/core/weather";
import { verdictSentence } from "./verdict";
import { inBed } from "../words";
import { hazardCard } from "./hazard";

const today = "2026-09-19";
const planting = (id: string, cropId: string, bedId: string, startedOn: string, looks: object[] = []) => ({ id, cropId, bedId, variety: "", plants: 12, startEvent: catalogue().find((c) => c.id === cropId)!.packet.from, startedOn, packet: null, looks, picks: [], schoolOption: null }); // prettier-ignore

/** Beans, tomatoes, broccoli, peach and carrots in four beds, parsed as the JSON edge would. */
function garden(weather: (n: number) => Partial<DailyWeather> = () => ({}), change: object = {}): GardenState {
  return GardenState.parse({
    today,
    latitude: 52,
    longitude: 0,
    timeZone: "Europe/London",
    beds: [
      { id: "low", name: "Low bed", kind: "low", position: 0 },
      { id: "wall", name: "Warm wall", kind: "wall", position: 1 },
      { id: "four", name: "Bed 4", kind: "open", position: 2 },
      { id: "tunnel", name: "Tunnel", kind: "tunnel", position: 3 },
    ],
    plantings: [
      planting("bean", "bean_bush", "low", "2026-07-10", [
        { cueId: "pod_thickness", readingId: "6_9", takenOn: today },
      ]),
      planting("tomato", "tomato_large", "wall", "2026-06-05", [
        { cueId: "colour_stage", readingId: "turning", takenOn: today },
      ]),
      planting("broccoli", "broccoli_head", "four", "2026-07-05"),
      planting("carrot", "carrot", "four", "2026-06-10"),
      planting("basil", "basil", "tunnel", "2026-06-10"),
    ],
    observed: [],
    forecast: Array.from({ length: 10 }, (_, n) => ({ day: addDays(today, n), minC: 11, maxC: 19, rainMm: 0, windKmh: 35, dewPointC: 4, issuedOn: today, ...weather(n) })), // prettier-ignore
    minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: 30, midday: 30, evening: 30 })),
    trips: [],
    ...change,
  });
}

function cardsOf(state: GardenState) {
  const outlook = lookAhead(state, catalogue());
  const plan = planDays(outlook);
  const hazards = hazardsAhead(outlook, plan.picks);
  return { outlook, plan, hazards, cards: hazards.map((h) => hazardCard(h, { outlook, units: "metric" })) };
}

test("fair weather has nothing to reckon with", () => expect(cardsOf(garden()).cards).toEqual([]));

test("a frost: its night, its odds by bed, what it threatens, what the plan brings in, what covering does", () => {
  const { cards, hazards } = cardsOf(garden((n) => (n === 5 ? { minC: 0.5, windKmh: 8 } : {})));
  const [frost] = cards;
  const beds = hazards[0]!.beds;
  expect(frost).toMatchObject({ kind: "frost", from: addDays(today, 4), lead: "Frost likely Wednesday night" });
  expect(frost!.where).toMatch(/^\d in 10 in the low bed, (\d|under 1) in 10 in the tunnel$/);
  const odds = Object.fromEntries(beds.map((b) => [b.bedId, b.odds]));
  expect(odds.low! > odds.four! && odds.four! > odds.wall! && odds.wall! > odds.tunnel!).toBe(true);
  expect(frost!.touched.map((t) => t.plantingId)).toContain("bean");
  expect(frost!.touched.map((t) => t.plantingId)).not.toContain("carrot");
  expect(frost!.stake.join(" ")).toMatch(/Unpicked it would take about .*French bean/);
  const cover = frost!.acts.find((a) => a.cover?.bedId === "low")!;
  expect(cover.words).toMatch(/^Fleece in the low bed \(about 2 °C\): \d in 10 becomes/);
  expect(frost!.acts.some((a) => a.cover?.bedId === "tunnel")).toBe(false);
  expect(frost!.caution).toMatch(/water-soaked/);
});

test("a bed that is covered has better odds, says so, and saves the crop in the plan's eyes", () => {
  const frosty = (n: number) => (n === 5 ? { minC: 0.5, windKmh: 8 } : {});
  const bare = cardsOf(garden(frosty));
  const covered = cardsOf(garden(frosty, { covers: [{ bedId: "low", evening: addDays(today, 4), cover: "blanket" }] }));
  const low = (of: typeof bare) =>
    of.hazards.find((c) => c.kind === "frost")!.beds.find((b) => b.bedId === "low")!.odds;
  expect(low(covered)).toBeLessThan(0.2 * low(bare));
  const bean = (of: typeof bare) => of.outlook.plantings.find((p) => p.planting.id === "bean")!;
  expect(bean(covered).survival.sound[6]!).toBeGreaterThan(bean(bare).survival.sound[6]! + 0.3);
  expect(
    covered.cards.find((c) => c.kind === "frost")?.acts.find((a) => a.cover?.bedId === "low")?.cover?.covered ?? true,
  ).toBe(true);
});

test("freezes are named by the usual classes", () => {
  const lead = (minC: number) => cardsOf(garden((n) => (n === 3 ? { minC } : {}))).cards[0]!.lead;
  expect(lead(0.5)).toMatch(/^Frost/);
  expect(lead(-2)).toMatch(/^Hard frost likely/);
  expect(lead(-6)).toMatch(/^Severe frost likely/);
});

test("a storm tells gusts, rain and hail each with odds, and thunder keeps people in", () => {
  const { cards } = cardsOf(
    garden((n) => (n === 2 ? { windKmh: 88, rainMm: 30, hailOdds: 0.4, thunderOdds: 0.6 } : {})),
  );
  const storm = cards.find((c) => c.kind === "storm")!;
  expect(storm.lead).toBe("Storm likely Monday");
  expect(storm.where).toMatch(
    /gusts about 88 km\/h \(over 9 in 10 to pass 60 km\/h\), rain about 30 mm \(over 9 in 10 to pass 15 mm\), hail 4 in 10/,
  );
  expect(storm.acts.map((a) => a.name)).toEqual(expect.arrayContaining(["Tie in", "Net"]));
  expect(cards.find((c) => c.kind === "thunder")).toMatchObject({ lead: "Thunder likely Monday", where: "6 in 10", caution: expect.stringMatching(/30 minutes/) as string }); // prettier-ignore
});

test("heat: heads first, water, and hours that are too hot for people are no minutes", () => {
  const { cards, outlook } = cardsOf(garden((n) => (n >= 2 && n <= 4 ? { maxC: 39, minC: 24, dewPointC: 26 } : {})));
  const heat = cards.find((c) => c.kind === "heat")!;
  expect(heat.lead).toBe("Heat Monday to Wednesday");
  expect(heat.where).toMatch(/^up to 39°, feels like \d\d°$/);
  expect(heat.stake[0]).toMatch(/^Broccoli.* opens its head\.$/);
  expect(heat.caution).toMatch(/no round/);
  expect(heat.acts.map((a) => a.words).join(" ")).toMatch(/in the cool of the morning/);
  expect(outlook.terms[2]!.hotSlots).toContain("midday");
  expect(outlook.minutesFree[2]!).toBeLessThan(90);
  expect(outlook.minutesFree[0]).toBe(90);
});

test("dew keeps hands off beans until it dries; with mornings only there is no pick of them, with evenings there is", () => {
  const dewy = () => ({ windKmh: 6, dewPointC: 11, cloudShare: 0, minC: 11 });
  const hours = (slots: object) =>
    garden(dewy, {
      minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: 0, midday: 0, evening: 0, ...slots })),
    });
  const evening = cardsOf(hours({ evening: 40 }));
  const wet = evening.cards.find((c) => c.kind === "wet leaves");
  expect(wet?.lead).toMatch(/^Leaves wet (today|tomorrow) until about \d\d:00$/);
  expect(evening.outlook.plantings[0]!.bans[0]).toBeNull();
  const morning = cardsOf(hours({ morning: 40 }));
  expect(morning.outlook.plantings[0]!.bans[1]).toBe("wet leaves");
  expect(morning.outlook.plantings.find((p) => p.planting.id === "carrot")!.bans[1]).toBeNull();
  // Wet mornings keep hands off; nobody is away for it.
  for (const p of morning.outlook.plantings)
    expect(p.judgement.verdict.because).not.toMatchObject({ limit: { by: "away" } });
  expect((morning.plan.picks.bean ?? []).filter((t) => morning.outlook.plantings[0]!.bans[t])).toEqual([]);
});

test("rain at an hour that is not told may wet leaves, and is said so; hours that are told are named", () => {
  const lead = (hours: object[]) =>
    cardsOf(garden((n) => (n === 0 ? { rainMm: 4 } : {}), { hours })).cards.find((c) => c.kind === "wet leaves")?.lead;
  expect(lead([])).toBe("Rain about today: leaves may be wet");
  const told = Array.from({ length: 24 }, (_, h) => ({ at: new Date(Date.UTC(2026, 8, 18, 23 + h)).toISOString(), rainMm: h >= 5 && h < 7 ? 2 : 0, windKmh: 20, dewPointC: 4 })); // prettier-ignore
  expect(lead(told)).toMatch(/^Leaves wet today until about (08|09|10|11|12):00$/);
});

test("threats come before what only asks for patience, each soonest first", () => {
  const { cards } = cardsOf(garden((n) => ({ ...(n === 0 ? { rainMm: 4 } : {}), ...(n === 2 ? { windKmh: 95 } : {}), ...(n === 5 ? { minC: -3 } : {}) }))); // prettier-ignore
  expect(cards.map((c) => c.kind)).toEqual(["storm", "frost", "wet leaves"]);
});

test("wet or not, beans that the frost would take are let come in", () => {
  const wetThenFrost = (n: number) => ({ windKmh: 6, dewPointC: 11, cloudShare: 0, minC: n === 1 ? -4 : 11 });
  const { outlook } = cardsOf(garden(wetThenFrost, { minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: 40, midday: 0, evening: 0 })) })); // prettier-ignore
  expect(outlook.terms[0]!.rounds[0]!.dryMinutes).not.toBeNull();
  expect(outlook.plantings[0]!.bans[0]).toBeNull();
});

test("a treated planting is not planned, its verdict says until when, and the rest go on", () => {
  const treated = garden();
  treated.plantings[0]!.treatments = [{ product: "pyrethrum", treatedOn: addDays(today, -1), intervalDays: 7 }];
  const { outlook, plan } = cardsOf(treated);
  const bean = outlook.plantings[0]!;
  expect(bean.judgement.verdict).toMatchObject({ kind: "hold", lookAgain: addDays(today, 6) });
  expect(verdictSentence(bean.judgement.verdict, { crop: bean.crop, today, units: "metric" })).toBe(
    "Do not pick before Friday: treated with pyrethrum yesterday, 7 days by its label.",
  );
  expect(bean.bans.slice(0, 7)).toEqual(["treated", "treated", "treated", "treated", "treated", "treated", null]);
  expect((plan.picks.bean ?? []).every((t) => t >= 6)).toBe(true);
  expect(plan.picks.tomato?.length).toBeGreaterThan(0);
});

test("while away only what the helper may pick is planned, in the helper's minutes", () => {
  const { outlook, plan } = cardsOf(
    garden(undefined, {
      trips: [{ name: "Coast", from: today, to: addDays(today, 12) }],
      helpers: [{ name: "Neighbour", minutes: 30, everyDays: 2, cropIds: ["bean_bush"], skills: [] }],
    }),
  );
  expect(outlook.minutesFree.slice(0, 4)).toEqual([30, 0, 30, 0]);
  expect(plan.picks.bean!.length).toBeGreaterThan(0);
  for (const id of ["tomato", "broccoli", "carrot"]) expect((plan.picks[id] ?? []).filter((t) => t < 13)).toEqual([]);
  expect(outlook.plantings.find((p) => p.planting.id === "tomato")!.bans[0]).toBe("helper");
});

test("frozen ground stops the digging and says so", () => {
  const { cards, outlook } = cardsOf(garden(() => ({ minC: -12, maxC: -5 })));
  const frozen = cards.find((c) => c.kind === "frozen ground")!;
  expect(frozen.lead).toMatch(/^Ground frozen hard likely/);
  expect(frozen.stake.join()).toMatch(/Carrot cannot be dug/);
  expect(outlook.plantings.find((p) => p.planting.id === "carrot")!.bans.at(9)).toBe("frozen ground");
});

test.each([
  ["Low bed", "low", "in the low bed"],
  ["Warm wall", "wall", "by the warm wall"],
  ["Bed 4", "open", "in bed 4"],
  ["Grandad’s patch", "open", "in grandad’s patch"],
] as const)("%s is said %s", (name, kind, words) => expect(inBed({ name, kind })).toBe(words));
