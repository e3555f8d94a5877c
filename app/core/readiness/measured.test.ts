import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { judged } from "../../../tests/judged";
import { looksOf } from "../../../tests/situations";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, daysBetween } from "../calendar";
import { LookRefused, readingOfSize, type Look } from ".";

const today = "2026-08-10";
const size = (cueId: string, readingId: string, measuredMm: number, ago = 0): Look => ({
  cueId,
  readingId,
  takenOn: addDays(today, -ago),
  measuredMm,
});
const carrot = (...mm: [number, number][]) =>
  judged({
    crop: "carrot",
    today,
    packetDay: -8,
    looks: mm.map(([m, ago]) => size("shoulder_width", "12_19", m, ago)),
  });

describe("sizes measured", () => {
  test("one size tells the day of the target at the usual pace", () => {
    const { growth } = carrot([14, 0]);
    expect(growth).toMatchObject({ targetMm: 20, overMm: 40, days: 1 });
    expect(growth!.nowMm).toBeGreaterThan(12);
    expect(growth!.nowMm).toBeLessThan(17);
    expect(growth!.targetOn! > today).toBe(true);
    expect(growth!.overOn === null || growth!.overOn > growth!.targetOn!).toBe(true);
  });

  test("two sizes tell its own pace: what grew fast is at its target as soon, and too big weeks sooner", () => {
    const fast = carrot([10, 6], [15, 0]).growth!;
    const slow = carrot([14.4, 6], [15, 0]).growth!;
    expect(fast.days).toBe(2);
    expect(fast.mmPerDay).toBeGreaterThan(1.2 * slow.mmPerDay);
    // The same size today: the fast one is read a little smaller, and makes up for it to within a day.
    expect(daysBetween(slow.targetOn!, fast.targetOn!)).toBeLessThanOrEqual(1);
    expect(daysBetween(fast.overOn!, slow.overOn!)).toBeGreaterThan(14);
  });

  test("the trade’s rule: a courgette grows four to five times bigger in three days, so it doubles in length or nearly", () => {
    const { growth } = judged({ crop: "courgette", today, packetDay: 0, looks: [size("length", "150_250", 150)] });
    const days = daysBetween(growth!.targetOn!, growth!.overOn!);
    expect(days).toBeGreaterThanOrEqual(2);
    expect(days).toBeLessThanOrEqual(4);
  });

  test("a larger size never lowers the readiness", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 60 }),
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: -25, max: 25 }),
        (mm, more, packetDay) => {
          const ready = (m: number) => {
            const { odds } = judged({ crop: "carrot", today, packetDay, looks: [size("shoulder_width", "12_19", m)] });
            return odds.prime + odds.slipping + odds.gone;
          };
          expect(ready(mm + more)).toBeGreaterThanOrEqual(ready(mm) - 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });

  test("a measurement falls into the reading whose border it has reached", () => {
    const cue = catalogue()
      .find((c) => c.id === "carrot")!
      .cues.find((c) => c.id === "shoulder_width")!;
    expect([5, 11.9, 12, 19.9, 20, 35, 38, 40, 90].map((mm) => readingOfSize(cue, mm)!.means)).toEqual([
      "early", "early", "nearly", "nearly", "ready", "ready", "ready", "past", "past",
    ]); // prettier-ignore
  });
});

describe("age and sample", () => {
  const leek = (ago: number, sampleOf?: number) =>
    judged({
      crop: "carrot",
      today,
      packetDay: 20,
      looks: [{ cueId: "shoulder_visible", readingId: "hidden", takenOn: addDays(today, -ago), ...(sampleOf ? { sampleOf } : {}) }], // prettier-ignore
    });
  const ready = (j: ReturnType<typeof leek>) => j.odds.prime + j.odds.slipping + j.odds.gone;

  test("a look counts for less as the plants grow on from it", () => {
    const moved = [1, 10, 25].map((ago) => Math.abs(leek(ago).evidence[0]!.moved));
    expect(moved[0]!).toBeGreaterThan(moved[1]!);
    expect(moved[1]!).toBeGreaterThan(moved[2]!);
  });

  test("ten that say the same weigh more than one, a hundred hardly more than ten", () => {
    const [one, ten, hundred] = [1, 10, 100].map((n) => ready(leek(0, n)));
    expect(ten!).toBeLessThan(one!);
    expect(hundred!).toBeLessThanOrEqual(ten!);
    expect(ten! - hundred!).toBeLessThan(0.3 * (one! - ten!));
  });
});

describe("what cannot be is refused, by kind", () => {
  const refusal = (look: Look): string => {
    try {
      judged({ crop: "carrot", today, looks: [look] });
    } catch (error) {
      if (error instanceof LookRefused) return error.kind;
      throw error;
    }
    return "none";
  };
  const look: Look = { cueId: "shoulder_width", readingId: "20_35", takenOn: today };
  test.each<[string, Look]>([
    ["unknown cue", { ...look, cueId: "colour_stage" }],
    ["unknown reading", { ...look, readingId: "huge" }],
    ["impossible size", { ...look, measuredMm: -4 }],
    ["impossible size", { ...look, measuredMm: 40_000 }],
    ["impossible size", { ...look, measuredMm: NaN }],
    ["impossible size", { cueId: "bolting", readingId: "none", takenOn: today, measuredMm: 20 }],
    ["impossible sample", { ...look, sampleOf: 0 }],
    ["impossible sample", { ...look, sampleOf: 2.5 }],
    ["none", { ...look, sampleOf: 3, measuredMm: 24 }],
  ])("%s", (kind, bad) => expect(refusal(bad)).toBe(kind));
});

test("a sample from inside overrules the look from outside, and both are shown", () => {
  const looks = looksOf("sweetcorn", "silk_colour: brown, dry; kernel_juice: clear", today);
  const j = judged({ crop: "sweetcorn", today, packetDay: -10, looks });
  expect(j.conflict).toMatch(/inside decides/);
  expect(j.evidence.map((e) => e.cueId).sort()).toEqual(["kernel_juice", "silk_colour"]);
  expect(j.evidence.find((e) => e.cueId === "silk_colour")!.moved).toBeCloseTo(0, 9);
});
