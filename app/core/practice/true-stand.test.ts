import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { TrueStand, growTruly, type SkyCame } from ".";

const START = "2026-05-20";
const OPEN = { nightC: 0, dayC: 0, radiationC: -1, sheltered: false };
const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const mild = (n: number, change: Partial<SkyCame> = {}): SkyCame => ({ day: addDays(START, n), minC: 13, maxC: 24, rainMm: 0, windKmh: 10, cloudShare: 1, hail: false, ...change }); // prettier-ignore
const weather = (days: number, on: Record<number, Partial<SkyCame>> = {}) => Array.from({ length: days }, (_, n) => mild(n, on[n])); // prettier-ignore

/** A planting with so many pieces coming ready on given days after its start. */
function stand(id: string, born: Record<number, number>, on: Record<number, Partial<SkyCame>> = {}, days = 160) {
  const sky = weather(days, on);
  const plant = growTruly({ crop: crop(id), startedOn: START, extraC: 0, gardenShift: 0, varietyShift: 0, gardenWarmth: 0, weather: sky, seed: 4 }); // prettier-ignore
  const readyOn = Float64Array.from({ length: days }, (_, n) => born[n] ?? 0);
  return { plant, stand: new TrueStand({ plant, plants: 4, readyOn }, OPEN, sky, 9) };
}

test("pieces hang from the day they come ready until hands take them, and only once", () => {
  const { stand: bean } = stand("bean_bush", { 60: 10, 61: 20, 62: 5 });
  expect([bean.hanging(59), bean.hanging(60), bean.hanging(61)]).toEqual([0, 10, 30]);
  const taken = bean.take(61, 100);
  expect(taken.pieces).toBe(30);
  expect(taken.worth).toBeCloseTo((30 * crop("bean_bush").pieceGrams.value * crop("bean_bush").worthPerKg.value) / 1000); // prettier-ignore
  expect([bean.hanging(61), bean.hanging(62)]).toEqual([0, 5]);
  expect(bean.isOver(61)).toBe(false);
  bean.take(62, 100);
  expect(bean.isOver(62)).toBe(true);
});

test("what waits loses its worth, costs later pieces, and drops in the end", () => {
  const { stand: left } = stand("bean_bush", { 60: 10, 61: 1, 90: 30 });
  const fresh = left.quality(60, 61);
  expect(fresh).toBe(1);
  expect(left.quality(60, 70)).toBeLessThan(1);
  for (let i = 60; i < 89; i++) left.night(i);
  expect(left.lost.age).toBeCloseTo(11, 6);
  expect(left.lost.overgrown).toBeGreaterThan(3);
  expect(left.hanging(90)).toBeCloseTo(30 - left.lost.overgrown, 6);
});

test("where time is short the best are taken first", () => {
  const { stand: bean } = stand("bean_bush", { 60: 10, 70: 10 });
  const part = bean.take(70, 10);
  expect(part.past).toBe(0);
  expect(bean.take(70, 10).past).toBe(10);
});

test("a killing frost takes what hangs and what would have come; a hardy root stands through it", () => {
  const frost = { 65: { minC: -6 } };
  const { stand: bean } = stand("bean_bush", { 60: 10, 70: 10 }, frost);
  for (let i = 60; i < 70; i++) bean.night(i);
  expect(bean.lost.cold).toBe(10);
  expect(bean.hanging(75)).toBe(0);
  const { stand: leek } = stand("leek", { 60: 10 }, frost);
  for (let i = 60; i < 70; i++) leek.night(i);
  expect(leek.hanging(70)).toBe(10);
});

test("gales and soakings take their share under the open sky", () => {
  const share = crop("sunflower").storm.gustLoss;
  const { stand: flower } = stand("sunflower", { 60: 10 }, { 61: { windKmh: 90 } });
  flower.night(60);
  expect(flower.lost.wind).toBe(0);
  flower.night(61);
  expect(flower.lost.wind).toBeCloseTo(10 * share);
});

test("what is ready as a whole may be taken early, in its prime or past it, and is worth as much as it then is", () => {
  const sky = weather(200);
  const { plant } = stand("onion_bulb", {}, {}, 200);
  const at = sky.findIndex((d) => d.day === plant.readyOn);
  const { stand: onion } = stand("onion_bulb", { [at]: 10 }, {}, 200);
  expect(onion.asOne).toBe(true);
  expect(onion.hanging(at - 30)).toBe(10);
  expect(onion.quality(at, 20)).toBe(0);
  expect(onion.quality(at, at - 1)).toBe(crop("onion_bulb").worthEarly.value);
  expect(onion.quality(at, at)).toBe(1);
  expect(onion.quality(at, 199)).toBeLessThan(1);
  expect(onion.take(at - 1, 4)).toMatchObject({ pieces: 4, early: 4 });
});

test("heat counts from the day that its need says", () => {
  const grown = (countsFrom: string) => growTruly({ crop: crop("carrot"), need: { low: 500, high: 600, countsFrom, windowDays: 20 }, startedOn: START, extraC: 0, gardenShift: 0, varietyShift: 0, gardenWarmth: 0, weather: weather(160), seed: 4 }); // prettier-ignore
  const late = addDays(START, 21);
  expect(grown(late).readyOn! > addDays(grown(START).readyOn!, 18)).toBe(true);
  expect(grown(late).development[20]).toBe(0);
});
