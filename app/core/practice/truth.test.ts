import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import {
  developmentOn,
  firstPickOf,
  gardener,
  growTruly,
  measureSize,
  readableCues,
  readCue,
  trueHeat,
  trueWeather,
} from ".";

const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const grown = (id: string, seed = 5, shift = 0) =>
  growTruly({
    crop: crop(id),
    startedOn: "2026-05-20",
    extraC: 0,
    gardenShift: shift,
    varietyShift: shift,
    gardenWarmth: 0,
    weather: trueWeather(seed, "2026-05-20", 160),
    seed,
  });

test("the same seed grows the same season; another seed another", () => {
  expect(trueWeather(3, "2026-04-01", 30)).toEqual(trueWeather(3, "2026-04-01", 30));
  expect(trueWeather(4, "2026-04-01", 30)).not.toEqual(trueWeather(3, "2026-04-01", 30));
  expect(grown("carrot").readyOn).toBe(grown("carrot").readyOn);
});

test("heat by the hour: none below the base, all of it between, no more above the cutoff", () => {
  expect(trueHeat({ minC: 0, maxC: 5 }, 10, 30, 0)).toBe(0);
  expect(trueHeat({ minC: 15, maxC: 25 }, 10, 30, 0)).toBeCloseTo(10, 6);
  expect(trueHeat({ minC: 35, maxC: 40 }, 10, 30, 0)).toBeCloseTo(20, 6);
});

test("a planting only goes forward, and is ready when it has its heat", () => {
  const plant = grown("courgette");
  for (let i = 1; i < plant.development.length; i++)
    expect(plant.development[i]!).toBeGreaterThanOrEqual(plant.development[i - 1]!);
  expect(developmentOn(plant, plant.readyOn!)).toBeGreaterThanOrEqual(1);
  expect(developmentOn(plant, addDays(plant.readyOn!, -1))).toBeLessThan(1);
});

test("a garden that runs late is ready later", () => {
  expect(grown("carrot", 5, 2).readyOn! > grown("carrot", 5, -2).readyOn!).toBe(true);
});

test("readings rise with the plant in the mean, and err in single looks", () => {
  const plant = grown("tomato_large", 9);
  const cue = crop("tomato_large").cues.find((c) => c.id === "colour_stage")!;
  const at = (ago: number) => {
    let sum = 0;
    for (let p = 0; p < 40; p++) {
      const read = readCue(gardener(p), plant, cue, addDays(plant.readyOn!, -ago));
      sum += cue.readings.findIndex((r) => r.id === read.id);
    }
    return sum / 40;
  };
  expect(at(12)).toBeLessThan(at(2));
  expect(at(2)).toBeLessThan(at(-4));
  const seen = new Set(Array.from({ length: 40 }, (_, p) => readCue(gardener(p), plant, cue, plant.readyOn!).id));
  expect(seen.size).toBeGreaterThan(1);
});

test("a size is about the target on the day it is ready", () => {
  const plant = grown("carrot");
  const sizes = Array.from({ length: 60 }, (_, p) => measureSize(gardener(p), plant, plant.readyOn!)!);
  const mean = sizes.reduce((a, b) => a + b, 0) / sizes.length;
  expect(mean).toBeGreaterThan(0.9 * crop("carrot").target!.lowMm);
  expect(mean).toBeLessThan(1.15 * crop("carrot").target!.lowMm);
  expect(measureSize(gardener(1), grown("tomato_large"), "2026-08-20")).toBeUndefined();
});

test("a first pick is on or after the ready day, within the window’s first half", () => {
  const plant = grown("bean_bush");
  for (let seed = 1; seed < 20; seed++) {
    const picked = firstPickOf(plant, seed)!;
    expect(picked >= plant.readyOn! && picked <= addDays(plant.readyOn!, 3)).toBe(true);
  }
});

test("every crop but the egg has something to read on the way to ripeness, which is laid, not ripened", () => {
  const silent = catalogue().filter((c) => readableCues(c).length === 0).map((c) => c.id); // prettier-ignore
  expect(silent).toEqual(["hens_eggs"]);
});
