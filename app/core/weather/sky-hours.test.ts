import { expect, test } from "vitest";
import { addDays } from "../calendar";
import { dryFrom, leafWetness, opennessOf, roughNormals, skyHours, skyTrack, soilOutlook, type DailyWeather, type LeafHour } from "."; // prettier-ignore

const today = "2026-09-19";
const PLACE = { latitude: 52.4, longitude: -0.6, timeZone: "Europe/London" };
const track = (change: (n: number) => Partial<DailyWeather> = () => ({})) =>
  skyTrack(
    [],
    Array.from({ length: 8 }, (_, i) => ({ day: addDays(today, i - 2), minC: 8, maxC: 19, rainMm: 0, windKmh: 12, dewPointC: 7.5, cloudShare: 0.1, ...change(i - 2) })), // prettier-ignore
    roughNormals(52),
    addDays(today, -10),
    today,
    addDays(today, 20),
  );

test("hours follow the day: coolest about sunrise, warmest in the afternoon, none beyond the forecast", () => {
  const days = skyHours(track(), PLACE, 14, []);
  expect(days).toHaveLength(6);
  const { hours } = days[1]!;
  expect(hours).toHaveLength(24);
  const coolest = hours.reduce((a, b) => (b.airC < a.airC ? b : a));
  const warmest = hours.reduce((a, b) => (b.airC > a.airC ? b : a));
  expect(["07:00", "08:00"]).toContain(coolest.clock);
  expect(["14:00", "15:00", "16:00"]).toContain(warmest.clock);
  for (const h of hours) expect(h.dewPointC).toBeLessThanOrEqual(h.airC);
});

test("a clear calm damp night lays dew that dries in the morning; wind or dry air keep it off", () => {
  const clear = skyHours(track(), PLACE, 2, [])[1]!;
  expect(clear.hours.find((h) => h.clock === "06:00")!.leavesWet).toBe("dew");
  const dry = dryFrom(clear);
  expect(typeof dry === "number" && dry > 7 * 60 && dry <= 12 * 60).toBe(true);
  expect(
    dryFrom(
      skyHours(
        track(() => ({ windKmh: 45 })),
        PLACE,
        2,
        [],
      )[1]!,
    ),
  ).toBeNull();
  expect(
    dryFrom(
      skyHours(
        track(() => ({ dewPointC: 2 })),
        PLACE,
        2,
        [],
      )[1]!,
    ),
  ).toBeNull();
});

test("rain at hours that are told wets those hours; a day's rain without hours may fall at any", () => {
  const rainy = track((n) => (n === 1 ? { rainMm: 6, windKmh: 40 } : { windKmh: 40, dewPointC: 3 }));
  const told = skyHours(rainy, PLACE, 3, []).flatMap((d) => d.hours.map((h) => ({ at: h.at.toISOString(), rainMm: d.day === addDays(today, 1) && h.clock >= "14:00" && h.clock < "17:00" ? 2 : 0, dewPointC: 3 }))); // prettier-ignore
  const day = skyHours(rainy, PLACE, 3, told)[1]!;
  expect(day.rainHoursKnown).toBe(true);
  expect(day.hours.find((h) => h.clock === "10:00")!.leavesWet).toBeNull();
  expect(day.hours.find((h) => h.clock === "15:00")!.leavesWet).toBe("rain");
  expect(dryFrom(day)).toBeNull();
  const untold = skyHours(rainy, PLACE, 3, [])[1]!;
  expect(untold.rainHoursKnown).toBe(false);
  expect(dryFrom(untold)).toBe("all day");
});

test("a dry day has no untold rain, though its leaves begin wet from the day before; a day of unknown rain has", () => {
  const after = skyHours(
    track((n) => (n === 1 ? { rainMm: 6 } : {})),
    PLACE,
    4,
    [],
  );
  expect(after.map((d) => d.rainHoursKnown)).toEqual([true, false, true, true]);
  expect(after[2]!.hours[0]!.leavesWet).toBe("rain");
  expect(
    skyHours(
      track(() => ({ rainMm: null })),
      PLACE,
      2,
      [],
    ).map((d) => d.rainHoursKnown),
  ).toEqual([false, false]);
});

const leaf = (change: Partial<LeafHour>): LeafHour => ({
  airC: 15,
  dewPointC: 8,
  rainMm: 0,
  windKmh: 8,
  sunIsUp: true,
  openSky: 0,
  ...change,
});

test("leaves dry sooner in wind and dry air, never while it rains, and a film is never less than none", () => {
  const dryAfter = (change: Partial<LeafHour>) => leafWetness([leaf({ rainMm: 2 }), ...Array.from({ length: 30 }, () => leaf(change))]).lastIndexOf("rain"); // prettier-ignore
  expect(dryAfter({ windKmh: 30 })).toBeLessThanOrEqual(dryAfter({ windKmh: 2 }));
  expect(dryAfter({ dewPointC: 0 })).toBeLessThanOrEqual(dryAfter({ dewPointC: 12 }));
  expect(dryAfter({ sunIsUp: false })).toBeGreaterThan(dryAfter({}));
  expect(leafWetness(Array.from({ length: 5 }, () => leaf({ rainMm: 1 })))).toEqual(
    Array.from({ length: 5 }, () => "rain"),
  );
  expect(leafWetness([leaf({}), leaf({})])).toEqual([null, null]);
  expect(leafWetness([])).toEqual([]);
});

test("cloud, wind, rain and what is not known close the sky", () => {
  const open = (change: Partial<DailyWeather>) =>
    opennessOf(
      track(() => change),
      12,
    );
  expect(open({})).toBeCloseTo(0.7 * 0.9, 9);
  expect(open({ dewPointC: 2 })).toBeCloseTo(0.9, 9);
  expect(open({ cloudShare: 1 })).toBe(0);
  expect(open({ windKmh: 30 })).toBe(0);
  expect(open({ rainMm: 3 })).toBe(0);
  expect(open({ rainMm: null })).toBe(0);
});

test("soil lags the air: a cold snap reaches it late and weakly, and its spread is smaller than the air's", () => {
  const snap = track((n) => (n >= 2 ? { minC: -6, maxC: 0 } : {}));
  const soil = soilOutlook(snap, 6);
  const air = (n: number) => (snap.minC[10 + n]! + snap.maxC[10 + n]!) / 2;
  expect(soil[2]!.meanC - air(2)).toBeGreaterThan(8);
  for (let n = 3; n < 6; n++) expect(soil[n]!.meanC).toBeLessThan(soil[n - 1]!.meanC);
  expect(soil[5]!.meanC).toBeGreaterThan(air(5));
  expect(soil[3]!.spreadC).toBeLessThan(snap.missMeanC[13]!);
  // Closes a quarter of the gap a day, from memory of the source: 4 days leave (3/4)^4 of it.
  const step = soilOutlook(skyTrack(Array.from({ length: 11 }, (_, i) => ({ day: addDays(today, i - 10), minC: 10, maxC: 10, rainMm: 0, windKmh: 0 })), Array.from({ length: 6 }, (_, i) => ({ day: addDays(today, i + 1), minC: 0, maxC: 0, rainMm: 0, windKmh: 0, issuedOn: today })), roughNormals(52), addDays(today, -10), today, addDays(today, 20)), 5); // prettier-ignore
  expect(step[0]!.meanC).toBeCloseTo(10, 6);
  expect(step[4]!.meanC).toBeLessThan(4.5);
  expect(() => soilOutlook(snap, 60)).toThrow(RangeError);
});
