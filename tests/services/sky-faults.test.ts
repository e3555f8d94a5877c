import { beforeEach, expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { handsOn, type HandsRules } from "~/core/hands";
import { stationDays } from "~/core/weather";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allTrips, handsRules } from "~/db/sky/hands.server";
import { saveForecast } from "~/db/sky/forecasts.server";
import { observedDays, saveObserved } from "~/db/sky/weather.server";
import { weatherDay } from "~/db/schema/index.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { takeCalendar } from "~/services/sky/calendar-import.server";
import { measuredErrorOf, newestForecast } from "~/services/sky/forecast-archive.server";
import { DayForm, setDay } from "~/services/sky/free-minutes.server";
import { HandWeatherForm } from "~/services/sky/hand-weather.server";
import { importWeather } from "~/services/sky/import-weather.server";
import { skyDesk } from "~/services/sky/sky-desk.server";
import { skyPage } from "~/services/sky/sky-page.server";
import { saveTrip } from "~/services/sky/trips.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { demoGarden } from "./garden-fixture";

const TODAY = "2026-09-19";
let db: Db;
let garden: GardenRow;
beforeEach(() => ({ db, garden } = demoGarden()));

const rules = (more: Partial<HandsRules>): HandsRules => ({ minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: 40, midday: 40, evening: 40 })), exceptions: [], busy: [], trips: [], helpers: [], ...more }); // prettier-ignore
const day = (on: string, minC: number, maxC: number) => ({ day: on, minC, maxC, rainMm: 0, windKmh: 10 });
const trip = (from: string, to: string, more: object = {}) => ({ id: "", name: "Coast", from, to, leaveAt: null, backAt: null, ...more }); // prettier-ignore

test("two meetings at the same time would have taken the time twice", () => {
  const at = (from: string, to: string, name: string) => ({ name, from: `${TODAY}T${from}`, to: `${TODAY}T${to}` });
  const one = handsOn(rules({ busy: [at("16:00", "18:30", "Choir")] }), TODAY);
  const both = handsOn(rules({ busy: [at("16:00", "18:30", "Choir"), at("17:00", "18:00", "Call"), at("16:30", "18:30", "Choir again")] }), TODAY); // prettier-ignore
  expect(both.slots).toEqual(one.slots);
  expect(one.slots.evening).toBe(20);
  expect(both.because).toEqual(["Choir", "Call", "Choir again"]);
});

test("minutes said for a day that a trip cuts would have been cut again", () => {
  saveTrip(db, trip("2026-09-22", "2026-09-24", { leaveAt: "18:00" }));
  setDay(db, DayForm.parse({ day: "2026-09-22", slot: "evening", minutes: "25" }));
  expect(handsOn(handsRules(db), "2026-09-22").slots.evening).toBe(25);
});

test("minutes said for a day go when a trip is laid over it", () => {
  setDay(db, DayForm.parse({ day: "2026-09-23", slot: "evening", minutes: "90" }));
  expect(handsOn(handsRules(db), "2026-09-23").slots.evening).toBe(90);
  saveTrip(db, trip("2026-09-22", "2026-09-24"));
  expect(handsOn(handsRules(db), "2026-09-23").minutes).toBe(0);
});

test("a trip that is over would have been said to change the plan", async () => {
  const form = new FormData();
  for (const [name, value] of Object.entries({ intent: "save trip", name: "May", from: "2026-05-01", to: "2026-05-03" })) form.set(name, value); // prettier-ignore
  expect(await skyDesk(db, garden, form)).toMatchObject({ done: "May noted; it is over, so the plan stays as it is." });
});

test("an event that was cancelled would have stayed", async () => {
  const file = (...more: string[]) => ["BEGIN:VCALENDAR", "BEGIN:VEVENT", "UID:lakes", "SUMMARY:Lakes", "DTSTART:20261002T140000", "DTEND:20261004T180000", ...more, "END:VEVENT", "END:VCALENDAR"].join("\r\n"); // prettier-ignore
  const take = (text: string) => takeCalendar(db, garden, text, () => "trip");
  await take(file());
  expect(allTrips(db).map((t) => t.name)).toContain("Lakes");
  expect(await take(file("STATUS:CANCELLED"))).toMatchObject({ status: "taken", trips: 0 });
  expect(allTrips(db).map((t) => t.name)).not.toContain("Lakes");
});

const forecast = (issuedAt: string, minC: number, hours: object[] = []) =>
  saveForecast(db, { source: issuedAt, issuedAt, issuedOn: TODAY, days: [day("2026-09-21", minC, 20)], hours: hours as never }); // prettier-ignore

test("a forecast told in another zone would have been taken for the newer one by its letters", () => {
  forecast("2026-09-19T13:30:00+09:00", 1);
  forecast("2026-09-19T05:30:00Z", 8);
  // 05:30 in London is an hour after 13:30 in Tokyo.
  expect(newestForecast(db, TODAY).days.find((d) => d.day === "2026-09-21")!.minC).toBe(8);
});

test("one day typed by hand would have dropped the hours that the service told", () => {
  forecast("2026-09-19T05:30:00Z", 8, [{ at: "2026-09-20T06:00:00Z", rainMm: 2 }]);
  forecast("2026-09-19T05:45:00Z", 6);
  const { hours, days } = newestForecast(db, TODAY);
  expect(hours).toHaveLength(1);
  expect(days.find((d) => d.day === "2026-09-21")!.minC).toBe(6);
});

test("a zone half an hour off would have lost every hour that was told", () => {
  const told = Array.from({ length: 48 }, (_, n) => ({ at: new Date(Date.UTC(2026, 8, 18, 12 + n)).toISOString(), rainMm: n === 20 ? 3 : 0 })); // prettier-ignore
  saveForecast(db, { source: "h", issuedAt: "2026-09-19T05:59:00Z", issuedOn: TODAY, days: [0, 1].map((n) => ({ ...day(addDays(TODAY, n), 9, 20), rainMm: n === 0 ? 3 : 0 })), hours: told }); // prettier-ignore
  const kolkata = { ...garden, latitude: 22.5, longitude: 88.3, timeZone: "Asia/Kolkata" };
  const { terms } = plannedGarden(db, kolkata).outlook;
  expect(terms[0]!.hours).toMatchObject({ rainHoursKnown: true });
  expect(terms[0]!.hours!.hours.filter((h) => h.rainMm > 0)).toHaveLength(1);
});

test("an error measured before the record was corrected would have stayed", () => {
  const before = measuredErrorOf(db, garden);
  const wrong = observedDays(db).filter((d) => d.day >= "2026-07-01").map((d) => ({ ...d, rainMm: d.rainMm ?? 0, windKmh: d.windKmh ?? 0, minC: d.minC - 8, maxC: d.maxC })); // prettier-ignore
  saveObserved(db, wrong, "corrected");
  expect(measuredErrorOf(db, garden)).not.toEqual(before);
});

test.each(["0000-01-01", "0026-05-01", "9999-12-31", "1949-12-31", "2200-01-01"])("%s would have been taken for a day", (on) => {
  expect(DayForm.safeParse({ day: on, minutes: "10" }).success).toBe(false);
  expect(HandWeatherForm.safeParse({ day: on, low: "1", high: "2" }).success).toBe(false);
}); // prettier-ignore

test("a forecast that says it comes from the year 9999 would have outranked all that followed", async () => {
  const far = JSON.stringify({ issuedAt: "2099-01-01T00:00:00Z", days: [{ day: "2026-09-21", minC: -9, maxC: 2 }] });
  await importWeather(db, garden, far, "far.json", {});
  saveForecast(db, { source: "next", issuedAt: "2026-09-19T23:00:00Z", issuedOn: TODAY, days: [day("2026-09-21", 7, 20)], hours: [] }); // prettier-ignore
  expect(newestForecast(db, TODAY).days.find((d) => d.day === "2026-09-21")!.minC).toBe(7);
});

test("one odd day that an earlier version let in would have made the sky page an error page for ever", () => {
  for (const odd of ["0026-01-01", "9999-12-31"]) db.insert(weatherDay).values({ ...day(odd, 1, 9), source: "old", importedAt: "2026-01-01T00:00:00Z" }).run(); // prettier-ignore
  expect(skyPage(db, garden, null).days.length).toBeGreaterThan(10);
  expect(horizonPage(db, garden).notices).toEqual(["2 days of the weather record have years that cannot be right: left aside."]); // prettier-ignore
});

test("real cold, far below the usual, would have been called a fault", () => {
  const hours = Array.from({ length: 48 }, (_, n) => ({ at: new Date(Date.UTC(2026, 0, 10, n)).toISOString(), airC: -30 + 4 * Math.sin((2 * Math.PI * n) / 24) })); // prettier-ignore
  const { days, refused } = stationDays(hours, "UTC", "2026-01-12", () => 2);
  expect(refused).toEqual([]);
  expect(days.map((d) => Math.round(d.minC))).toEqual([-34, -34]);
  const alone = hours.map((h, n) => (n === 20 ? { ...h, airC: 40 } : h));
  expect(stationDays(alone, "UTC", "2026-01-12", () => 2).refused).toHaveLength(1);
});
