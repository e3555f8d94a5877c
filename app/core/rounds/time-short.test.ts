import fc from "fast-check";
import { expect, test } from "vitest";
import { walkInTime, type StopToCome } from "./time-short";

const stop = (id: string, bed: string, minutes: number, loss: number): StopToCome => ({ id, bed, minutes, loss });
const timeOf = (ids: readonly string[], stops: readonly StopToCome[], bedMinutes: number) => {
  const of = stops.filter((s) => ids.includes(s.id));
  return of.reduce((sum, s) => sum + Math.ceil(s.minutes * 4) / 4, 0) + new Set(of.map((s) => s.bed)).size * bedMinutes;
};
const lossOf = (ids: readonly string[], stops: readonly StopToCome[]) => stops.filter((s) => ids.includes(s.id)).reduce((sum, s) => sum + s.loss, 0); // prettier-ignore

test("eighteen minutes: the carrots keep and are left, what the night would take is in, the dearest first", () => {
  const stops = [stop("carrot", "Root patch", 12, 0), stop("courgette", "Long bed", 6, 0.4), stop("tomato", "Sun wall", 7, 2.5)]; // prettier-ignore
  expect(walkInTime(stops, 18, 1)).toEqual({ taken: ["tomato", "courgette"], left: ["carrot"] });
  expect(walkInTime(stops, 60, 1)).toEqual({ taken: ["tomato", "courgette", "carrot"], left: [] });
  expect(walkInTime(stops, 5, 1)).toEqual({ taken: [], left: ["carrot", "courgette", "tomato"] });
  expect(walkInTime([], 5, 1)).toEqual({ taken: [], left: [] });
});

test("a second stop at a bed one is at costs no further call", () => {
  const stops = [stop("a", "one", 4, 1), stop("b", "one", 4, 0.9), stop("c", "two", 4, 0.95)];
  expect(walkInTime(stops, 10, 2).taken).toEqual(["a", "b"]);
});

test("nothing that fits saves more: every choice of up to eight stops tried", () => {
  const some = fc.array(fc.record({ bed: fc.constantFrom("one", "two", "three"), minutes: fc.integer({ min: 1, max: 40 }).map((n) => n / 4), loss: fc.integer({ min: 0, max: 50 }).map((n) => n / 10) }), { maxLength: 8 }); // prettier-ignore
  fc.assert(
    fc.property(some, fc.integer({ min: 0, max: 30 }), fc.constantFrom(0, 1, 1.5), (of, minutes, bedMinutes) => {
      const stops = of.map((s, n) => ({ ...s, id: `s${n}` }));
      const { taken, left } = walkInTime(stops, minutes, bedMinutes);
      expect([...taken, ...left].sort()).toEqual(stops.map((s) => s.id).sort());
      expect(timeOf(taken, stops, bedMinutes)).toBeLessThanOrEqual(minutes);
      for (let mask = 0; mask < 1 << stops.length; mask++) {
        const ids = stops.filter((_, n) => mask & (1 << n)).map((s) => s.id);
        if (timeOf(ids, stops, bedMinutes) <= minutes) expect(lossOf(taken, stops)).toBeGreaterThan(lossOf(ids, stops) - 0.001); // prettier-ignore
      }
    }),
    { numRuns: 150, seed: 4117 },
  );
});
