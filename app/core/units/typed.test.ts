import { expect, test } from "vitest";
import { typedCount, typedWeight } from "./typed";

test.each([
  ["9", 9, false],
  ["a dozen", 12, false],
  ["about 20", 20, true],
  ["0", 0, false],
])("pieces: %s", (typed, pieces, about) =>
  expect(typedCount(typed)).toEqual({ status: "ok", value: { pieces, about } }),
);

test.each([
  ["-3", /below zero/],
  ["2.5", /“2.5” is not a whole number/],
  ["20001", /More than 20000/],
  ["2 kg", /“2 kg” is not a whole number/],
])("no pieces: %s", (typed, says) => expect(typedCount(typed)).toMatchObject({ sentence: expect.stringMatching(says) as string })); // prettier-ignore

test.each([
  ["840 g", 840, false],
  ["about 2 kg", 2000, true],
])("a weight: %s", (typed, grams, about) => expect(typedWeight(typed)).toMatchObject({ value: { grams, about } }));

test.each([
  ["840", /Add a unit to “840”/],
  ["3 quarts", /weigh it/],
  ["heavy", /“heavy”/],
])("no weight: %s", (typed, says) => expect(typedWeight(typed)).toMatchObject({ sentence: expect.stringMatching(says) as string })); // prettier-ignore
