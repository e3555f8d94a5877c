import psychrolib from "psychrolib"; // ASHRAE Handbook, Fundamentals 2017, ch. 1, eq. 5 and 6
import { expect, test } from "vitest";
import { dewPoint, heatIndex, relativeHumidity, saturationVapourHpa } from "~/core/weather";

psychrolib.SetUnitSystem(psychrolib.SI);

const grid = Array.from({ length: 51 }, (_, airC) => [0.1, 0.2, 0.3, 0.45, 0.6, 0.75, 0.9, 1].map((h) => [airC, h] as const)).flat(); // prettier-ignore

test("dew point agrees with psychrolib from 0 to 50 °C, 10 to 100 %, wherever the dew point is above freezing", () => {
  let widest = 0;
  let compared = 0;
  for (const [airC, humidity] of grid) {
    const expected = psychrolib.GetTDewPointFromRelHum(airC, humidity);
    // Below 0 °C psychrolib gives the frost point: not comparable.
    if (expected < 0) continue;
    compared++;
    widest = Math.max(widest, Math.abs(dewPoint(airC, humidity) - expected));
  }
  console.log(`dew point: widest difference ${widest.toFixed(3)} °C over ${compared} points`);
  expect(compared).toBeGreaterThan(250);
  expect(widest).toBeLessThan(0.06);
});

test("relative humidity from a dew point agrees with psychrolib within half a point", () => {
  for (const airC of [5, 12, 20, 28, 35])
    for (const fall of [0, 2, 5, 9]) {
      const dew = airC - fall;
      if (dew < 0) continue;
      const expected = psychrolib.GetRelHumFromTDewPoint(airC, dew);
      expect(Math.abs(relativeHumidity(airC, dew) - expected), `${airC}/${dew}`).toBeLessThan(0.005);
    }
});

test("saturation vapour pressure agrees with psychrolib within 0.4 % over water", () => {
  for (let airC = 0; airC <= 50; airC += 2.5)
    expect(saturationVapourHpa(airC) / (psychrolib.GetSatVapPres(airC) / 100)).toBeCloseTo(1, 2);
});

test("saturated air is at its dew point; dew point and humidity undo each other", () => {
  expect(dewPoint(12, 1)).toBeCloseTo(12, 9);
  for (const [airC, humidity] of grid) if (airC > 0) expect(relativeHumidity(airC, dewPoint(airC, humidity))).toBeCloseTo(humidity, 6); // prettier-ignore
  expect(relativeHumidity(10, 14)).toBe(1);
});

test.each([80, 0, NaN])("humidity %d is refused: it is a fraction", (h) => expect(() => dewPoint(20, h)).toThrow(RangeError)); // prettier-ignore
test.each([-41, 51, NaN])("%d °C is outside the fit", (c) => expect(() => saturationVapourHpa(c)).toThrow(RangeError)); // prettier-ignore

// The heat index table of the US National Weather Service, °F (values from memory of the table).
test.each([
  [80, 40, 80],
  [90, 40, 91],
  [90, 70, 105],
  [86, 90, 105],
  [100, 40, 109],
  [96, 50, 108],
  [110, 40, 136],
])("%d °F at %d %% feels like %d °F", (f, percent, feels) => {
  const index = heatIndex(((f - 32) * 5) / 9, percent / 100);
  expect(Math.abs((index * 9) / 5 + 32 - feels)).toBeLessThan(1.3);
});

test("below 80 °F the air is what it feels like; humidity never makes it feel cooler", () => {
  expect(heatIndex(20, 0.9)).toBe(20);
  for (let c = 27; c < 42; c++) for (let h = 0.1; h <= 1; h += 0.1) expect(heatIndex(c, h)).toBeGreaterThanOrEqual(c);
  expect(() => heatIndex(30, 60)).toThrow(RangeError);
});
