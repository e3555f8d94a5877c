import fc from "fast-check";
import { expect, test } from "vitest";
import {
  USES,
  amountOf,
  harvestOf,
  mergeOf,
  moveOf,
  restate,
  splitOf,
  usedUp,
  type LotChange,
  type LotState,
  type Movement,
} from ".";

const DAY = "2026-08-20";
const picked = (lotId: string, grams: number | null, pieces: number | null, estimated = false): Movement => ({ lotId, kind: "picked", day: DAY, grams, pieces, estimated, fate: "store", condition: "sound", otherLotId: null }); // prettier-ignore

/** A larder of movements with the lots they make. */
class Larder {
  movements: Movement[] = [];
  constructor(...movements: Movement[]) {
    this.movements.push(...movements);
  }
  of = (lotId: string) => this.movements.filter((m) => m.lotId === lotId);
  state = (lotId: string): LotState => ({ lotId, fate: "store", condition: "sound", ...amountOf(this.of(lotId)) });
  lots = () => [...new Set(this.movements.map((m) => m.lotId))];
  take(change: LotChange): string | undefined {
    if (change.status === "refused") return change.sentence;
    this.movements.push(...change.movements);
    return undefined;
  }
}

test("a crate is split, merged, dried and eaten from; what is left is what came in less what went out", () => {
  const larder = new Larder(picked("a", 10_000, null), picked("b", 4000, null, true));
  larder.take(splitOf(larder.state("a"), "c", DAY, { grams: 3000, pieces: null }));
  larder.take(usedUp(larder.state("c"), "shrunk", DAY, { grams: 450, pieces: null }));
  larder.take(mergeOf(larder.state("c"), larder.state("a"), DAY));
  larder.take(usedUp(larder.state("b"), "eaten", DAY, { grams: 1000, pieces: null }));
  expect([larder.state("a").grams, larder.state("b").grams, larder.state("c").grams]).toEqual([9550, 3000, 0]);
  // What was guessed stays guessed.
  expect(larder.state("b").estimatedGrams).toBe(3000);
  expect(amountOf(harvestOf(larder.movements))).toMatchObject({ grams: 14_000, estimatedGrams: 4000 });
});

test.each<[string, (lot: LotState, other: LotState) => LotChange, RegExp]>([
  ["more than there is", (lot) => usedUp(lot, "eaten", DAY, { grams: 600, pieces: null }), /not that much/],
  ["more pieces than there are", (lot) => usedUp(lot, "given", DAY, { grams: null, pieces: 6 }), /not that many/],
  ["less than nothing", (lot) => usedUp(lot, "spoilt", DAY, { grams: -5, pieces: null }), /below zero/],
  ["nothing", (lot) => splitOf(lot, "c", DAY, { grams: null, pieces: null }), /how much/],
  ["a lot split into itself", (lot) => splitOf(lot, "a", DAY, { grams: 5, pieces: null }), /into itself/],
  ["a lot put to itself", (lot) => mergeOf(lot, lot, DAY), /another lot/],
  ["an empty lot put to another", (lot, empty) => mergeOf(empty, lot, DAY), /Nothing of it is left/],
  ["a move to where it is", (lot) => moveOf(lot, "store", DAY), /already/],
])("%s is refused in a sentence", (_, change, words) => {
  const larder = new Larder(picked("a", 500, 5), picked("empty", null, null));
  const outcome = change(larder.state("a"), larder.state("empty"));
  expect(outcome).toMatchObject({ status: "refused", sentence: expect.stringMatching(words) as string });
});

test("weighed later: the guess is moved back, part by part, and the harvest says what the scale says", () => {
  const guess = [picked("a", 700, 10, true), { ...picked("a", 200, 3, true), condition: "spoilt" as const }];
  const now = { grams: 810, pieces: 13, estimated: false, fate: "store" as const, condition: "sound" as const };
  const all = [...guess, ...restate("a", guess, "weighed", DAY, now)];
  expect(amountOf(all)).toEqual({ grams: 810, pieces: 13, estimatedGrams: 0, estimatedPieces: 0 });
  expect(amountOf(all.filter((m) => m.condition === "spoilt"))).toMatchObject({ grams: 0, pieces: 0 });
  expect(all.slice(0, 2)).toEqual(guess);
});

const dice = { which: fc.nat(), other: fc.nat(), share: fc.double({ min: 0, max: 1.1, noNaN: true }), kind: fc.constantFrom("use", "split", "merge", "move", "weigh"), use: fc.constantFrom(...USES) }; // prettier-ignore

test("whatever is done to lots, nothing appears and nothing vanishes: left + used up = harvest", () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ grams: fc.integer({ min: 1, max: 20_000 }), pieces: fc.integer({ min: 1, max: 99 }), estimated: fc.boolean() }), { minLength: 1, maxLength: 4 }), // prettier-ignore
      fc.array(fc.record(dice), { maxLength: 30 }),
      (crates, history) => {
        const larder = new Larder(...crates.map((c, i) => picked(`lot ${i}`, c.grams, c.pieces, c.estimated)));
        for (const [i, h] of history.entries()) {
          const lots = larder.lots();
          const lot = larder.state(lots[h.which % lots.length]!);
          const other = larder.state(lots[h.other % lots.length]!);
          const amount = { grams: Math.round((lot.grams ?? 0) * h.share), pieces: Math.round((lot.pieces ?? 0) * h.share) }; // prettier-ignore
          if (h.kind === "use") larder.take(usedUp(lot, h.use, DAY, amount));
          if (h.kind === "split") larder.take(splitOf(lot, `split ${i}`, DAY, amount));
          if (h.kind === "merge") larder.take(mergeOf(lot, other, DAY));
          if (h.kind === "move") larder.take(moveOf(lot, "eat now", DAY));
          // Only a lot that is whole is put on the scale: a little more or less than was thought.
          const untouched = larder.of(lot.lotId).every((m) => ["picked", "weighed"].includes(m.kind));
          if (h.kind === "weigh" && untouched)
            larder.movements.push(
              ...restate(lot.lotId, harvestOf(larder.of(lot.lotId)), "weighed", DAY, {
                ...amount,
                estimated: false,
                fate: "store",
                condition: "sound",
              }),
            ); // prettier-ignore
          for (const id of larder.lots()) {
            expect(larder.state(id).grams ?? 0).toBeGreaterThanOrEqual(0);
            expect(larder.state(id).pieces ?? 0).toBeGreaterThanOrEqual(0);
          }
        }
        const sum = (movements: Movement[]) => [amountOf(movements).grams ?? 0, amountOf(movements).pieces ?? 0];
        const [left, used, harvest] = [larder.movements, larder.movements.filter((m) => USES.some((u) => u === m.kind)), harvestOf(larder.movements)].map(sum); // prettier-ignore
        for (const unit of [0, 1]) expect(left![unit]! - used![unit]!).toBe(harvest![unit]!);
      },
    ),
    { numRuns: 300, seed: 8 },
  );
});
