import { expect, test } from "vitest";
import type { EditCost } from "~/core/garden";
import { moveTold } from "~/views/horizon/move-words";

const names: Record<string, string> = { a: "Courgette, striped", b: "Kale", c: "Leek", d: "Beetroot", e: "Chard" };
const days = ["Sa 19", "Su 20", "Mo 21", "Tu 22"];
const cost = (change: Partial<EditCost>): EditCost => ({ blockedBy: null, lost: 0.4, lostGrams: 400, own: { grams: -312, minutes: 0.2 }, all: { grams: -312, minutes: 0.2 }, moved: [], picks: {}, ...change }); // prettier-ignore
const told = (of: EditCost | null, isSettled = true, units: "metric" | "us" = "metric") =>
  moveTold({ name: names.a!, to: "Mo 21", slot: null, cost: of, isSettled, units, nameOf: (id) => names[id]!, labelOf: (day) => days[day]!, plantingId: "a" }); // prettier-ignore

test("what a move costs is told in worth, kilograms and minutes, “about” until it is settled", () => {
  expect(told(cost({}), false).headline).toBe("Courgette, striped to Mo 21: costs about 400 g worth.");
  const settled = told(cost({}));
  expect(settled).toEqual({ headline: "Courgette, striped to Mo 21: costs 400 g worth.", lines: ["In this row and in all 310 g less."], tag: "−400 g", isBlocked: false }); // prettier-ignore
  const apart = told(cost({ own: { grams: 250, minutes: 3.4 }, all: { grams: -1240, minutes: -12 } }));
  expect(apart.lines[0]).toBe("In this row 250 g more, 3 min more. In all 1.24 kg less, 12 min less.");
  expect(told(cost({}), true, "us").headline).toBe("Courgette, striped to Mo 21: costs 14 oz worth.");
});

test("nothing to speak of, and what does better", () => {
  const none = told(
    cost({ lost: 0.01, lostGrams: 8, own: { grams: 4, minutes: 0 }, all: { grams: -3, minutes: 0.4 } }),
  );
  expect(none.headline).toBe("Courgette, striped to Mo 21: makes no odds.");
  expect(none.lines).toEqual(["In this row and in all as much as before."]);
  expect(told(cost({ lost: -0.15, lostGrams: -150 }))).toMatchObject({ headline: expect.stringMatching(/does better by 150 g worth/), tag: "+150 g" }); // prettier-ignore
});

test("which limit blocks a day, and what is not known yet or without signal", () => {
  expect(told(cost({ blockedBy: "curing" }))).toMatchObject({ headline: "Courgette, striped to Mo 21: cannot be, the racks are full then.", isBlocked: true, lines: [] }); // prettier-ignore
  expect(told(null, false).headline).toMatch(/working it out/);
  expect(told(null).headline).toMatch(/without signal/);
});

test("the other plantings that move are named, not this one, and no more than three", () => {
  const moved = ["a", "b", "c", "d", "e"].map((plantingId) => ({ plantingId, from: [0], to: plantingId === "c" ? [] : [1, 3] })); // prettier-ignore
  expect(told(cost({ moved })).lines[1]).toBe("What else moves: Kale Su 20, Tu 22; Leek not at all; Beetroot Su 20, Tu 22; and 1 more."); // prettier-ignore
});
