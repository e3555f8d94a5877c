import { expect, test } from "vitest";
import { netWeight, totalsBy } from ".";

test("the handbook's worked example: 120.0 kg in 4 crates of 1.6 kg and 2 baskets of 1.0 kg is 111.6 kg net", () =>
  expect(netWeight(120_000, [{ count: 4, tareGrams: 1600 }, { count: 2, tareGrams: 1000 }])).toEqual({ status: "ok", grams: 111_600 })); // prettier-ignore

test("tare of a basket, a heavy and a light crate: 2.3, 3.5 and 1.5 lb are 1.04, 1.59 and 0.68 kg (common practice)", () => {
  for (const [lb, grams] of [[2.3, 1040], [3.5, 1590], [1.5, 680]] as const) expect(Math.round((lb * 453.59237) / 10) * 10).toBe(grams); // prettier-ignore
});

test.each([
  [-5, 0, /below zero/],
  [NaN, 0, /not a number/],
  [900, 1040, /weighs more than the whole/],
  [1040, 1040, /Nothing is left/],
  [5_000_000, 0, /More than 200 kg/],
])("gross %d g with a tare of %d g is refused in a sentence", (gross, tareGrams, words) => {
  const net = netWeight(gross, tareGrams ? [{ count: 1, tareGrams }] : []);
  if (net.status !== "impossible") throw new Error("refused");
  expect(net.sentence).toMatch(words);
});

test("weighed, guessed, counted and spoilt amounts never mix in a total", () => {
  const nothing = { picks: 0, grams: 0, pieces: 0, estimatedGrams: 0, spoiltGrams: 0, spoiltEstimatedGrams: 0, spoiltPieces: 0 }; // prettier-ignore
  expect(
    totalsBy([
      { ...nothing, key: "bean", picks: 2, grams: 870, estimatedGrams: 120, spoiltGrams: 90, spoiltEstimatedGrams: 30 },
      { ...nothing, key: "courgette", picks: 1, pieces: 9, spoiltPieces: 2 },
      { ...nothing, key: "bean", picks: 1, grams: 200 },
    ]),
  ).toEqual([
    { key: "bean", picks: 3, weighedGrams: 890, estimatedGrams: 90, pieces: 0, spoiltGrams: 90, spoiltPieces: 0 },
    { key: "courgette", picks: 1, weighedGrams: 0, estimatedGrams: 0, pieces: 7, spoiltGrams: 0, spoiltPieces: 2 },
  ]);
});
