import { expect, test } from "vitest";
import { firstPickSays, learntFrom, type FirstPick } from ".";
import { asLearnt } from "./learning";

const packet = { median: 600, logSpread: 0.1 };
const saw = (variety: string, logRatio: number): FirstPick => ({ variety, logRatio, logSpread: 0.1 });

test("without a first pick the packet stands", () => {
  expect(asLearnt(learntFrom([], "red"), packet)).toEqual(packet);
});

test("early first picks lower the requirement, never by more than they say, and narrow it", () => {
  const learnt = asLearnt(learntFrom([saw("red", -0.12), saw("red", -0.12)], "red"), packet);
  expect(learnt.median).toBeLessThan(packet.median);
  expect(learnt.median).toBeGreaterThan(packet.median * Math.exp(-0.12));
  expect(learnt.logSpread).toBeLessThan(packet.logSpread);
});

test("more picks that agree move it further towards what they say", () => {
  const median = (n: number) =>
    asLearnt(learntFrom(new Array<FirstPick>(n).fill(saw("red", 0.15)), "red"), packet).median;
  expect(median(2)).toBeGreaterThan(median(1));
  expect(median(20)).toBeGreaterThan(median(2));
  expect(median(400)).toBeCloseTo(packet.median * Math.exp(0.15), 0);
});

test("another variety of the crop teaches a little, its own picks more", () => {
  const shift = (variety: string) => Math.log(asLearnt(learntFrom([saw("red", -0.1)], variety), packet).median / 600);
  expect(shift("yellow")).toBeLessThan(0);
  expect(shift("red")).toBeLessThan(shift("yellow"));
});

test("the update is the conjugate normal one, worked by hand for one pick of one variety", () => {
  // Prior variance 0.8 · 0.01 (crop and variety), noise 0.2 · 0.01 + 0.04²: weight of the pick 0.008 / (0.008 + 0.0036).
  const shift = Math.log(asLearnt(learntFrom([saw("red", 0.1)], "red"), packet).median / 600);
  expect(shift).toBeCloseTo(0.1 * (0.008 / (0.008 + 0.0036)), 9);
});

test("the order of the picks does not matter", () => {
  const picks = [saw("red", 0.1), saw("yellow", -0.05), saw("red", 0.02)];
  const one = asLearnt(learntFrom(picks, "red"), packet).median;
  expect(asLearnt(learntFrom([...picks].reverse(), "red"), packet).median).toBeCloseTo(one, 9);
});

test("a first pick comes a little after it was ready, at most three days", () => {
  expect(firstPickSays(612, 12, 4, packet).logRatio).toBeCloseTo(0, 9);
  expect(firstPickSays(636, 12, 100, packet).logRatio).toBeCloseTo(0, 9);
});
