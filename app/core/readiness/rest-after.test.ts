import fc from "fast-check";
import { probit } from "simple-statistics";
import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { judgeAnswer } from "~/views/edge";
import { normalQuantile } from "../statistics";
import { restAfter } from "./rest-after";

const TODAY = "2026-08-10";
const pick = (pieces: number, tookAll = false) => ({ pickedOn: TODAY, pieces, tookAll });
const judge = (crop: string, looks: [string, string, number, boolean?][], picks: object[], more: object = {}) =>
  judgeAnswer(
    {
      crop,
      today: TODAY,
      latitude: 50,
      startedOn: "2026-05-20",
      plants: 20,
      picks,
      looks: looks.map(([cueId, readingId, share, afterPick]) => ({ cueId, readingId, share, takenOn: TODAY, afterPick })), // prettier-ignore
      ...more,
    },
    catalogue(),
  );

describe("what a pick leaves of what was told", () => {
  const told = { ready: 0.3, nearly: 0.3, early: 0.4 };

  test("the ripest come off first", () => {
    expect(restAfter(told, [pick(3)], 10)).toEqual({ ready: 0, nearly: expect.closeTo(3 / 7, 9) as number, early: expect.closeTo(4 / 7, 9) as number }); // prettier-ignore
    expect(restAfter(told, [pick(1)], 10)?.ready).toBeCloseTo(2 / 9, 9);
    expect(restAfter(told, [pick(0, true)], undefined)?.ready).toBe(0);
    expect(restAfter(told, [pick(10)], 10)).toBeUndefined();
  });

  test("a pick never leaves more ready than there were, and what is left sums to one", () => {
    const parts = fc.tuple(fc.integer({ min: 1, max: 50 }), fc.integer({ min: 1, max: 50 }), fc.integer({ min: 1, max: 50 })); // prettier-ignore
    fc.assert(
      fc.property(parts, fc.integer({ min: 0, max: 99 }), ([a, b, c], off) => {
        const sum = a + b + c;
        const left = restAfter({ ready: a / sum, nearly: b / sum, early: c / sum }, [pick(off)], 100);
        if (!left) return;
        expect(left.ready).toBeLessThanOrEqual(a / sum + 1e-9);
        expect(left.ready + left.nearly + left.early).toBeCloseTo(1, 9);
      }),
    );
  });

  const beets: [string, string, number][] = [["root_width", "43_67", 0.25], ["root_width", "under_30", 0.75]]; // prettier-ignore

  test("a third of the beetroot is pulled: the rest waits, the same day", () => {
    expect(judge("beetroot", beets, []).verdict.kind).toBe("take some");
    const after = judge("beetroot", beets, [pick(5)]);
    expect(after.verdict.kind).toMatch(/leave|look again/);
    expect(after.parts.some((p) => p.act.startsWith("take"))).toBe(false);
  });

  test("what is seen after the pick speaks of what is left", () => {
    const seen = judge("beetroot", [...beets, ["root_width", "43_67", 0.5, true], ["root_width", "under_30", 0.5, true]], [pick(5)]); // prettier-ignore
    expect(seen.verdict.kind).toBe("take some");
    expect(seen.shareReady).toBeCloseTo(0.5, 9);
    // After a full pick of what keeps giving, what was hidden still counts.
    const beans = (afterPick: boolean) =>
      judge("bean_bush", [["hidden_left", "ripe_ones_were_hidden", 1, afterPick]], [pick(40, true)]).verdict.sentence;
    expect(beans(true)).toMatch(/go over it once more/);
    expect(beans(false)).not.toMatch(/go over it once more/);
  });

  test("a split one that came off is no news any more", () => {
    const split: [string, string, number][] = [["split_skin", "fresh", 0.05]];
    expect(judge("tomato_large", split, [], { startEvent: "planted" }).verdict.apart).toHaveLength(1);
    expect(judge("tomato_large", split, [pick(30)], { startEvent: "planted" }).verdict.apart).toHaveLength(0);
  });
});

describe("each part has a day of its own", () => {
  test("what is nearly ready is looked at before what is small, and sooner in the warmth", () => {
    const beets: [string, string, number][] = [["root_width", "43_67", 0.2], ["root_width", "30_42", 0.4], ["root_width", "under_30", 0.4]]; // prettier-ignore
    const days = (minC: number, maxC: number) => {
      const forecast = Array.from({ length: 14 }, (_, n) => ({ day: `2026-08-${String(10 + n)}`, minC, maxC, rainMm: 0, windKmh: 5 })); // prettier-ignore
      const { parts } = judge("beetroot", beets, [], { forecast });
      return parts.filter((p) => p.act === "leave").map((p) => p.lookAgain!);
    };
    const [cool, warm] = [days(4, 12), days(16, 30)];
    expect(warm).toHaveLength(2);
    expect(warm[0]! <= warm[1]!).toBe(true);
    expect(warm[0]! < cool[0]!).toBe(true);
  });
});

/** Checked against a general statistics library. */
test("the inverse of the normal agrees with simple-statistics", () => {
  for (const p of [0.02, 0.1, 0.35, 0.5, 0.8, 0.98]) expect(normalQuantile(p)).toBeCloseTo(probit(p), 2);
  expect(() => normalQuantile(1)).toThrow(RangeError);
});
