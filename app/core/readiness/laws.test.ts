import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { judged, saw } from "../../../tests/judged";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { cueScale, readingLikelihood } from ".";

const crops = catalogue();

describe("laws", () => {
  const scales = crops
    .flatMap((c) => c.cues.map((cue) => ({ crop: c, cue, scale: cueScale(cue)! })))
    .filter((s) => s.scale);

  test("P(reading | σ) sums to one for every ordered cue", () => {
    fc.assert(
      fc.property(fc.constantFrom(...scales), fc.double({ min: -1.5, max: 4.5, noNaN: true }), ({ scale }, sigma) => {
        const total = scale.readingIds.reduce((sum, _, r) => sum + readingLikelihood(scale, r, sigma), 0);
        expect(total).toBeCloseTo(1, 9);
      }),
    );
  });

  test("weights mean what they say: 20, 6 and 2 times as likely in the own state as in the next", () => {
    for (const [cropId, cueId, ratio] of [
      ["carrot", "shoulder_width", 20],
      ["onion_bulb", "bulb_width", 2],
    ] as const) {
      // prettier-ignore
      const { scale } = scales.find((s) => s.crop.id === cropId && s.cue.id === cueId)!;
      expect(readingLikelihood(scale, 1, 1) / readingLikelihood(scale, 1, 2)).toBeCloseTo(ratio, 1);
    }
  });

  const stand = fc.record({
    pick: fc.constantFrom(...scales.filter((s) => s.crop.id !== "kale_leaf")),
    daysIn: fc.integer({ min: 20, max: 150 }),
  });

  test("a more mature reading never lowers the readiness, and pushes no date later", () => {
    fc.assert(
      fc.property(stand, fc.nat(), ({ pick: { crop, cue, scale }, daysIn }, which) => {
        const low = which % (scale.readingIds.length - 1);
        const today = addDays("2026-05-01", daysIn);
        const answer = (r: number) =>
          judged({ crop: crop.id, started: "2026-05-01", today, looks: saw(today, [cue.id, scale.readingIds[r]!]) });
        const ready = (j: ReturnType<typeof judged>) => j.odds.prime + j.odds.slipping + j.odds.gone;
        const [less, more] = [answer(low), answer(low + 1)];
        expect(ready(more)).toBeGreaterThanOrEqual(ready(less) - 1e-9);
        if (less.window.opens.p50 && more.window.opens.p50)
          expect(more.window.opens.p50 <= less.window.opens.p50).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  test("the order of the looks does not matter, the odds sum to one, the window is in order", () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 130 }), fc.nat(3), fc.nat(2), (daysIn, a, b) => {
        const today = addDays("2026-05-01", daysIn);
        const looks = saw(
          today,
          ["silk_colour", ["green", "browning", "brown", "black"][a]!],
          ["ear_thick", ["thin", "filling", "thick"][b]!],
        );
        const one = judged({ crop: "sweetcorn", started: "2026-05-01", today, looks });
        const other = judged({ crop: "sweetcorn", started: "2026-05-01", today, looks: [...looks].reverse() });
        expect(other.verdict.sentence).toBe(one.verdict.sentence);
        expect(other.odds.prime).toBeCloseTo(one.odds.prime, 9);
        expect(Object.values(one.odds).reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
        const { p10, p50, p90 } = one.window.opens;
        if (p10 && p50 && p90) expect(p10 <= p50 && p50 <= p90).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  test("evidence is what the answer loses without the look", () => {
    const today = "2026-08-10";
    const looks = saw(today, ["silk_colour", "brown"], ["ear_thick", "thick"]);
    const ready = (j: ReturnType<typeof judged>) => j.odds.prime + j.odds.slipping + j.odds.gone;
    const both = judged({ crop: "sweetcorn", started: "2026-05-25", today, looks });
    const alone = judged({ crop: "sweetcorn", started: "2026-05-25", today, looks: looks.slice(1) });
    expect(both.evidence.find((e) => e.cueId === "silk_colour")!.moved).toBeCloseTo(ready(both) - ready(alone), 9);
  });

  test("the cue asked for first tells more than the last, and one already read today is not asked again", () => {
    const today = "2026-08-10";
    const { nextLooks } = judged({
      crop: "melon_netted",
      started: "2026-05-15",
      today,
      looks: saw(today, ["smell", "faint"]),
    });
    expect(nextLooks.map((n) => n.cue.id)).not.toContain("smell");
    expect(nextLooks[0]!.bits).toBeGreaterThan(nextLooks.at(-1)!.bits);
    expect(["decisive"]).toContain(nextLooks[0]!.cue.weight);
  });
});
