import { expect, test } from "vitest";
import { clockTime, hoursOfDay, instantOf, localMoment, minutesOf } from ".";

test("the night the clocks change has 23 or 25 hours, and the hours say so", () => {
  expect(hoursOfDay("2026-03-29", "Europe/London")).toHaveLength(23);
  expect(hoursOfDay("2026-10-25", "Europe/London")).toHaveLength(25);
  expect(hoursOfDay("2026-09-19", "Europe/London")).toHaveLength(24);
  const autumn = hoursOfDay("2026-10-25", "Europe/London").map((at) => localMoment(at, "Europe/London").slice(11));
  expect(autumn.slice(0, 4)).toEqual(["00:00", "01:00", "01:00", "02:00"]);
  const spring = hoursOfDay("2026-03-29", "Europe/London").map((at) => localMoment(at, "Europe/London").slice(11));
  expect(spring.slice(0, 3)).toEqual(["00:00", "02:00", "03:00"]);
  // A zone whose clocks change by half an hour has no half hours left over.
  expect(hoursOfDay("2026-04-05", "Australia/Lord_Howe").length).toBeGreaterThanOrEqual(24);
});

test("a local moment and its instant undo each other, in any zone, but where a time is skipped", () => {
  for (const zone of ["Europe/London", "America/Los_Angeles", "Asia/Kathmandu", "Pacific/Auckland", "UTC"])
    for (const moment of ["2026-01-15T06:30", "2026-07-15T23:59", "2026-09-27T12:00", "2026-02-28T00:00"])
      expect(localMoment(instantOf(moment, zone), zone), `${zone} ${moment}`).toBe(moment);
  expect(instantOf("2026-07-01T12:00", "Asia/Kathmandu").toISOString()).toBe("2026-07-01T06:15:00.000Z");
  // Skipped in spring: an hour on. Twice in autumn: the first.
  expect(localMoment(instantOf("2026-03-29T01:30", "Europe/London"), "Europe/London")).toBe("2026-03-29T02:30");
  expect(instantOf("2026-10-25T01:30", "Europe/London").toISOString()).toBe("2026-10-25T00:30:00.000Z");
});

test("clock times and minutes", () => {
  expect([minutesOf("06:30"), clockTime(390), clockTime(2000), clockTime(-5)]).toEqual([
    390,
    "06:30",
    "23:59",
    "00:00",
  ]);
  expect(() => localMoment(new Date(0), "Garden/Shed")).toThrow(RangeError);
});
