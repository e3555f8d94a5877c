import fc from "fast-check";
import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { lookAhead } from "~/core/garden";
import { cueScale } from "~/core/readiness";
import { conflicts, crops, garden, stateOf, TODAY, type Garden } from "./random-gardens";

test("what a verdict takes is planned or stands as a task, what it holds is not planned, in 500 gardens", () => {
  fc.assert(
    fc.property(garden, (g) => {
      expect(conflicts(g)).toEqual([]);
    }),
    { numRuns: 500, seed: 7 },
  );
}, 240_000);

const neutral = crops.flatMap((crop) => crop.cues.flatMap((cue) => cue.readings.filter((r) => r.means === "none" && !cueScale(cue)?.readingIds.includes(r.id)).map((r) => ({ crop, look: { cueId: cue.id, readingId: r.id, takenOn: TODAY } })))); // prettier-ignore
const judgedOf = (g: Garden, extra: object[] = []) => {
  const state = stateOf(g);
  state.plantings[0]!.looks.push(...(extra as (typeof state.plantings)[0]["looks"]));
  return lookAhead(state, catalogue()).plantings[0]!.judgement;
};
const one = (crop: (typeof crops)[0], age: number): Garden => ({ plantings: [{ crop, age, plants: 12, looks: [], pick: undefined }], minC: 12, rainMm: 0, trip: undefined }); // prettier-ignore

test("a look that says nothing changes no verdict", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...neutral),
      fc.double({ min: 0.5, max: 1.6, noNaN: true }),
      ({ crop, look: seen }, age) => {
        // prettier-ignore
        const { kind, because, takeBy, lookAgain } = judgedOf(one(crop, age)).verdict;
        expect(judgedOf(one(crop, age), [seen]).verdict).toMatchObject({ kind, because, takeBy, lookAgain });
      },
    ),
    { numRuns: 80, seed: 3 },
  );
}, 120_000);

const flagged = crops.flatMap((crop) => crop.cues.filter((cue) => !cueScale(cue)).flatMap((cue) => cue.readings.filter((r) => r.of === "piece" && r.means !== "none").map((r) => ({ crop, look: { cueId: cue.id, readingId: r.id, takenOn: TODAY } })))); // prettier-ignore

test("a flag on a share changes that share only: the rest is as it was without it", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...flagged),
      fc.constantFrom(0.05, 0.2, 0.5),
      fc.double({ min: 0.6, max: 1.3, noNaN: true }),
      ({ crop, look: seen }, share, age) => {
        // prettier-ignore
        const before = judgedOf(one(crop, age)).verdict;
        const { verdict } = judgedOf(one(crop, age), [{ ...seen, share }]);
        const rest = verdict.because.why === "some apart" ? verdict.because.rest : verdict;
        expect(verdict.apart).toMatchObject([{ share }]);
        expect(rest.kind).toBe(before.kind);
        expect(rest.because).toEqual(before.because);
      },
    ),
    { numRuns: 60, seed: 5 },
  );
}, 120_000);

test("a riper part never lowers what is taken", () => {
  const peaches = crops.find((c) => c.id === "peach")!;
  const taken = (ripe: number) => {
    const looks = [{ cueId: "slight_give", readingId: "hard", takenOn: TODAY, share: 1 - ripe }];
    if (ripe > 0) looks.push({ cueId: "slight_give", readingId: "slight", takenOn: TODAY, share: ripe });
    return judgedOf(one(peaches, 1), looks).shareReady;
  };
  const shares = [0.05, 0.2, 0.4, 0.6, 0.8, 0.94].map(taken);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
});
