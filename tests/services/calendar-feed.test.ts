import ICAL from "ical.js";
import { expect, test } from "vitest";
import { readCalendar } from "~/adapters/calendar-ics.server";
import { writeCalendar, type PublishedEvent } from "~/adapters/calendar-feed.server";
import { addDays, DatedEvent } from "~/core/calendar";
import { publishedEvents } from "~/db/sky/feed-events.server";
import { calendarFeed, publish } from "~/services/feed/calendar-feed.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { todayOf } from "~/services/garden/clock.server";
import { coverBed } from "~/services/sky/covers.server";
import { setDay } from "~/services/sky/free-minutes.server";
import { plannedRounds } from "~/views/round/planned-walk";
import { demoGarden } from "./garden-fixture";

const today = "2026-09-19";
const event = (more: Partial<DatedEvent> = {}): DatedEvent => ({ uid: "round-2026-09-20-evening", from: "2026-09-20T17:30", to: "2026-09-20T18:10", title: "Garden round: 2 beds, 40 minutes", text: "Long bed: Courgette: 4 courgettes\nLow bed: look at Kale", alarmMinutes: 30, ...more }); // prettier-ignore
const published = (more: Partial<PublishedEvent> = {}): PublishedEvent => ({ ...event(), sequence: 0, changedAt: "2026-09-19T08:00:00.000Z", isCancelled: false, ...more }); // prettier-ignore
const eventsIn = (ics: string) => new ICAL.Component(ICAL.parse(ics) as [string, unknown[], unknown[]]).getAllSubcomponents("vevent"); // prettier-ignore

test("the calendar is one that calendars read: RFC 5545's parts, lines of 75 octets at most, times in UTC, an alarm", () => {
  const long = `Bed; with, commas and\nlines: ${"ä".repeat(80)}`;
  const ics = writeCalendar("Back garden: rounds", [published({ text: long })], "Europe/London");
  const lines = ics.split("\r\n");
  expect(lines[0]).toBe("BEGIN:VCALENDAR");
  expect(lines.slice(-2)).toEqual(["END:VCALENDAR", ""]);
  // RFC 5545 §3.1: lines end in CRLF and are folded at 75 octets.
  for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  expect(ics).not.toMatch(/[^\r]\n/);
  for (const part of ["VERSION:2.0", "PRODID:", "METHOD:PUBLISH", "REFRESH-INTERVAL;VALUE=DURATION:PT1H", "UID:round-2026-09-20-evening@akmedon", "SEQUENCE:0", "STATUS:CONFIRMED", "TRIGGER:-PT30M", "ACTION:DISPLAY"]) expect(ics).toContain(part); // prettier-ignore
  // London is an hour ahead of UTC in September and not in November.
  expect(ics).toContain("DTSTART:20260920T163000Z");
  expect(writeCalendar("x", [published({ from: "2026-11-20T15:30", to: "2026-11-20T16:00" })], "Europe/London")).toContain("DTSTART:20261120T153000Z"); // prettier-ignore
  expect(eventsIn(ics)[0]!.getFirstPropertyValue("description")).toBe(long);
  const back = readCalendar(ics, "Europe/London", today);
  if (back.status !== "read") throw new Error(back.sentence);
  expect(back.events).toEqual([{ uid: "round-2026-09-20-evening@akmedon", name: event().title, times: [{ from: event().from, to: event().to, allDay: false }] }]); // prettier-ignore
});

test("what is called off is marked so, has no alarm, and is taken for none", () => {
  const ics = writeCalendar("Back garden", [published({ isCancelled: true, sequence: 3 })], "Europe/London");
  expect(ics).toContain("STATUS:CANCELLED");
  expect(ics).toContain("SEQUENCE:3");
  expect(ics).not.toContain("VALARM");
  expect(readCalendar(ics, "Europe/London", today)).toMatchObject({ status: "read", events: [] });
});

test("published again it is the same; changed it says so; gone it is called off; back again it is on; over it is forgotten", () => {
  const { db } = demoGarden();
  const out = (events: DatedEvent[], now: string, day = today) => publish(db, events, day, `2026-09-19T${now}:00.000Z`).map((e) => [e.sequence, e.isCancelled, e.changedAt.slice(11, 16), e.title]); // prettier-ignore
  const title = event().title;
  expect(out([event()], "08:00")).toEqual([[0, false, "08:00", title]]);
  expect(out([event()], "09:00")).toEqual([[0, false, "08:00", title]]);
  expect(out([event({ title: "Garden round: 3 beds" })], "10:00")).toEqual([[1, false, "10:00", "Garden round: 3 beds"]]); // prettier-ignore
  expect(out([], "11:00")).toEqual([[2, true, "11:00", "Garden round: 3 beds"]]);
  expect(out([], "12:00")).toEqual([[2, true, "11:00", "Garden round: 3 beds"]]);
  expect(out([event({ title: "Garden round: 3 beds" })], "13:00")).toEqual([[3, false, "13:00", "Garden round: 3 beds"]]); // prettier-ignore
  // Walked today it is planned no more, and was there all the same.
  expect(out([], "18:00", "2026-09-20")).toEqual([[3, false, "13:00", "Garden round: 3 beds"]]);
  expect(out([], "08:00", "2026-09-21")).toEqual([]);
  expect(publishedEvents(db)).toEqual([]);
});

test("the demo's feed has every planned round in its part of the day and in the light, with what it comes for", async () => {
  const { db, garden } = demoGarden();
  const planned = plannedGarden(db, garden);
  const ics = await calendarFeed(db, garden);
  const rounds = planned.outlook.days.flatMap((day, n) => plannedRounds(planned, n).map((r) => ({ ...r, day })));
  const told = eventsIn(ics).filter((e) => String(e.getFirstPropertyValue("uid")).startsWith("round-"));
  expect(told).toHaveLength(rounds.length);
  expect(rounds.length).toBeGreaterThan(3);
  const back = readCalendar(ics, garden.timeZone, todayOf(garden));
  if (back.status !== "read") throw new Error(back.sentence);
  for (const { day, slot, walk } of rounds) {
    const event = back.events.find((e) => e.uid === `round-${day}-${slot ?? "day"}@akmedon`)!;
    const [time] = event.times;
    expect(time!.from.slice(0, 10)).toBe(day);
    if (slot === "evening") expect(time!.from.slice(11) >= "16:00" && time!.to.slice(11) <= "21:00").toBe(true);
    const text = String(told.find((e) => e.getFirstPropertyValue("summary") === event.name)!.getFirstPropertyValue("description")); // prettier-ignore
    for (const stop of walk.stops) expect(text).toContain(stop.bedName);
  }
});

test("asking for the feed writes what it published and leaves the plan standing; what somebody else writes does not", async () => {
  const { db, garden } = demoGarden();
  const planned = plannedGarden(db, garden);
  await calendarFeed(db, garden);
  expect(publishedEvents(db).length).toBeGreaterThan(3);
  expect(plannedGarden(db, garden)).toBe(planned);
  setDay(db, { day: addDays(todayOf(garden), 2), slot: "all", minutes: 180 });
  const anew = plannedGarden(db, garden);
  expect(anew).not.toBe(planned);
  await calendarFeed(db, garden);
  expect(plannedGarden(db, garden)).toBe(anew);
});

test("a cover that is noted calls for the evening and for taking it off; shade for days goes up and comes down once", async () => {
  const { db, garden } = demoGarden();
  const day = todayOf(garden);
  const { bed } = plannedGarden(db, garden).outlook.plantings[0]!;
  coverBed(db, { bedId: bed.id, evening: addDays(day, 1), cover: "fleece" });
  coverBed(db, { bedId: bed.id, evening: addDays(day, 3), nights: 4, cover: "shade" });
  const names = async () => eventsIn(await calendarFeed(db, garden)).filter((e) => /^(un)?cover-/.test(String(e.getFirstPropertyValue("uid")))).map((e) => `${String(e.getFirstPropertyValue("dtstart")).slice(0, 10)} ${String(e.getFirstPropertyValue("summary"))} ${String(e.getFirstPropertyValue("status"))}`); // prettier-ignore
  expect(await names()).toEqual([
    `${addDays(day, 1)} Cover ${bed.name}: light fleece CONFIRMED`,
    `${addDays(day, 2)} Take the cover off ${bed.name} CONFIRMED`,
    `${addDays(day, 3)} Cover ${bed.name}: shade cloth CONFIRMED`,
    `${addDays(day, 7)} Take the cover off ${bed.name} CONFIRMED`,
  ]);
  coverBed(db, { bedId: bed.id, evening: addDays(day, 1), cover: "none" });
  expect((await names()).filter((name) => name.includes("CANCELLED"))).toHaveLength(2);
});

test("more minutes on a day and the rounds of the feed change, each with its own number", async () => {
  const { db, garden } = demoGarden();
  const numbers = async () => new Map(eventsIn(await calendarFeed(db, garden)).map((e) => [String(e.getFirstPropertyValue("uid")), `${String(e.getFirstPropertyValue("sequence"))} ${String(e.getFirstPropertyValue("status"))}`])); // prettier-ignore
  const before = await numbers();
  expect([...before.values()].every((n) => n === "0 CONFIRMED")).toBe(true);
  expect(await numbers()).toEqual(before);
  setDay(db, { day: addDays(todayOf(garden), 2), slot: "all", minutes: 180 });
  const after = await numbers();
  expect([...after.values()].some((n) => n !== "0 CONFIRMED")).toBe(true);
});
