import { expect, test } from "vitest";
import { addDays } from "../calendar";
import { normalDraw, seeded } from "../statistics";
import { UNMEASURED, errorAt, measuredError, roughNormals, skyTrack, type DailyWeather, type ForecastDay } from ".";

const normals = roughNormals(50);
const FIRST = "2025-01-01";

/** Weather about the normals, and forecasts of it with a known bias and a noise of their own. */
function archive(days: number, biasC: number, noiseC: (lead: number) => number) {
  const uniform = seeded(5);
  const observed: DailyWeather[] = Array.from({ length: days }, (_, n) => {
    const stray = 3 * normalDraw(uniform);
    const doy = (n % 365) + 1;
    return {
      day: addDays(FIRST, n),
      minC: normals.minC[doy]! + stray,
      maxC: normals.maxC[doy]! + stray,
      rainMm: 0,
      windKmh: 20,
    };
  });
  const told: ForecastDay[] = observed.flatMap((d, n) =>
    [1, 5].flatMap(
      (lead) =>
      n < lead ? [] : [{ ...d, issuedOn: addDays(d.day, -lead), minC: d.minC + biasC + noiseC(lead) * normalDraw(uniform), maxC: d.maxC + 9 }], // prettier-ignore
    ),
  );
  return { observed, told };
}

test("bias and spread are found by lead, from what was told and what came", () => {
  const { observed, told } = archive(400, 1.5, (lead) => 0.3 * lead);
  const error = measuredError(told, observed, normals);
  // Told is truth plus noise, so that what comes is drawn to the usual: slope 9 ÷ (9 + noise²).
  expect(errorAt(error, 1).minC).toMatchObject({
    bias: expect.closeTo(-1.5, 0),
    slope: expect.closeTo(0.99, 1) as number,
  });
  expect(errorAt(error, 5).minC.slope).toBeCloseTo(9 / (9 + 2.25), 1);
  expect(errorAt(error, 1).minC.spread).toBeLessThan(0.5);
  expect(errorAt(error, 5).minC.spread).toBeGreaterThan(1);
  expect(errorAt(error, 1).maxC.bias).toBeCloseTo(-9, 0);
  expect(error.pairs).toBe(399 + 395);
  expect(errorAt(error, 3)).toEqual({ ...errorAt(UNMEASURED, 3) });
});

test("little is known from few forecasts: the prior holds", () => {
  const { observed, told } = archive(4, 6, () => 0);
  const few = errorAt(measuredError(told, observed, normals), 1).minC;
  expect(few.bias).toBeLessThan(-0.5);
  expect(few.bias).toBeGreaterThan(-3);
  expect(few.spread).toBeGreaterThan(1);
  expect(measuredError([], observed, normals)).toEqual(UNMEASURED);
});

test("forecasts for days never seen, of the past, or with no rain told do no harm", () => {
  const { observed, told } = archive(60, 0, () => 0.5);
  const odd: ForecastDay[] = [
    { ...told[0]!, day: "2031-01-01", issuedOn: "2030-12-31" },
    { ...told[0]!, issuedOn: "2031-01-01" },
    { ...told[5]!, rainMm: null, windKmh: null },
  ];
  const error = measuredError([...told, ...odd], observed, normals);
  expect(error.pairs).toBe(told.length + 1);
  for (const lead of error.byLead) for (const m of [lead.minC, lead.maxC, lead.windKmh, lead.rainRoot]) expect(Number.isFinite(m.bias + m.slope + m.spread) && m.spread > 0).toBe(true); // prettier-ignore
});

test("the track reads a forecast as forecasts of its lead have come, and a stale one as poorer", () => {
  const { observed, told } = archive(400, 1.5, (lead) => 0.3 * lead);
  const error = measuredError(told, observed, normals);
  const today = "2026-03-01";
  const day = (issuedOn: string) => ({ day: "2026-03-02", minC: 2, maxC: 9, rainMm: 0, windKmh: 10, issuedOn });
  const low = (issuedOn: string) => {
    const track = skyTrack([], [day(issuedOn)], normals, today, today, "2026-03-05", error);
    return { minC: track.minC[1]!, miss: track.missMinC[1]! };
  };
  expect(low(today).minC).toBeCloseTo(0.5, 0);
  expect(low("2026-02-25").miss).toBeGreaterThan(low(today).miss);
});
