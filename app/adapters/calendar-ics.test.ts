import { expect, test } from "vitest";
import { readCalendar } from "./calendar-ics.server";

const ZONE = "Europe/London";
const TODAY = "2026-09-19";
const BERLIN = `BEGIN:VTIMEZONE
TZID:Our Office Time
BEGIN:STANDARD
DTSTART:19701025T030000
RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU
TZOFFSETFROM:+0200
TZOFFSETTO:+0100
END:STANDARD
BEGIN:DAYLIGHT
DTSTART:19700329T020000
RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU
TZOFFSETFROM:+0100
TZOFFSETTO:+0200
END:DAYLIGHT
END:VTIMEZONE`;
const calendar = (...events: string[]) =>
  ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//a made-up calendar//EN", ...events.map((e) => (e.startsWith("BEGIN") ? e : `BEGIN:VEVENT\n${e}\nEND:VEVENT`)), "END:VCALENDAR"].join("\n").replace(/\n/g, "\r\n"); // prettier-ignore
const read = (...events: string[]) => {
  const reading = readCalendar(calendar(...events), ZONE, TODAY);
  if (reading.status === "refused") throw new Error(reading.sentence);
  return reading;
};
const times = (...events: string[]) => read(...events).events.flatMap((e) => e.times.map((t) => `${t.from} ${t.to}`));

test("whole days, of which the end is not one; folded and escaped words", () => {
  const { events } = read(
    "UID:1\nSUMMARY:Coast\\, with the wh\n ole family\nDTSTART;VALUE=DATE:20260926\nDTEND;VALUE=DATE:20261001",
  );
  expect(events).toEqual([
    {
      uid: "1",
      name: "Coast, with the whole family",
      times: [{ from: "2026-09-26T00:00", to: "2026-10-01T00:00", allDay: true }],
    },
  ]);
  expect(times("UID:2\nDTSTART;VALUE=DATE:20260926")).toEqual(["2026-09-26T00:00 2026-09-27T00:00"]);
});

test.each([
  ["UTC", "DTSTART:20260922T180000Z\nDTEND:20260922T200000Z", "2026-09-22T19:00 2026-09-22T21:00"],
  ["no zone: the garden's", "DTSTART:20260922T180000\nDTEND:20260922T200000", "2026-09-22T18:00 2026-09-22T20:00"],
  [
    "a known zone without a block",
    "DTSTART;TZID=America/New_York:20260922T180000\nDURATION:PT1H30M",
    "2026-09-22T23:00 2026-09-23T00:30",
  ],
])("hours in %s come out on the garden's clock", (_, lines, expected) => {
  expect(times(`UID:1\nSUMMARY:x\n${lines}`)).toEqual([expected]);
});

test("a zone of the file's own follows its own clock changes", () => {
  const event = "UID:1\nSUMMARY:Meeting\nDTSTART;TZID=Our Office Time:20261020T090000\nDTEND;TZID=Our Office Time:20261020T100000\nRRULE:FREQ=WEEKLY;COUNT=2"; // prettier-ignore
  // Both places leave summer time on 25 October, so that it stays an hour earlier here.
  expect(times(BERLIN, event)).toEqual(["2026-10-20T08:00 2026-10-20T09:00", "2026-10-27T08:00 2026-10-27T09:00"]);
  const early = event.replace("20261020T090000", "20260301T090000").replace("20261020T100000", "20260301T100000").replace("COUNT=2", "COUNT=80"); // prettier-ignore
  expect(times(BERLIN, early)[0]).toBe("2026-09-20T08:00 2026-09-20T09:00");
});

test("recurring events turn by turn: left out, moved and cancelled turns, until, every other week", () => {
  const series = "UID:s\nSUMMARY:Choir\nDTSTART;TZID=Europe/London:20260915T190000\nDTEND;TZID=Europe/London:20260915T210000\nRRULE:FREQ=WEEKLY;UNTIL=20261020T200000Z\nEXDATE;TZID=Europe/London:20260929T190000"; // prettier-ignore
  const moved = "UID:s\nRECURRENCE-ID;TZID=Europe/London:20261006T190000\nSUMMARY:Choir\nDTSTART;TZID=Europe/London:20261007T180000\nDTEND;TZID=Europe/London:20261007T200000"; // prettier-ignore
  const cancelled = "UID:s\nRECURRENCE-ID;TZID=Europe/London:20261013T190000\nSTATUS:CANCELLED\nSUMMARY:Choir\nDTSTART;TZID=Europe/London:20261013T190000\nDTEND;TZID=Europe/London:20261013T210000"; // prettier-ignore
  expect(times(series, moved, cancelled)).toEqual([
    "2026-09-22T19:00 2026-09-22T21:00",
    "2026-10-07T18:00 2026-10-07T20:00",
    "2026-10-20T19:00 2026-10-20T21:00",
  ]);
  const other = times(
    "UID:o\nSUMMARY:x\nDTSTART:20260921T080000\nDTEND:20260921T090000\nRRULE:FREQ=WEEKLY;INTERVAL=2;COUNT=3",
  );
  expect(other.map((t) => t.slice(0, 10))).toEqual(["2026-09-21", "2026-10-05", "2026-10-19"]);
});

test("a series that never ends is followed for a year and no further", () => {
  const all = times("UID:e\nSUMMARY:Walk the dog\nDTSTART:19980101T070000\nDTEND:19980101T073000\nRRULE:FREQ=DAILY");
  expect(all[0]).toBe("2026-09-19T07:00 2026-09-19T07:30");
  expect(all).toHaveLength(366);
});

test("what is past, free, cancelled or of no length takes no time; what has begun still does", () => {
  expect(times("UID:p\nDTSTART:20260901T080000\nDTEND:20260901T090000")).toEqual([]);
  expect(times("UID:f\nDTSTART:20260921T080000\nDTEND:20260921T090000\nTRANSP:TRANSPARENT")).toEqual([]);
  expect(times("UID:c\nDTSTART:20260921T080000\nDTEND:20260921T090000\nSTATUS:CANCELLED")).toEqual([]);
  expect(times("UID:n\nDTSTART:20260921T080000\nDTEND:20260921T080000")).toEqual([]);
  expect(times("UID:b\nDTSTART;VALUE=DATE:20260910\nDTEND;VALUE=DATE:20260923")).toEqual([
    "2026-09-10T00:00 2026-09-23T00:00",
  ]);
});

test("an event that cannot be read is left out and said; an unknown zone is said too", () => {
  const reading = read("UID:1\nSUMMARY:No start", "UID:2\nSUMMARY:Good\nDTSTART:20260921T080000\nDTEND:20260921T090000", "UID:3\nSUMMARY:Odd\nDTSTART;TZID=Shed/Time:20260921T080000\nDTEND;TZID=Shed/Time:20260921T090000"); // prettier-ignore
  expect(reading.events.map((e) => e.name)).toEqual(["Good", "Odd"]);
  expect(reading.leftOut.join(" ")).toMatch(
    /“No start” is left out: it has no start.*“Odd”: the zone “Shed\/Time” is not known/,
  );
});

test.each<[string, string, RegExp]>([
  ["nothing", "", /empty/],
  ["another kind of file", "date,low,high\n2026-05-01,3,9", /no iCalendar file/],
  ["a file that breaks off", calendar("UID:1\nDTSTART:20260921T080000").slice(0, 80), /breaks off/],
  ["blocks that do not close", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:1\r\nEND:VCALENDAR", /damaged/],
  ["rubbish between", "BEGIN:VCALENDAR\r\n;;;===\r\nEND:VCALENDAR", /damaged/],
])("%s is refused in a sentence", (_, text, words) => {
  const reading = readCalendar(text, ZONE, TODAY);
  expect(reading.status === "refused" ? reading.sentence : "").toMatch(words);
});
