import { execFileSync, spawnSync } from "node:child_process";
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import { drizzle } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import { afterAll, expect, test } from "vitest";
import { openGarden } from "~/db/client.server";
import {
  forecastDay,
  forecastIssue,
  householdCrop,
  look,
  pick,
  planting,
  round,
  slotMinutes,
  trip,
  weatherDay,
} from "~/db/schema.server";
import { stepDemoClock, theGarden } from "~/services/clock.server";
import { DEMO_DAY, plantDemoGarden } from "~/services/demo-garden.server";
import { newestForecast } from "~/services/forecast-archive.server";
import { horizonView } from "~/services/horizon-view.server";
import { plannedGarden } from "~/services/outlook.server";
import { refreshWeather } from "~/services/refresh-weather.server";
import { errandsOf, finishRound, openRound, startRound } from "~/services/round.server";
import { setUpGarden } from "~/services/set-up-garden.server";

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function demo() {
  const db = openGarden(":memory:");
  plantDemoGarden(db);
  return { db, garden: theGarden(db)! };
}

test("an empty file migrates to today, twice without harm, and the schema has nothing left to write", () => {
  const file = path.join(folder, "twice.sqlite");
  openGarden(file).$client.close();
  const db = openGarden(file);
  expect(db.$client.pragma("foreign_keys", { simple: true })).toBe(1);
  expect(db.$client.pragma("journal_mode", { simple: true })).toBe("wal");
  expect(() =>
    db
      .insert(planting)
      .values({ id: "p", bedId: "nowhere", cropId: "carrot", plants: 1, startEvent: "sown", startedOn: "2026-05-01" })
      .run(),
  ).toThrow(/FOREIGN KEY/);
  db.$client.close();
  expect(execFileSync("npx", ["drizzle-kit", "generate"], { encoding: "utf8" })).toContain("No schema changes");
});

/** A file as it was after the first `count` migrations, with rows written then. */
function gardenOfOld(count: number, rows: string): string {
  const old = path.join(folder, `migrations-${count}`);
  cpSync("app/db/migrations", old, { recursive: true });
  const journal = JSON.parse(readFileSync(path.join(old, "meta/_journal.json"), "utf8")) as { entries: unknown[] };
  journal.entries = journal.entries.slice(0, count);
  writeFileSync(path.join(old, "meta/_journal.json"), JSON.stringify(journal));
  const file = path.join(folder, `old-${count}.sqlite`);
  const sqlite = new Database(file);
  migrate(drizzle({ client: sqlite }), { migrationsFolder: old });
  sqlite.exec(rows);
  sqlite.close();
  return file;
}

test("a garden of the second schema keeps its weather, its forecast in the archive, its minutes and its trips", () => {
  const file = gardenOfOld(
    2,
    `
    insert into weekday_minutes (weekday, minutes) values (0, 20), (5, 60);
    insert into trip (id, name, from_day, to_day) values ('t', 'Coast', '2026-09-26', '2026-09-30');
    insert into weather_day (day, kind, min_c, max_c, rain_mm, wind_kmh, source, imported_at) values
      ('2026-09-18', 'observed', 8, 18, 0, 12, 'file.csv', '2026-09-19T08:00:00Z'),
      ('2026-09-19', 'observed', 9, 19, null, null, 'file.csv', '2026-09-20T08:00:00Z'),
      ('2026-09-19', 'forecast', 7, 17, 1, 20, 'file.csv', '2026-09-19T08:00:00Z'),
      ('2026-09-20', 'forecast', 6, 16, null, 20, 'file.csv', '2026-09-19T08:00:00Z'),
      ('2026-09-21', 'forecast', 5, 15, 3, 30, 'file.csv', '2026-09-20T08:00:00Z');
  `,
  );
  const db = openGarden(file);
  expect(db.select().from(weatherDay).all().map((d) => [d.day, d.minC, d.source])).toEqual([["2026-09-18", 8, "file.csv"], ["2026-09-19", 9, "file.csv"]]); // prettier-ignore
  expect(db.select().from(forecastIssue).all().map((i) => i.issuedOn).sort()).toEqual(["2026-09-19", "2026-09-21"]); // prettier-ignore
  expect(db.select().from(forecastDay).all().map((d) => [d.day, d.minC, d.rainMm])).toEqual([["2026-09-19", 7, 1], ["2026-09-20", 6, null], ["2026-09-21", 5, 3]]); // prettier-ignore
  expect(db.select().from(slotMinutes).all()).toEqual([
    { weekday: 0, slot: "evening", minutes: 20 },
    { weekday: 5, slot: "evening", minutes: 60 },
  ]);
  expect(db.select().from(trip).all()).toMatchObject([{ id: "t", name: "Coast", leaveAt: null, backAt: null }]);
  db.$client.close();
});

test("a garden of the first schema keeps its rows, and what was added since is empty", () => {
  const file = gardenOfOld(
    1,
    `
    insert into bed (id, name, kind, position) values ('b', 'Long bed', 'raised', 0);
    insert into planting (id, bed_id, crop_id, variety, plants, start_event, started_on) values ('p', 'b', 'carrot', '', 40, 'sown', '2026-05-01');
    insert into look (id, planting_id, cue_id, reading_id, taken_on, taken_at) values ('l', 'p', 'shoulder_width', '12_19', '2026-07-01', '2026-07-01T08:00:00Z');
  `,
  );
  const db = openGarden(file);
  expect(db.select().from(planting).all()).toMatchObject([{ id: "p", plants: 40, forSeed: false, bedNeededOn: null }]);
  expect(db.select().from(look).all()).toMatchObject([{ id: "l", readingId: "12_19", sampleOf: null, measuredMm: null }]); // prettier-ignore
  expect(db.select().from(householdCrop).all()).toEqual([]);
  db.$client.close();
});

test("the demo has nine beds, some thirty plantings in every stage, a trip, a frost and a storm ahead, two weeks of ledger", () => {
  const { db, garden } = demo();
  const { outlook } = plannedGarden(db, garden);
  expect(new Set(outlook.plantings.map((p) => p.bed.id)).size).toBe(9);
  expect(outlook.plantings.length).toBeGreaterThanOrEqual(30);
  expect(new Set(outlook.plantings.map((p) => p.crop.id)).size).toBe(12);
  const stages = new Set(
    outlook.plantings.map((p) => Object.entries(p.judgement.odds).sort((a, b) => b[1] - a[1])[0]![0]),
  );
  expect([...stages].sort()).toEqual(["close", "gone", "not yet", "prime", "slipping"].sort());
  expect(Math.max(...outlook.frost.map((n) => n.odds))).toBeGreaterThan(0.5);
  expect(Math.max(...outlook.storms.map((s) => s.gustOdds))).toBeGreaterThan(0.5);
  expect(outlook.away.filter(Boolean)).toHaveLength(4);
  const days = db.select().from(pick).all().filter((p) => p.roundId).map((p) => p.pickedOn).sort(); // prettier-ignore
  expect(days.length).toBeGreaterThan(30);
  expect(days[0]! >= "2026-09-05" && days.at(-1)! < DEMO_DAY).toBe(true);
});

test("stepping the demo's clock turns forecast into record and issues a new forecast, over HTTP from the stand-ins", async () => {
  const { db } = demo();
  expect(stepDemoClock(db, 1)).toEqual({ status: "stepped", day: "2026-09-20" });
  await refreshWeather(db, theGarden(db)!);
  expect(db.select().from(weatherDay).all().map((r) => r.day).sort().at(-1)).toBe("2026-09-19"); // prettier-ignore
  const issues = db.select().from(forecastIssue).all().sort((a, b) => a.issuedAt.localeCompare(b.issuedAt)); // prettier-ignore
  expect(issues.at(-1)).toMatchObject({ issuedOn: "2026-09-20", source: "simulated forecast service" });
  expect(newestForecast(db, "2026-09-20").days.map((d) => d.day).sort().at(-1)).toBe("2026-09-30"); // prettier-ignore
});

test("a household's clock cannot be stepped, and the demo's script leaves its file alone", () => {
  const file = path.join(folder, "household.sqlite");
  const db = openGarden(file);
  setUpGarden(db, { name: "Ours", latitude: 52, longitude: 0, timeZone: "Europe/London", unitSystem: "metric" });
  expect(stepDemoClock(db, 1)).toEqual({ status: "not the demo" });
  db.$client.close();
  const run = spawnSync("npx", ["tsx", "scripts/demo.ts"], {
    env: { ...process.env, AKMEDON_GARDEN: file },
    encoding: "utf8",
  });
  expect(run.status).toBe(1);
  expect(run.stderr).toContain("leaves it alone");
  expect(theGarden(openGarden(file))?.name).toBe("Ours");
});

test("a household's server refuses the demo's file, and a file that is no garden, in a sentence", () => {
  const opened = (file: string) =>
    spawnSync("npx", ["tsx", "scripts/open-garden.ts"], {
      env: { ...process.env, AKMEDON_GARDEN: file, AKMEDON_DEMO: "" },
      encoding: "utf8",
    });
  const demoFile = path.join(folder, "demo.sqlite");
  plantDemoGarden(openGarden(demoFile));
  expect(opened(demoFile)).toMatchObject({
    status: 1,
    stderr: expect.stringContaining("is the demo's garden") as string,
  });
  const rubbish = path.join(folder, "rubbish.sqlite");
  writeFileSync(rubbish, "this is not a database, only some words about beans ".repeat(40));
  expect(opened(rubbish)).toMatchObject({ status: 1, stderr: expect.stringContaining("cannot be opened") as string });
  expect(readFileSync(rubbish, "utf8")).toContain("about beans");
  expect(opened(path.join(folder, "fresh.sqlite"))).toMatchObject({
    status: 0,
    stdout: expect.stringContaining("a new garden") as string,
  });
});

test("a round writes its list down, is started once, fits the minutes of the day, and ends", () => {
  const { db, garden } = demo();
  const started = startRound(db, garden);
  if (started.status !== "started") throw new Error(started.status);
  expect(startRound(db, garden)).toEqual({ status: "already out", roundId: started.roundId });
  const errands = errandsOf(db, started.roundId);
  expect(errands.length).toBeGreaterThan(3);
  expect(errands.reduce((sum, e) => sum + e.minutes, 0)).toBeLessThanOrEqual(50);
  finishRound(db, started.roundId);
  expect(openRound(db)).toBeUndefined();
  expect(db.select().from(round).all().filter((r) => r.day === DEMO_DAY)).toHaveLength(1); // prettier-ignore
});

test("the horizon of the demo: tender picks lie before the frost unless sheltered, none on away days", () => {
  const { db, garden } = demo();
  const view = horizonView(db, garden);
  const frostFrom = view.bands.find((b) => b.kind === "frost")!.from;
  for (const bed of view.beds.filter((b) => b.name === "Low bed" || b.name === "Long bed"))
    for (const p of bed.plantings.filter((q) => /Courgette|bean/.test(q.crop)))
      expect(
        p.handles.some((h) => h.day <= Math.floor(frostFrom)),
        p.id,
      ).toBe(true);
  for (const p of view.beds.flatMap((b) => b.plantings))
    for (const h of p.handles) expect(view.days[h.day]!.away).toBe(false);
  expect(view.sentences.threatened[0]!.lead).toBe("Hard frost likely Wednesday night");
});
