import { mean } from "simple-statistics";
import { expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { DailyWeather } from "~/core/weather";
import { simulatedWeather } from "./simulated-weather.server";

const service = simulatedWeather(11);

test("every made-up day is possible weather, without gaps, and the same seed makes the same", () => {
  const days = service.observed("2023-01-01", "2026-12-31");
  expect(days).toHaveLength(1461);
  for (const day of days) expect(DailyWeather.safeParse(day).success, JSON.stringify(day)).toBe(true);
  expect(simulatedWeather(11).observed("2024-05-01", "2024-05-31")).toEqual(
    service.observed("2024-05-01", "2024-05-31"),
  );
  expect(simulatedWeather(12).observed("2024-05-01", "2024-05-31")).not.toEqual(
    service.observed("2024-05-01", "2024-05-31"),
  );
});

test("the climate is cool and temperate: July warm, January cold, some rain on a third to a half of the days", () => {
  const month = (m: string) => service.observed("2023-01-01", "2025-12-31").filter((d) => d.day.slice(5, 7) === m);
  expect(mean(month("07").map((d) => d.maxC))).toBeGreaterThan(20);
  expect(mean(month("01").map((d) => d.minC))).toBeLessThan(2);
  const wet = service.observed("2023-01-01", "2025-12-31").map((d) => ((d.rainMm ?? 0) > 0 ? 1 : 0));
  expect(mean(wet)).toBeGreaterThan(0.33);
  expect(mean(wet)).toBeLessThan(0.5);
});

test("forecasts miss by more the further they look, and differ from issue to issue", () => {
  const missAt = (lead: number) =>
    mean(
      Array.from({ length: 200 }, (_, n) => {
        const issued = addDays("2024-01-01", 3 * n);
        const told = service.forecast(issued)[lead]!;
        const truth = service.observed(told.day, told.day)[0]!;
        return Math.abs(told.minC - truth.minC);
      }),
    );
  expect(missAt(9)).toBeGreaterThan(1.8 * missAt(0));
  expect(missAt(0)).toBeLessThan(1);
  const target = "2024-05-10";
  const told = [1, 2, 3].map((lead) => service.forecast(addDays(target, -lead))[lead]!.minC);
  expect(new Set(told).size).toBeGreaterThan(1);
});

test("a forecast starts on the day it is issued and is told without gaps", () => {
  const days = service.forecast("2026-09-19").map((d) => d.day);
  expect(days).toEqual(Array.from({ length: 11 }, (_, n) => addDays("2026-09-19", n)));
});
