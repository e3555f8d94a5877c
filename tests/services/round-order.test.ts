import { beforeEach, expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { allPlantings } from "~/db/beds/plantings.server";
import { roundOrdersOn } from "~/db/round/round-orders.server";
import { errandsOf, openRound } from "~/db/round/rounds.server";
import { setDemoDay, theGarden } from "~/db/garden/garden.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { OrderAct, orderRound } from "~/services/round/round-order.server";
import { roundPage } from "~/services/round/round-page.server";
import { demoGarden, send, type GardenOfTest } from "./garden-fixture";

let made: GardenOfTest;
beforeEach(() => {
  made = demoGarden();
});

const preview = () => {
  const round = roundPage(made.db, theGarden(made.db)!);
  if (round.status !== "not started") throw new Error(round.status);
  return round;
};
const order = (fields: Record<string, string>) => orderRound(made.db, theGarden(made.db)!, OrderAct.parse(fields));
const put = (stops: readonly string[]) => order({ intent: "put in order", stops: stops.join("\n") });

test("the walk tells when one comes to each bed, one after the other, and how long that takes", () => {
  const { stops, minutes, start } = preview();
  expect(stops.length).toBeGreaterThan(2);
  const clocks = stops.map((s) => s.when);
  expect([...clocks].sort()).toEqual(clocks);
  expect(start[0]).toMatch(/^Set out (now|about \d\d:\d\d).*, back about \d\d:\d\d\.$/);
  const ofStops = stops.reduce((sum, s) => sum + s.minutes, 0);
  expect(Math.abs(ofStops + 6 - minutes)).toBeLessThanOrEqual(stops.length);
});

test("for two, each has clocks of a walk of its own, and no leaf is touched before it is dry", () => {
  const { halves, stops } = preview();
  expect(halves!.flatMap((half) => half.stops.map((s) => s.key)).sort()).toEqual(stops.map((s) => s.key).sort());
  const dryFrom = plannedGarden(made.db, theGarden(made.db)!).outlook.terms[0]!.dryFrom!;
  for (const half of halves!) {
    const clocks = half.stops.map((s) => s.when);
    expect([...clocks].sort()).toEqual(clocks);
    for (const { key, when } of half.stops) if (key.endsWith(" later")) expect(when >= dryFrom).toBe(true);
  }
  // They set out together.
  expect(new Set(halves!.map((half) => half.stops[0]!).filter((s) => s.key.endsWith(" first")).map((s) => s.when)).size).toBeLessThanOrEqual(1); // prettier-ignore
});

test("the household's order is walked: shown, kept, and the list of the round when it starts", () => {
  const before = preview().stops.map((s) => s.key);
  const turned = [...before].reverse();
  expect(put(turned)).toEqual({ status: "noted", sentence: "In the order that you put it." });
  expect(preview()).toMatchObject({ isAsked: true, stops: turned.map((key) => ({ key })) });
  send(made.db, { kind: "start round", roundId: "r" });
  const walked = errandsOf(made.db, openRound(made.db)!.id);
  const bedOf = new Map(allPlantings(made.db).map((p) => [p.id, p.bedId]));
  expect([...new Set(walked.map((e) => `${bedOf.get(e.plantingId)} ${e.part}`))]).toEqual(turned);
  // Once it is out, its list stands.
  expect(put(before)).toMatchObject({ status: "refused", sentence: "The round is out: its list stands." });
});

test("an order of another walk is refused and nothing kept; and it can be left to the app again", () => {
  const before = preview().stops.map((s) => s.key);
  expect(put(before.slice(1))).toMatchObject({ status: "refused" });
  expect(put([...before.slice(1), "nowhere first"])).toMatchObject({ status: "refused" });
  expect(roundOrdersOn(made.db, preview().today)).toEqual([]);
  put([...before].reverse());
  expect(order({ intent: "order by itself" }).status).toBe("noted");
  expect(preview()).toMatchObject({ isAsked: false, stops: before.map((key) => ({ key })) });
});

test("yesterday's order is not today's", () => {
  put(preview().stops.map((s) => s.key).reverse()); // prettier-ignore
  expect(preview().isAsked).toBe(true);
  setDemoDay(made.db, addDays(preview().today, 1));
  expect(preview().isAsked).toBe(false);
});

test("two share a round that is out: every errand on one stretch, no bed on both", () => {
  send(made.db, { kind: "start round", roundId: "r" });
  const round = roundPage(made.db, theGarden(made.db)!);
  if (round.status !== "out") throw new Error(round.status);
  expect(round.halves).toHaveLength(2);
  const bedsOf = (half: number) => new Set(round.errands.filter((e) => e.half === half).map((e) => e.bed));
  expect([...bedsOf(0)].filter((bed) => bedsOf(1).has(bed))).toEqual([]);
  expect(round.errands.every((e) => e.half === 0 || e.half === 1)).toBe(true);
  expect([...bedsOf(0)].sort()).toEqual([...round.halves![0]!.beds].sort());
});
