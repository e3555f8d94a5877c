import fc from "fast-check";
import { expect, test } from "vitest";
import { MassUnit, fromGrams, readAmount, toGrams } from ".";

test("the pound and the ounce are the exact ones of 1959", () => {
  expect(toGrams(1, "lb")).toBe(453.59237);
  expect(toGrams(16, "oz")).toBe(453.59237);
});

test("every unit goes there and back", () => {
  fc.assert(
    fc.property(fc.constantFrom(...MassUnit.options), fc.double({ min: 0, max: 1e5, noNaN: true }), (unit, value) => {
      expect(fromGrams(toGrams(value, unit), unit)).toBeCloseTo(value, 6);
    }),
  );
});

test.each([
  ["840 g", 840],
  ["2.3kg", 2300],
  ["2,3 kg", 2300],
  ["1 lb 4 oz", 453.59237 * 1.25],
  ["12 oz", 340.194],
  ["0 g", 0],
])("“%s” weighs %d g", (text, grams) => {
  const amount = readAmount(text);
  if (amount.status !== "mass") throw new Error(amount.status);
  expect(amount.grams).toBeCloseTo(grams, 3);
});

test.each([["9", 9], ["12 leaves", 12], ["3 bunches", 3]])("“%s” counts %d", (text, count) => expect(readAmount(text)).toEqual({ status: "count", count })); // prettier-ignore

test.each([
  ["", /how much/],
  ["heavy", /not an amount/],
  ["-3 kg", /below zero/],
  ["3 stone", /“stone” is not a unit/],
  ["2.5", /whole pieces/],
  ["3 kg!!", /not an amount/],
  ["1 kg 3", /not a unit/],
])("“%s” is answered with a sentence", (text, words) => {
  const amount = readAmount(text);
  if (amount.status !== "not understood") throw new Error(amount.status);
  expect(amount.sentence).toMatch(words);
});
