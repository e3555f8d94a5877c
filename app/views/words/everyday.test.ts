import { expect, test } from "vitest";
import { EVERYDAY, everydaySize, nearestObject } from "./everyday";

test.each<[number | undefined, number | undefined, "length" | "width", string | undefined]>([
  [43, 67, "width", "a hen’s egg"],
  [20, 35, "width", "a quarter-dollar coin"],
  [undefined, 20, "width", "thinner than a thumb"],
  [97, undefined, "width", "thicker than a softball"],
  [280, undefined, "length", "longer than a forearm"],
  [undefined, 75, "length", "shorter than a finger"],
  [600, undefined, "length", undefined],
  [undefined, undefined, "width", undefined],
])("from %s to %s mm in %s is %s", (from, below, along, words) => expect(everydaySize(from, below, along)).toBe(words));

test("the nearest object is the nearest by ratio, and every object is nearest to itself", () => {
  for (const o of EVERYDAY) expect(nearestObject(o.mm, o.along)).toBe(o);
  expect(nearestObject(2, "width").name).toBe("a match head");
  expect(nearestObject(5000, "length").name).toBe("an arm to the elbow");
});
