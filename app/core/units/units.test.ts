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
  ["1 lb 8", 453.59237 * 1.5],
  ["1 kg 300", 1300],
  ["12 oz", 340.194],
  ["½ lb", 453.59237 / 2],
  ["1/2 lb", 453.59237 / 2],
  ["1 ½ lb", 453.59237 * 1.5],
  ["1½ kg", 1500],
  ["half a pound", 453.59237 / 2],
  ["a pound", 453.59237],
  ["two pounds", 2 * 453.59237],
  ["2 lb.", 2 * 453.59237],
  ["2 lbs", 2 * 453.59237],
  ["650g shelled", 650],
  ["1,200 g", 1200],
  ["0 g", 0],
])("“%s” weighs %d g", (text, grams) => {
  const amount = readAmount(text);
  if (amount.status !== "mass") throw new Error(amount.status === "not understood" ? amount.sentence : amount.status);
  expect(amount.grams).toBeCloseTo(grams, 3);
  expect(amount.about).toBe(false);
});

test.each([
  ["about 2 kg", 2000],
  ["~2 kg", 2000],
  ["around 2 lb", 2 * 453.59237],
  ["6-7 lb", 6.5 * 453.59237],
  ["6–7 lb", 6.5 * 453.59237],
  ["2 kg or so", 2000],
])("“%s” is a guess of %d g", (text, grams) => {
  const amount = readAmount(text);
  expect(amount).toMatchObject({ status: "mass", about: true });
  expect(amount.status === "mass" && amount.grams).toBeCloseTo(grams, 3);
});

test.each<[string, number, boolean]>([
  ["9", 9, false],
  ["12 leaves", 12, false],
  ["3 bunches", 3, false],
  ["2 punnets", 2, false],
  ["a dozen", 12, false],
  ["half a dozen", 6, false],
  ["twelve", 12, false],
  ["about 20", 20, true],
  ["15-20", 18, true],
])("“%s” counts %d", (text, count, about) => expect(readAmount(text)).toEqual({ status: "count", count, about }));

test.each([
  ["2 litres", 2],
  ["3 quarts", 2.839],
  ["1 pint", 0.473],
])("“%s” is %d litres of room", (text, litres) => {
  // prettier-ignore
  const amount = readAmount(text);
  expect(amount.status === "volume" && amount.litres).toBeCloseTo(litres, 3);
});

test.each([
  ["", /how much/],
  ["heavy", /not an amount/],
  ["-3 kg", /below zero/],
  ["3 stone", /“stone” is not a unit/],
  ["2.5", /whole pieces/],
  ["3 kg!!", /not an amount/],
  ["1.200,5 g", /thousands or a decimal\?/],
  ["1,200 kg", /Is “1,200 kg” 1200 kg or 1.200 kg\?/],
  ["1 oz 3", /not a unit/],
])("“%s” is answered with a sentence", (text, words) => {
  const amount = readAmount(text);
  if (amount.status !== "not understood") throw new Error(amount.status);
  expect(amount.sentence).toMatch(words);
});
