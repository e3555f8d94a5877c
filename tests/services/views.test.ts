import Papa from "papaparse";
import { beforeEach, expect, test, vi } from "vitest";
import type { Db } from "~/db/client.server";
import { theGarden, type GardenRow } from "~/db/garden/garden.server";
import { forecastIssue, garden as gardenTable } from "~/db/schema/index.server";
import { saveForecast } from "~/db/sky/forecasts.server";
import { saveSlotMinutes } from "~/db/sky/hands.server";
import { observedDays } from "~/db/sky/weather.server";
import { SLOTS } from "~/core/hands";
import { bedsPage } from "~/services/beds/beds-page.server";
import { checkPage } from "~/services/check/check-page.server";
import { stepDemoClock } from "~/services/garden/clock.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { allLines } from "./ledger-read";
import { roundPage } from "~/services/round/round-page.server";
import { newestForecast } from "~/services/sky/forecast-archive.server";
import { refreshWeather } from "~/services/sky/refresh-weather.server";
import { skyPage } from "~/services/sky/sky-page.server";
import { checkOf, demoGarden, send } from "./garden-fixture";

let db: Db;
let garden: GardenRow;
beforeEach(() => ({ db, garden } = demoGarden()));

const check = (id: string) => checkOf({ db, garden }, id);

test("a look changes the verdict, stands in the evidence, and is gone when taken back", () => {
  const before = check("bean-climbing");
  send(db, { kind: "look", plantingId: "bean-climbing", cueId: "seed_outline", readingId: "clear" });
  const after = check("bean-climbing");
  expect(after.verdict).not.toBe(before.verdict);
  expect(after.verdict).toMatch(/goes on cropping/);
  expect(after.evidence.map((e) => e.reading)).toEqual(["clear bumps"]);
  expect(after.cues.find((c) => c.id === "seed_outline")!.chosen).toBe("clear");
  send(db, { kind: "look", plantingId: "bean-climbing", cueId: "seed_outline", readingId: null });
  expect(check("bean-climbing").verdict).toBe(before.verdict);
});

test("the check of every planting of the demo can be shown, with one or two cues in the lead", () => {
  for (const bed of bedsPage(db, garden))
    for (const p of bed.plantings.filter((x) => !x.finished)) {
      const view = check(p.id);
      expect(view.verdict.length, p.id).toBeGreaterThan(10);
      expect(view.lead).toBeGreaterThanOrEqual(1);
      expect(view.lead).toBeLessThanOrEqual(2);
      expect(
        view.standings.filter(([, , standing]) => !standing),
        p.id,
      ).toEqual([]);
    }
  expect(checkPage(db, garden, "nobody")).toBeUndefined();
});

test("US households read inches, pounds and °F", () => {
  db.update(gardenTable).set({ unitSystem: "us" }).run();
  garden = theGarden(db)!;
  const view = check("courgette-striped");
  expect(view.cues.find((c) => c.id === "length")!.readings.map((r) => r.text)).toEqual([
    "under 3¼ in",
    "3¼–5¾ in",
    "6–9¾ in",
    "10–11¾ in",
    "over 11¾ in",
  ]);
  expect(view.size).toBe("6–9¾ in long, a hand to a forearm");
  expect(horizonPage(db, garden).summary[1]).toMatch(/lb/);
  expect(skyPage(db, garden, null).units).toBe("us");
});

test("reasons of a planned pick name the frost that follows it and what a day either way costs", () => {
  const reasons = () =>
    horizonPage(db, garden)
      .beds.flatMap((b) => b.plantings)
      .flatMap((p) => p.handles.map((h) => [...h.why, ...h.either.map((e) => e.words)].join(" ")));
  expect(reasons().some((r) => /Frost Wednesday night, \d in 10 in this bed\./.test(r))).toBe(true);
  // In a full week there is no room on other days; with time to spare the cost of moving is told.
  expect(reasons().some((r) => /A day later: no room that day\./.test(r))).toBe(true);
  saveSlotMinutes(db, Array.from({ length: 7 }, (_, weekday) => SLOTS.map((slot) => ({ weekday, slot, minutes: 100 }))).flat()); // prettier-ignore
  expect(reasons().some((r) => /A day later: costs at most about .* worth\./.test(r))).toBe(true);
});

test("bands: the frost lies on the night between two days, the trip over its days, each run named once", () => {
  const { bands } = horizonPage(db, garden);
  const frost = bands.filter((b) => b.kind === "frost");
  expect(frost[0]).toMatchObject({ from: 4.72, to: 5.28 });
  expect(frost.filter((b) => b.label)).toHaveLength(1);
  const away = bands.filter((b) => b.kind === "away");
  // Back at half past five on the last day.
  expect(away).toMatchObject([{ from: 7, to: expect.closeTo(11 + 17.5 / 24, 6) as number, label: { words: "away" } }]);
});

test("the round: preview, then a list that stays put while picks come in", () => {
  const preview = roundPage(db, garden);
  if (preview.status !== "not started") throw new Error("not started");
  // With wet leaves some beds are called at twice; the plan reckons with one call each.
  const twice = preview.stops.length - new Set(preview.stops.map((stop) => stop.bed)).size;
  expect(preview.minutes).toBeLessThanOrEqual(Math.ceil(50 + 1.5 * twice));
  expect(preview.kit).toContain("drinking water");
  expect(send(db, { kind: "start round", roundId: "r1" }).status).toBe("applied");
  const before = roundPage(db, garden);
  if (before.status !== "out") throw new Error("out");
  // A crop lifted once: all of it in means the planting is finished.
  const first = before.errands.find((e) => e.view && !e.view.repeats)!;
  send(db, {
    kind: "pick",
    plantingId: first.id,
    roundId: before.roundId,
    outcome: "picked",
    tookAll: true,
    weight: "4 kg",
  });
  const after = roundPage(db, garden);
  if (after.status !== "out") throw new Error("out");
  expect(after.errands.map((e) => e.id)).toEqual(before.errands.map((e) => e.id));
  expect(after.errands.find((e) => e.id === first.id)).toMatchObject({
    done: true,
    outcome: "4 kg",
    view: null,
    ended: { says: "All of it was taken on 19 Sep." },
  });
});

test("the sky page tells frost by bed, worst in the low bed, and the trip", () => {
  const view = skyPage(db, garden, null);
  const night = view.cards.find((c) => c.kind === "frost")!;
  expect(night).toMatchObject({ lead: "Hard frost likely Wednesday night", from: "2026-09-23" });
  expect(night.where).toMatch(/in the low bed, .* in the tunnel/);
  // The coldest bed first.
  const order = night.beds.map((b) => b.name);
  expect(order[0]).toBe("Low bed");
  expect(order.indexOf("Gate bed")).toBeLessThan(order.indexOf("Sun wall"));
  expect(view.trips[0]).toMatchObject({ name: "Five days at the coast", from: "Sat 26 Sep", to: "Wed 30 Sep" });
  expect(view.days.filter((d) => d.away)).toHaveLength(4);
  expect(view.days.find((d) => d.day === "2026-09-30")).toMatchObject({ away: false, minutes: 31 });
  expect(view.record.normalYears).toBe(10);
});

test("stepping day by day through the frost: the bands draw nearer, then it is on record", async () => {
  const positions: number[] = [];
  const step = async () => {
    stepDemoClock(db, 1);
    await refreshWeather(db, theGarden(db)!);
  };
  for (let n = 0; n < 5; n++) {
    positions.push(horizonPage(db, theGarden(db)!).bands.find((b) => b.kind === "frost")?.from ?? -1);
    await step();
  }
  expect(positions.map((p) => Math.floor(p))).toEqual([4, 3, 2, 1, 0]);
  await step();
  expect(observedDays(db).find((d) => d.day === "2026-09-24")?.minC).toBe(-1.6);
});

test("a new forecast speaks for its own days; what it leaves out stays told by the one before, with its age", () => {
  const day = (d: string, minC: number) => ({ day: d, minC, maxC: 20, rainMm: null, windKmh: null });
  const issue = (source: string, issuedOn: string, days: ReturnType<typeof day>[]) =>
    saveForecast(db, { source, issuedAt: `${issuedOn}T06:00:00.000Z`, issuedOn, days, hours: [] });
  db.delete(forecastIssue).run();
  issue("a", "2026-09-18", [day("2026-09-18", 1), day("2026-09-19", 2), day("2026-09-20", 3), day("2026-09-21", 4)]);
  issue("a", "2026-09-19", [day("2026-09-19", 8), day("2026-09-20", 9)]);
  const told = newestForecast(db, "2026-09-19").days.filter((d) => d.day >= "2026-09-19").sort((a, b) => a.day.localeCompare(b.day)); // prettier-ignore
  expect(told.map((d) => [d.day, d.minC, d.issuedOn])).toEqual([["2026-09-19", 8, "2026-09-19"], ["2026-09-20", 9, "2026-09-19"], ["2026-09-21", 4, "2026-09-18"]]); // prettier-ignore
});

test("the ledger as CSV reads back with the same totals, and a note cannot become a formula", async () => {
  send(db, {
    kind: "pick",
    plantingId: "tomato-red",
    outcome: "picked",
    weight: "1 lb",
    note: '=HYPERLINK("x"), "quoted"',
  });
  vi.doMock("~/services/garden/known-garden.server", () => ({ knownGarden: () => ({ db, garden }) }));
  const { loader } = await import("~/routes/ledger-csv");
  const response = loader();
  expect(response.headers.get("Content-Type")).toContain("text/csv");
  const { data, errors } = Papa.parse<Record<string, string>>((await response.text()).trim(), { header: true });
  expect(errors).toEqual([]);
  expect(data).toHaveLength(allLines(db).length);
  const grams = data.reduce((sum, row) => sum + Number(row.net_grams), 0);
  const wanted = allLines(db).reduce((sum, l) => sum + (l.grams ?? 0), 0);
  expect(grams).toBeCloseTo(wanted, 0);
  expect(data.find((row) => row.crop === "Tomato, large" && row.note)!.note).toBe(`'=HYPERLINK("x"), "quoted"`);
  vi.doUnmock("~/services/garden/known-garden.server");
});

test("a day of two rounds: the one that is next is told by its part of the day, the other in a line, looks in the one that is walked", () => {
  const SATURDAY = 5;
  saveSlotMinutes(db, SLOTS.map((slot) => ({ weekday: SATURDAY, slot, minutes: { morning: 15, midday: 40, evening: 40 }[slot] }))); // prettier-ignore
  const preview = roundPage(db, garden);
  if (preview.status !== "not started") throw new Error("not started");
  expect(preview.name).toMatch(/^(This morning’s|The midday|This evening’s) round$/);
  for (const later of preview.later) expect(later.text).toMatch(/^\d+ minutes(, about .+)?: .+\.$/);
  // What is only to be looked at makes no round of its own beside one that picks.
  expect(preview.kilos).not.toBeNull();
  const horizon = horizonPage(db, garden);
  expect(horizon.round).toMatchObject({ status: "due", name: `${preview.name[0]!.toLowerCase()}${preview.name.slice(1)}`, minutes: preview.minutes }); // prettier-ignore
  const why = horizon.beds.flatMap((b) => b.plantings).flatMap((p) => p.handles).filter((h) => h.day === 0).map((h) => h.why[0]!); // prettier-ignore
  expect(why.length).toBeGreaterThan(0);
  for (const sentence of why) expect(sentence).toMatch(/today (in the morning|about midday|in the evening)/);
});

test("a row never says today where the plan says another day", () => {
  saveSlotMinutes(db, SLOTS.map((slot) => ({ weekday: 5, slot, minutes: slot === "evening" ? 15 : 0 }))); // prettier-ignore
  const rows = horizonPage(db, garden).beds.flatMap((b) => b.plantings);
  const due = rows.filter((p) => p.short.startsWith("pick "));
  expect(due.length).toBeGreaterThan(0);
  for (const p of rows.filter((r) => r.handles.length > 0 && r.handles[0]!.day > 0)) expect(p.short, p.id).not.toMatch(/^take (it|some of it) today$/); // prettier-ignore
});
