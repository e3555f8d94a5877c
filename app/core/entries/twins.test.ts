import fc from "fast-check";
import { expect, test } from "vitest";
import { TWIN_MINUTES, pairOf, twinsOf, type PickByDevice } from "./twins";

const T0 = Date.parse("2026-08-20T08:00:00Z");
const pick = (id: string, device: string, minute: number, of: Partial<PickByDevice> = {}): PickByDevice => ({ id, device, seasonId: "leek/1", roundId: null, at: new Date(T0 + minute * 60_000).toISOString(), ...of }); // prettier-ignore
const ids = (picks: PickByDevice[], settled: string[] = []) => twinsOf(picks, new Set(settled)).map((pair) => pair.map((p) => p.id).join("")); // prettier-ignore

test("one planting from two devices within half an hour is a pair; from one device, later, or elsewhere it is none", () => {
  expect(ids([pick("b", "two", 6), pick("a", "one", 0)])).toEqual(["ab"]);
  expect(ids([pick("a", "one", 0), pick("b", "one", 6)])).toEqual([]);
  expect(ids([pick("a", "one", 0), pick("b", "two", TWIN_MINUTES)])).toEqual(["ab"]);
  expect(ids([pick("a", "one", 0), pick("b", "two", TWIN_MINUTES + 1)])).toEqual([]);
  expect(ids([pick("a", "one", 0), pick("b", "two", 6, { seasonId: "leek/2" })])).toEqual([]);
});

test("on one round they are a pair whatever the clock of a phone says", () => {
  const slow = 26 * 60;
  expect(ids([pick("a", "one", 0, { roundId: "r" }), pick("b", "two", -slow, { roundId: "r" })])).toEqual(["ba"]);
  expect(ids([pick("a", "one", 0, { roundId: "r" }), pick("b", "two", -slow, { roundId: "s" })])).toEqual([]);
});

test("of three devices each is asked about with the one before it, and none again that both count", () => {
  const three = [pick("a", "one", 0), pick("b", "two", 5), pick("c", "three", 9)];
  expect(ids(three)).toEqual(["ab", "bc"]);
  expect(ids(three, [pairOf("b", "a")])).toEqual(["bc"]);
  // The middle one dropped, the others are neighbours.
  expect(ids([three[0]!, three[2]!])).toEqual(["ac"]);
  // However many there are, there are fewer questions than picks.
  const many = Array.from({ length: 300 }, (_, n) => pick(`p${n}`, `d${n}`, n / 20));
  expect(ids(many)).toHaveLength(299);
});

test("whatever order they come in, the same pairs are asked about", () => {
  const some = fc.array(fc.record({ device: fc.constantFrom("one", "two", "three"), minute: fc.integer({ min: 0, max: 90 }), season: fc.constantFrom("leek/1", "kale/1"), round: fc.constantFrom(null, "r") }), { maxLength: 8 }); // prettier-ignore
  const pairs = (picks: PickByDevice[]) => twinsOf(picks, new Set()).map(([a, b]) => pairOf(a.id, b.id)).sort(); // prettier-ignore
  fc.assert(
    fc.property(some, (of) => {
      const picks = of.map(({ device, minute, season, round }, n) => pick(`p${n}`, device, minute, { seasonId: season, roundId: round })); // prettier-ignore
      expect(pairs(picks.toReversed())).toEqual(pairs(picks));
    }),
    { numRuns: 200 },
  );
});
