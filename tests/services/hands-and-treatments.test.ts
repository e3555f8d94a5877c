import { beforeEach, expect, test } from "vitest";
import { type EntryBody } from "~/core/entries";
import { fieldErrors } from "~/core/issues";
import type { Db } from "~/db/client.server";
import { allBeds } from "~/db/beds/beds.server";
import { standingTreatments, treatmentsOf } from "~/db/beds/treatments.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { coversFrom } from "~/db/sky/covers.server";
import { allBusy, allHelpers, allTrips, handsRules } from "~/db/sky/hands.server";
import { TreatmentForm, logTreatment, undoTreatment } from "~/services/beds/treatments.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { CorrectionForm, correctPick } from "~/services/ledger/correct-pick.server";
import { allLines } from "./ledger-read";
import { roundPage } from "~/services/round/round-page.server";
import { forgetCalendar, proposeCalendar, takeCalendar } from "~/services/sky/calendar-import.server";
import { coverBed } from "~/services/sky/covers.server";
import { forgetDay, setDay, setWeek } from "~/services/sky/free-minutes.server";
import { HelperForm, removeHelper, saveHelper } from "~/services/sky/helpers.server";
import { isRefusal, skyDesk } from "~/services/sky/sky-desk.server";
import { skyPage } from "~/services/sky/sky-page.server";
import { TripForm, removeTrip, saveTrip } from "~/services/sky/trips.server";
import type { CalendarUse } from "~/views/sky/sky-answer";
import { checkOf, demoGarden, refusal, send } from "./garden-fixture";

let db: Db;
let garden: GardenRow;
beforeEach(() => ({ db, garden } = demoGarden()));

const spray = (fields: object = {}) => TreatmentForm.parse({ plantingId: "bean-dwarf", product: "pyrethrum", treatedOn: "2026-09-18", intervalDays: "7", ...fields }); // prettier-ignore
type PickEntry = Extract<EntryBody, { kind: "pick" }>;
const picked = (fields: Partial<PickEntry> = {}): PickEntry => ({ kind: "pick", plantingId: "bean-dwarf", on: "2026-09-19", outcome: "picked", weight: "200 g", ...fields }); // prettier-ignore

test("a treatment bans its planting everywhere: plan, check, horizon, round and log, until the label's days are over", () => {
  const plannedOn = () => plannedGarden(db, garden).plan.picks["bean-dwarf"] ?? [];
  expect(plannedOn().some((n) => n < 6)).toBe(true);
  expect(logTreatment(db, garden, spray())).toEqual({ status: "logged", until: "2026-09-25" });
  expect(plannedOn().every((n) => n >= 6)).toBe(true);
  const check = checkOf({ db, garden }, "bean-dwarf");
  expect(check.verdict).toBe("Do not pick before Friday: treated with pyrethrum yesterday, 7 days by its label.");
  expect(check.urgent).toBe(true);
  expect(check.caution).toMatch(/label has the last word/);
  const row = horizonPage(db, garden).beds.flatMap((b) => b.plantings).find((p) => p.id === "bean-dwarf")!; // prettier-ignore
  expect(row.short).toBe("treated until Friday");
  const round = roundPage(db, garden);
  if (round.status !== "not started") throw new Error("not started");
  expect(round.stops.flatMap((s) => s.errands).map((e) => e.id)).not.toContain("bean-dwarf");
  expect(refusal(send(db, picked())).on).toMatch(/^Treated with pyrethrum yesterday: by its label not to be picked before Friday/); // prettier-ignore
  expect(allLines(db).filter((l) => l.plantingId === "bean-dwarf" && l.pickedOn === "2026-09-19")).toEqual([]);
  // What is thrown away, or a call that found nothing, may be logged.
  expect(send(db, picked({ fate: "compost" })).status).toBe("applied");
  expect(send(db, picked({ outcome: "nothing ready", weight: "" })).status).toBe("applied");
  // Before the treatment it was picked rightly; a correction cannot move it under the ban.
  const id = crypto.randomUUID();
  expect(send(db, picked({ on: "2026-09-17" }), { id }).status).toBe("applied");
  const moved = CorrectionForm.parse({ outcome: "picked", weight: "200 g", on: "2026-09-19" });
  expect(correctPick(db, id, moved, "2026-09-19").status).toBe("refused");
});

test("a planned pick says that the label forbids it a day earlier", () => {
  logTreatment(db, garden, spray({ plantingId: "bean-green", intervalDays: "5" }));
  const row = horizonPage(db, garden).beds.flatMap((b) => b.plantings).find((p) => p.id === "bean-green")!; // prettier-ignore
  expect(row.handles[0]!.day).toBe(4);
  expect(row.handles[0]!.either.map((e) => e.words).join(" ")).toContain(
    "A day earlier: still within the days of the label.",
  );
});

test("a treatment typed by mistake is taken out of force, kept, and can be put back", () => {
  logTreatment(db, garden, spray());
  const [row] = treatmentsOf(db, "bean-dwarf");
  expect(undoTreatment(db, "bean-dwarf", row!.id, false)).toBe(true);
  expect(send(db, picked()).status).toBe("applied");
  expect(treatmentsOf(db, "bean-dwarf")).toHaveLength(1);
  undoTreatment(db, "bean-dwarf", row!.id, true);
  expect(undoTreatment(db, "bean-dwarf", "no such", true)).toBe(false);
  expect(send(db, picked()).status).toBe("refused");
});

test.each<[object, string, RegExp]>([
  [{ product: " " }, "product", /as on its label/],
  [{ intervalDays: "a week" }, "intervalDays", /Whole days/],
  [{ intervalDays: "-3" }, "intervalDays", /Whole days/],
  [{ intervalDays: "500" }, "intervalDays", /check the label/],
  [{ treatedOn: "2026-13-01" }, "treatedOn", /not a day/],
])("a treatment %o is refused in a sentence", (fields, at, words) => {
  const parsed = TreatmentForm.safeParse({
    plantingId: "bean-dwarf",
    product: "soap",
    treatedOn: "2026-09-18",
    intervalDays: "7",
    ...fields,
  });
  expect(parsed.success ? "" : fieldErrors(parsed.error)[at]).toMatch(words);
});

test("a treatment of tomorrow, before sowing, or of nothing there is refused and writes nothing", () => {
  expect(logTreatment(db, garden, spray({ treatedOn: "2026-09-20" }))).toMatchObject({
    errors: { treatedOn: "That day is still to come." },
  });
  expect(logTreatment(db, garden, spray({ treatedOn: "2020-01-01" }))).toMatchObject({ errors: { treatedOn: expect.stringMatching(/it was not there yet/) as string } }); // prettier-ignore
  expect(logTreatment(db, garden, spray({ plantingId: "gone" }))).toMatchObject({ status: "refused" });
  expect(standingTreatments(db)).toEqual([]);
});

test("minutes of one day: dragged in all they are shared out as usual; set by part they stay; forgotten they are the week's", () => {
  const minutesOn = (day: string) => skyPage(db, garden, null).days.find((d) => d.day === day)!;
  // Saturday has 30 in the morning and 20 in the evening.
  setDay(db, { day: "2026-09-19", slot: "all", minutes: 100 });
  expect(handsRules(db).exceptions.map((d) => [d.slot, d.minutes])).toEqual([["morning", 60], ["evening", 40]]); // prettier-ignore
  expect(minutesOn("2026-09-19")).toMatchObject({ minutes: 100, own: true });
  setDay(db, { day: "2026-09-19", slot: "midday", minutes: 15 });
  expect(minutesOn("2026-09-19").minutes).toBe(115);
  forgetDay(db, "2026-09-19");
  expect(minutesOn("2026-09-19")).toMatchObject({ minutes: 50, own: false });
  setDay(db, { day: "2026-09-19", slot: "all", minutes: 50 });
  expect(handsRules(db).exceptions).toEqual([]);
  setWeek(db, { minutes: new Array<number>(21).fill(0) });
  setDay(db, { day: "2026-09-21", slot: "all", minutes: 25 });
  expect(handsRules(db).exceptions).toEqual([{ day: "2026-09-21", slot: "evening", minutes: 25 }]);
});

test("a trip is added, changed and removed; one that is gone is said to be", () => {
  const form = (fields: object) => TripForm.parse({ name: "Fair", from: "2026-09-22", to: "2026-09-23", ...fields });
  expect(saveTrip(db, form({ leaveAt: "14:00" }))).toEqual({ status: "saved" });
  const fair = () => allTrips(db).find((t) => t.name === "Fair"); // prettier-ignore
  expect(fair()).toMatchObject({ fromDay: "2026-09-22", leaveAt: "14:00", backAt: null });
  expect(saveTrip(db, form({ id: fair()!.id, to: "2026-09-24", leaveAt: "" }))).toEqual({ status: "saved" });
  expect(fair()).toMatchObject({ toDay: "2026-09-24", leaveAt: null });
  const { id } = fair()!;
  removeTrip(db, id);
  expect(fair()).toBeUndefined();
  expect(saveTrip(db, form({ id }))).toEqual({ status: "not there" });
});

test("a helper picks while the household is away, and only what was asked", () => {
  const form = HelperForm.parse({
    name: "Neighbour",
    minutes: "30",
    everyDays: "2",
    cropIds: ["courgette", "bean_bush"],
    skills: ["knife"],
  });
  expect(saveHelper(db, form)).toEqual({ status: "saved" });
  const { outlook, plan } = plannedGarden(db, garden);
  const away = outlook.away.flatMap((a, n) => (a ? [n] : []));
  expect(away.map((n) => outlook.minutesFree[n])).toEqual([30, 0, 30, 0]);
  const pickedAway = outlook.plantings.filter((p) => (plan.picks[p.planting.id] ?? []).some((n) => away.includes(n)));
  for (const p of pickedAway) expect(["courgette", "bean_bush"]).toContain(p.crop.id);
  expect(saveHelper(db, { ...form, cropIds: ["tulip"] })).toMatchObject({ status: "refused" });
  expect(HelperForm.safeParse({ ...form, minutes: "0" }).success).toBe(false);
  removeHelper(db, allHelpers(db)[0]!.id);
  expect(plannedGarden(db, garden).outlook.minutesFree[away[0]!]).toBe(0);
});

test("covering a bed for the night lowers its odds on the sky page, and can be taken back", () => {
  const low = allBeds(db).find((b) => b.name === "Low bed")!; // prettier-ignore
  const odds = () => Number(/^\d/.exec(skyPage(db, garden, null).cards.find((c) => c.kind === "frost")!.beds.find((b) => b.id === low.id)!.odds)![0]); // prettier-ignore
  const bare = odds();
  expect(coverBed(db, { bedId: low.id, evening: "2026-09-23", cover: "fleece" })).toEqual({ status: "noted" });
  expect(odds()).toBeLessThan(bare);
  coverBed(db, { bedId: low.id, evening: "2026-09-23", cover: "blanket" });
  expect(coversFrom(db, "2026-09-19")).toHaveLength(1);
  coverBed(db, { bedId: low.id, evening: "2026-09-23", cover: "none" });
  expect(odds()).toBe(bare);
  expect(coverBed(db, { bedId: "cellar", evening: "2026-09-23", cover: "fleece" })).toEqual({ status: "no such bed" });
});

const CALENDAR = ["BEGIN:VCALENDAR", "VERSION:2.0", "BEGIN:VEVENT", "UID:trip_1", "SUMMARY:Lakes", "DTSTART:20261002T140000", "DTEND:20261004T180000", "END:VEVENT", "BEGIN:VEVENT", "UID:choir", "SUMMARY:Choir", "DTSTART:20260922T170000", "DTEND:20260922T193000", "RRULE:FREQ=WEEKLY;COUNT=3", "END:VEVENT", "BEGIN:VEVENT", "UID:note", "SUMMARY:Bin day", "DTSTART;VALUE=DATE:20260923", "END:VEVENT", "END:VCALENDAR"].join("\r\n"); // prettier-ignore

test("a calendar is shown first, then taken in as chosen; again it changes and doubles nothing", async () => {
  const shown = await proposeCalendar(garden, CALENDAR);
  if (shown.status !== "proposed") throw new Error(shown.status);
  expect(shown.events.map((e) => [e.name, e.when, e.use])).toEqual([
    ["Lakes", "Fri 2 Oct 14:00 to Sun 4 Oct 18:00", "trip"],
    ["Choir", "Tuesday 17:00 to 19:30, and 2 more times", "busy"],
    ["Bin day", "Wednesday", "no"],
  ]);
  const take = (uses: Record<string, CalendarUse>) => takeCalendar(db, garden, CALENDAR, (uid) => uses[uid] ?? "no");
  expect(await take({ trip_1: "trip", choir: "busy" })).toMatchObject({ status: "taken", trips: 1, busy: 3 });
  expect(await take({ trip_1: "trip", choir: "busy" })).toMatchObject({ status: "taken" });
  expect(allTrips(db).filter((t) => t.calendarKey)).toMatchObject([{ name: "Lakes", fromDay: "2026-10-02", toDay: "2026-10-04", leaveAt: "14:00", backAt: "18:00" }]); // prettier-ignore
  expect(allBusy(db)).toHaveLength(3);
  const tuesday = plannedGarden(db, garden).outlook.terms[3]!;
  expect(tuesday.hands).toMatchObject({ slots: { evening: 10 }, because: ["Choir"] });
  await take({ choir: "no", trip_1: "trip" });
  expect(allBusy(db)).toEqual([]);
  await take({ choir: "busy" });
  expect(allTrips(db).map((t) => t.name)).toEqual(["Five days at the coast"]);
  forgetCalendar(db);
  expect(handsRules(db).busy).toEqual([]);
  expect(await proposeCalendar(garden, "BEGIN:VCALENDAR\r\nEND:VCALENDAR")).toMatchObject({ status: "refused", sentence: expect.stringMatching(/Nothing in the file/) as string }); // prettier-ignore
});

test("the sky desk answers every form with what was done or what is wrong, and knows nothing else", async () => {
  const ask = async (fields: Record<string, string | string[]>) => {
    const form = new FormData();
    for (const [name, value] of Object.entries(fields)) for (const v of [value].flat()) form.append(name, v);
    return skyDesk(db, garden, form);
  };
  expect(await ask({ intent: "dance" })).toBeUndefined();
  const refusals = [{ intent: "save trip", name: "", from: "x", to: "y" }, { intent: "save week", minutes: ["1"] }, { intent: "set day", day: "2026-09-19", minutes: "-1" }, { intent: "cover", bedId: "x", evening: "2026-09-19", cover: "fleece" }, { intent: "save helper", name: "" }, { intent: "read calendar" }, { intent: "take calendar", kept: "rubbish" }, { intent: "feed", kind: "forecast", mode: "address", url: "x" }, { intent: "note weather", day: "2026-09-18", low: "a", high: "b" }, { intent: "weather" }, { intent: "weather", kept: "rubbish" }, { intent: "stand-in mode", mode: "dance" }]; // prettier-ignore
  const before = JSON.stringify([allTrips(db), handsRules(db), coversFrom(db, "2026-09-19")]);
  for (const fields of refusals) {
    const answer = await ask(fields);
    expect(answer && isRefusal(answer), fields.intent).toBe(true);
  }
  expect(JSON.stringify([allTrips(db), handsRules(db), coversFrom(db, "2026-09-19")])).toBe(before);
  const done = [{ intent: "save trip", name: "Fair", from: "2026-09-22", to: "2026-09-22" }, { intent: "save week", minutes: new Array<string>(21).fill("5") }, { intent: "set day", day: "2026-09-19", minutes: "10" }, { intent: "forget day", day: "2026-09-19" }, { intent: "save helper", name: "Ada", minutes: "5", everyDays: "1" }, { intent: "note weather", day: "2026-09-18", low: "4", high: "9" }, { intent: "forget calendar" }]; // prettier-ignore
  for (const fields of done) expect((await ask(fields))?.done, fields.intent).toMatch(/\w/);
});
