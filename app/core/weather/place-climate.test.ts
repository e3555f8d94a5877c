import { describe, expect, test } from "vitest";
import { climatePlaces } from "~/catalogue/catalogue.server";
import { climateWorth } from "../../../scripts/climate-worth";
import { SEATTLE_DAYS as seattle } from "../../../tests/reference/seattle-days";
import { frostDates, frostSeason, monthlyNormals, normalsFromSeries, normalsOfPlace, placeClimate } from ".";

const places = climatePlaces();

describe("a climate drawn from places that are known", () => {
  test("left out one by one: lows, their band and the frost dates come as near as they have to", () => {
    const worth = climateWorth();
    expect(worth.places).toBeGreaterThanOrEqual(150);
    expect(worth.lowMedianC).toBeLessThanOrEqual(2.5);
    expect(worth.lowP90C).toBeLessThanOrEqual(6);
    expect(worth.band80).toBeGreaterThanOrEqual(0.75);
    expect(worth.band80).toBeLessThanOrEqual(0.88);
    expect(worth.frostMedianDays).toBeLessThanOrEqual(21);
  });

  test("a place of the table is drawn as it is there", () => {
    const dublin = places.find((p) => p.name === "Dublin")!;
    const drawn = placeClimate(places, dublin);
    for (const [m, low] of dublin.lowsC.entries()) expect(Math.abs(drawn.lowsC[m]! - low)).toBeLessThan(1.2);
  });

  test("inland is colder in winter than the coast of the same latitude, height than the plain", () => {
    const at = (longitude: number, seaKm: number, heightM: number | null) => placeClimate(places, { latitude: 52, longitude, seaKm, heightM }); // prettier-ignore
    expect(at(105, 1700, 470).lowsC[0]!).toBeLessThan(at(-4, 5, 50).lowsC[0]! - 12);
    expect(at(10, 200, 1200).lowsC[6]!).toBeLessThan(at(10, 200, 100).lowsC[6]! - 3);
    expect(at(10, 200, null).offC).toBeGreaterThan(at(10, 200, 100).offC);
  });

  test("in the south July is winter", () => {
    const { lowsC } = placeClimate(places, { latitude: -36, longitude: 147, seaKm: 250, heightM: 200 });
    expect(lowsC[6]!).toBeLessThan(lowsC[0]! - 6);
  });

  test("nothing is known of the middle of an ocean: the doubt says so", () => {
    const near = placeClimate(places, { latitude: 51, longitude: 0, seaKm: 30, heightM: 20 });
    const far = placeClimate(places, { latitude: -50, longitude: 70, seaKm: 5, heightM: 20 });
    expect(far.offC).toBeGreaterThan(1.5 * near.offC);
  });
});

// Outside check: four years of days at Seattle, of the vega-datasets package; the town is not in the table.
describe("Seattle, which the table does not know, against its own record", () => {
  const drawn = placeClimate(places, { latitude: 47.6, longitude: -122.3, seaKm: 5, heightM: 50 });
  const record = normalsFromSeries(seattle)!;
  test("it is not in the table", () => expect(places.some((p) => /Seattle/.test(p.name))).toBe(false));
  // Summer highs come out some 6 °C low: the map's coast counts a sheltered sound as open sea.
  test.each([15, 105, 196, 288])("day %i of the year: the low within 3 °C, the high within 6 °C", (doy) => {
    const normals = normalsOfPlace(drawn);
    expect(Math.abs(normals.minC[doy]! - record.minC[doy]!)).toBeLessThan(3);
    expect(Math.abs(normals.maxC[doy]! - record.maxC[doy]!)).toBeLessThan(6);
  });
  test("the first frost of the season lies within three weeks of the record’s", () => {
    const first = frostSeason(normalsOfPlace(drawn), 47.6).first.p50!;
    const [m, d] = frostDates(seattle, 0, 47.6).first.p50!.split("-").map(Number) as [number, number];
    expect(Math.abs(first - (m - 1) * 30.4 - d)).toBeLessThan(21);
  });
});

test("a place without frost has no frost season, one with frost at both ends has it the right way round", () => {
  const months = (low: number) => Array.from({ length: 12 }, () => [low, low + 8] as const);
  expect(frostSeason(monthlyNormals(months(22)), 10)).toEqual({ last: { p10: null, p50: null, p90: null }, first: { p10: null, p50: null, p90: null } }); // prettier-ignore
  const berlin = places.find((p) => p.name === "Berlin")!;
  const { last, first } = frostSeason(monthlyNormals(berlin.lowsC.map((l, m) => [l, berlin.highsC[m]!] as const)), 52.5); // prettier-ignore
  expect(last.p10!).toBeLessThan(last.p50!);
  expect(last.p50!).toBeLessThan(last.p90!);
  expect(first.p10!).toBeLessThan(first.p50!);
  expect(last.p90!).toBeLessThan(first.p10!);
});
