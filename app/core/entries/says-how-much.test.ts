import { expect, test } from "vitest";
import { saysHowMuch } from "./entry";

test.each([
  ["", "", false],
  ["0", "", false],
  [" 00 ", " ", false],
  ["3", "", true],
  ["about 20", "", true],
  ["-2", "", true],
  ["", "840 g", true],
  ["0", "1 kg", true],
])("a pick of “%s” pieces and “%s” says how much: %s", (count, weight, says) => {
  expect(saysHowMuch({ outcome: "picked", count, weight })).toBe(says);
});

test("where nothing was ready nothing is to be said", () => {
  expect(saysHowMuch({ outcome: "nothing ready" })).toBe(true);
});
