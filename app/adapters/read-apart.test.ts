import { expect, test } from "vitest";
import { readApart, readCalendarApart } from "./read-apart.server";

const TODAY = "2026-09-19";
const event = (uid: string, ...lines: string[]) => ["BEGIN:VEVENT", `UID:${uid}`, `SUMMARY:${uid}`, "DTSTART:20260922T170000", "DTEND:20260922T180000", ...lines, "END:VEVENT"]; // prettier-ignore
const calendar = (...events: string[][]) => ["BEGIN:VCALENDAR", "VERSION:2.0", ...events.flat(), "END:VCALENDAR"].join("\r\n"); // prettier-ignore

/** Longest time in which nothing else was answered meanwhile, ms. */
async function longestSilence(work: Promise<unknown>): Promise<number> {
  let [last, longest] = [performance.now(), 0];
  const beat = setInterval(() => {
    longest = Math.max(longest, performance.now() - last);
    last = performance.now();
  }, 10);
  await work;
  clearInterval(beat);
  return longest;
}

test.each([
  ["a day that no year has", "RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31"],
  ["a second of every hour that is never", "RRULE:FREQ=HOURLY;BYMONTH=2;BYMONTHDAY=30"],
])(
  "one event would have frozen the server for good: %s is left out and said, the others are read",
  async (_, rule) => {
    const work = readCalendarApart(
      calendar(event("choir"), event("endless", rule), event("market")),
      "Europe/London",
      TODAY,
    );
    const silence = await longestSilence(work);
    const reading = await work;
    if (reading.status !== "read") throw new Error(reading.sentence);
    expect(reading.events.map((e) => e.name)).toEqual(["choir", "market"]);
    expect(reading.leftOut).toEqual(["“endless” is left out: its rule never comes to a day."]);
    expect(silence).toBeLessThan(2000);
  },
  60_000,
);

test("a calendar of nothing but such rules is refused in a sentence", async () => {
  const endless = "RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31";
  const many = calendar(...["a", "b", "c", "d", "e"].map((uid) => event(uid, endless)));
  expect(await readCalendarApart(many, "Europe/London", TODAY)).toMatchObject({ status: "refused", sentence: expect.stringMatching(/took too long/) as string }); // prettier-ignore
}, 60_000);

test("a file of 8 MB would have kept everybody waiting: it is read beside", async () => {
  const line = "2020-01-01,3,9,0,10\n";
  const text = `date,min,max,rain,wind\n${line.repeat(Math.floor(7_900_000 / line.length))}`;
  const work = readApart("weatherCsv", [text, { temperature: "C", rain: "mm", wind: "km/h" }]);
  const silence = await longestSilence(work.catch(() => undefined));
  expect(silence).toBeLessThan(2000);
}, 60_000);

test.each([
  ["year 0", ["DTSTART:00000101T000000", "DTEND:00000102T000000"], "its year cannot be right"],
  ["all of time", ["DTSTART:19700101T000000", "DTEND:99991231T235959"], "it lasts longer than a year"],
  ["the year 9999", ["DTSTART:99990101T000000"], "its year cannot be right"],
])(
  "one odd date would have made the sky page an error page: %s is left out and said",
  async (_, lines, why) => {
    const odd = ["BEGIN:VEVENT", "UID:odd", "SUMMARY:odd", ...lines, "END:VEVENT"];
    const reading = await readCalendarApart(calendar(event("choir"), odd), "Europe/London", TODAY);
    expect(reading).toMatchObject({
      status: "read",
      events: [{ name: "choir" }],
      leftOut: [`“odd” is left out: ${why}.`],
    });
  },
  60_000,
);
