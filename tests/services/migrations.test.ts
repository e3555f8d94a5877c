import { execFileSync } from "node:child_process";
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import { drizzle } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import { afterAll, expect, test, vi } from "vitest";
import { endOf, openSeasonOf, seasonsOf, withdrawEnds } from "~/db/beds/seasons.server";
import { openGarden } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { errandsOf, openRound } from "~/db/round/rounds.server";
import {
  forecastDay,
  forecastIssue,
  householdCrop,
  look,
  planting,
  season,
  slotMinutes,
  trip,
  weatherDay,
} from "~/db/schema/index.server";
import { settleSeasons } from "~/services/garden/settle-seasons.server";
import { allLines } from "./ledger-read";
import { totalsOf } from "~/services/ledger/ledger-totals.server";
import { checkOf, send } from "./garden-fixture";

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** The migrations as they were when there were `count` of them. */
function migrationsOf(count: number): string {
  const old = path.join(folder, `migrations-${count}`);
  cpSync("app/db/migrations", old, { recursive: true });
  const journal = JSON.parse(readFileSync(path.join(old, "meta/_journal.json"), "utf8")) as { entries: unknown[] };
  journal.entries = journal.entries.slice(0, count);
  writeFileSync(path.join(old, "meta/_journal.json"), JSON.stringify(journal));
  return old;
}

let files = 0;
/** A file as it was after the first `count` migrations, with rows written then. */
function gardenOfOld(count: number, rows: string): string {
  const file = path.join(folder, `old-${++files}.sqlite`);
  const sqlite = new Database(file);
  migrate(drizzle({ client: sqlite }), { migrationsFolder: migrationsOf(count) });
  sqlite.exec(`pragma foreign_keys = off; ${rows}`);
  sqlite.close();
  return file;
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
      .values({ id: "p", bedId: "nowhere", cropId: "carrot", plants: 1, cameBy: "sown", cameOn: "2026-05-01" })
      .run(),
  ).toThrow(/FOREIGN KEY/);
  db.$client.close();
  expect(execFileSync("npx", ["drizzle-kit", "generate"], { encoding: "utf8" })).toContain("No schema changes");
});

const GARDEN = "insert into garden (id, name, latitude, longitude, time_zone, unit_system) values (1, 'Ours', 52, 0, 'Europe/London', 'metric'); insert into bed (id, name, kind, position) values ('b', 'Long bed', 'raised', 0);"; // prettier-ignore

/** Rows that a garden of the first schema on may hold: years of a perennial, ends of two kinds, a round that is out. */
const ROWS = `${GARDEN}
  insert into container (id, name, tare_grams) values ('crate', 'Crate', 1600);
  insert into planting (id, bed_id, crop_id, variety, plants, start_event, started_on, finished_on) values
    ('asparagus', 'b', 'asparagus', '', 12, 'planted', '2021-04-10', null),
    ('carrot', 'b', 'carrot', '', 40, 'sown', '2026-05-01', null),
    ('courgette', 'b', 'courgette', 'striped', 4, 'sown', '2026-05-02', '2026-08-10'),
    ('potato', 'b', 'potato_maincrop', '', 10, 'planted', '2026-04-02', '2026-08-15'),
    ('beet', 'b', 'beetroot', '', 20, 'sown', '2026-04-12', '2026-07-10');
  insert into look (id, planting_id, cue_id, reading_id, taken_on, taken_at) values
    ('l', 'carrot', 'shoulder_width', '12_19', '2026-07-01', '2026-07-01T08:00:00Z'),
    ('l25', 'asparagus', 'spear_length', '18_25', '2025-04-20', '2025-04-20T08:00:00Z');
  insert into round (id, day, started_at, finished_at) values
    ('done', '2026-08-10', '2026-08-10T17:00:00Z', '2026-08-10T18:00:00Z'), ('out', '2026-08-19', '2026-08-19T17:00:00Z', null);
  insert into errand (round_id, planting_id, position, part, doing, expected_pieces, expected_grams, minutes, done_at) values
    ('out', 'carrot', 0, 'all', 'pick', 10, 500, 5, null), ('out', 'asparagus', 1, 'all', 'look', 0, 0, 1, '2026-08-19T17:05:00Z');
  insert into pick (id, planting_id, round_id, picked_on, outcome, took_all, grams, pieces, estimated, gross_grams, container_id, container_count, tare_grams, condition, fate, note, logged_at, withdrawn_at) values
    ('a25', 'asparagus', null, '2025-04-22', 'picked', 0, 800, 30, 0, null, null, null, null, 'sound', 'eat now', '', '2025-04-22T10:00:00Z', null),
    ('a26', 'asparagus', null, '2026-04-25', 'picked', 0, null, 20, 0, null, null, null, null, 'sound', 'eat now', '', '2026-04-25T10:00:00Z', null),
    ('c-last', 'courgette', 'done', '2026-08-10', 'picked', 1, 2000, 5, 1, null, null, null, null, 'sound', 'give away', 'last ones', '2026-08-10T17:10:00Z', null),
    ('p-all', 'potato', null, '2026-08-15', 'picked', 1, 18400, null, 0, 20000, 'crate', 1, 1600, 'sound', 'store', '', '2026-08-15T10:00:00Z', null),
    ('p-wrong', 'potato', null, '2026-08-14', 'picked', 0, 500, null, 0, null, null, null, null, 'damaged', 'compost', '', '2026-08-14T10:00:00Z', '2026-08-14T11:00:00Z'),
    ('none', 'carrot', null, '2026-08-01', 'nothing ready', 0, null, null, 0, null, null, null, null, 'sound', 'eat now', 'thin yet', '2026-08-01T10:00:00Z', null);
  insert into pick_correction (pick_id, corrected_at, earlier) values ('p-all', '2026-08-15T12:00:00Z', '{"grams":19000,"pieces":null,"condition":"sound","fate":"store"}');
`;

test.each([1, 2, 3, 4])(
  "a garden of schema %i becomes seasons, lots and movements; nothing it said is lost",
  (count) => {
    vi.setSystemTime(new Date("2026-08-20T08:00:00Z"));
    const file = gardenOfOld(count, ROWS);
    const db = openGarden(file);
    const garden = theGarden(db)!;
    settleSeasons(db, garden);

    // The perennial's two years stand apart; its start is worked out, what was told was its age.
    expect(seasonsOf(db, "asparagus").map((s) => s.opensOn)).toEqual(["2021-04-10", "2025-01-01", "2026-01-01"]);
    expect(openSeasonOf(db, "asparagus")).toMatchObject({ startEvent: "growth", startStanding: "worked out" });
    // Ends: by hand, though a pick fell on that day; by the pick that took all; and by hand alone.
    const ends = (id: string) => endOf(db, seasonsOf(db, id)[0]!.id);
    expect(ends("courgette")).toMatchObject({ endedOn: "2026-08-10", reason: "bed free", pickId: null });
    expect(ends("potato")).toMatchObject({ endedOn: "2026-08-15", reason: "all taken", pickId: "p-all" });
    expect(ends("beet")).toMatchObject({ endedOn: "2026-07-10", reason: "bed free", pickId: null });
    expect(openSeasonOf(db, "carrot")).toMatchObject({ startedOn: "2026-05-01", startStanding: "told" });

    const lines = new Map(allLines(db).map((l) => [l.id, l]));
    expect([...lines.keys()].sort()).toEqual(["a25", "a26", "c-last", "none", "p-all", "p-wrong"]);
    expect(lines.get("p-all")).toMatchObject({ grams: 18400, grossGrams: 20000, containers: [{ containerId: "crate", count: 1, tareGrams: 1600 }], fate: "store", estimated: false }); // prettier-ignore
    expect(lines.get("c-last")).toMatchObject({ grams: 2000, pieces: 5, estimated: true, fate: "give away", note: "last ones" }); // prettier-ignore
    expect(lines.get("p-wrong")!.withdrawnAt).toBe("2026-08-14T11:00:00Z");
    expect(lines.get("none")).toMatchObject({ outcome: "nothing ready", note: "thin yet", lots: [] });
    expect(totalsOf(db, "year").map((t) => [t.key, t.weighedGrams, t.estimatedGrams, t.pieces])).toEqual([["2026", 18400, 2000, 25], ["2025", 800, 0, 30]]); // prettier-ignore
    expect(db.$client.prepare("select pick_id, earlier from pick_correction").all()).toMatchObject([{ pick_id: "p-all", earlier: expect.stringContaining("19000") as string }]); // prettier-ignore

    // The round is still out, with what was done on it.
    expect(openRound(db)?.id).toBe("out");
    expect(errandsOf(db, "out").map((e) => [e.plantingId, e.doneAt])).toEqual([["carrot", null], ["asparagus", "2026-08-19T17:05:00Z"]]); // prettier-ignore
    expect(send(db, { kind: "finish round", roundId: "out" }).status).toBe("applied");
    expect(openRound(db)).toBeUndefined();

    // Taking back the pick that ended it reopens; the end by hand stands whatever becomes of its pick.
    expect(send(db, { kind: "take back", target: "p-all" }).status).toBe("applied");
    expect(openSeasonOf(db, "potato")).toBeDefined();
    expect(send(db, { kind: "take back", target: "c-last" }).status).toBe("applied");
    expect(openSeasonOf(db, "courgette")).toBeUndefined();
    withdrawEnds(db, { seasonId: "courgette/1" });
    expect(checkOf({ db, garden }, "courgette").verdict.length).toBeGreaterThan(5);
    expect(db.$client.pragma("foreign_key_check")).toEqual([]);
    db.$client.close();
  },
);

test("the demo of before seasons, migrated, shows the totals it showed", () => {
  const file = gardenOfOld(4, readFileSync("tests/services/fixtures/demo-before-seasons.sql", "utf8"));
  const db = openGarden(file);
  const brief = (by: "crop" | "bed") => totalsOf(db, by).map((t) => [t.key, t.picks, t.weighedGrams, t.estimatedGrams, t.pieces]); // prettier-ignore
  // As the version before showed them.
  expect(brief("crop")).toEqual([["Tomato, large", 19, 6015, 1725, 0], ["Carrot", 1, 3780, 0, 0], ["French bean", 11, 2295, 825, 0], ["Beetroot", 1, 2520, 0, 0], ["Pea, shelling", 1, 250, 0, 0], ["Kale", 2, 0, 0, 16], ["Courgette", 13, 0, 0, 15], ["Cucumber", 8, 0, 0, 13]]); // prettier-ignore
  expect(brief("bed")).toEqual([["Root patch", 1, 3780, 0, 0], ["Sun wall", 8, 2310, 810, 0], ["Gate bed", 4, 2770, 0, 16], ["Shed pots", 5, 2340, 0, 0], ["Tunnel", 14, 1365, 915, 13], ["Long bed", 14, 1455, 505, 8], ["Low bed", 10, 840, 320, 7]]); // prettier-ignore
  expect(openRound(db)?.id).toBe("round-out");
  expect(errandsOf(db, "round-out").filter((e) => e.doneAt !== null)).toHaveLength(1);
  expect(endOf(db, "beet-red/1")).toMatchObject({ reason: "bed free", endedOn: "2026-09-19" });
  db.$client.close();
});

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

test("what was added since the first schema is empty in a garden of then", () => {
  const db = openGarden(gardenOfOld(1, ROWS));
  expect(db.select().from(planting).all().find((p) => p.id === "carrot")).toMatchObject({ plants: 40, forSeed: false, bedNeededOn: null }); // prettier-ignore
  expect(db.select().from(look).all().find((l) => l.id === "l")).toMatchObject({ seasonId: "carrot/1", readingId: "12_19", sampleOf: null, measuredMm: null }); // prettier-ignore
  expect(db.select().from(householdCrop).all()).toEqual([]);
  db.$client.close();
});

test("a crate of an old garden is weighed again later: what it said before stays beside it", () => {
  const db = openGarden(gardenOfOld(4, ROWS));
  expect(send(db, { kind: "weighing", lotId: "c-last", weight: "2.1 kg" }).status).toBe("applied");
  const line = allLines(db).find((l) => l.id === "c-last")!;
  expect(line).toMatchObject({ grams: 2100, estimated: false });
  expect(line.lots[0]!.history[0]).toMatchObject({ kind: "picked", grams: 2000, estimated: true });
  db.$client.close();
});

/** Every row of every table, to tell whether a file is as it was. */
function contentOf(file: string): string {
  const db = new Database(file);
  const tables = db.prepare("select name from sqlite_master where type = 'table' order by name").all() as { name: string }[]; // prettier-ignore
  const content = JSON.stringify(tables.map(({ name }) => [name, db.prepare(`select * from "${name}"`).all()]));
  db.close();
  return content;
}

test("a copy of the file as it was stays beside the one brought up to date", () => {
  const file = gardenOfOld(4, ROWS);
  const was = contentOf(file);
  openGarden(file).$client.close();
  expect(contentOf(`${file}.before-0004_seasons_entries_lots`)).toBe(was);
  expect(contentOf(file)).not.toBe(was);
  expect(existsSync(`${file}.migrating`)).toBe(false);
});

test("rows still in the write-ahead log come along, into the garden and into its copy", () => {
  const file = gardenOfOld(4, ROWS);
  const other = new Database(file);
  other.pragma("journal_mode = WAL");
  other.pragma("wal_autocheckpoint = 0");
  other.exec("insert into bed (id, name, kind, position) values ('late', 'Late bed', 'open', 1)");
  // A server that was ended hard leaves its log behind: copied while its writer is still open.
  const left = path.join(folder, "left.sqlite");
  for (const end of ["", "-wal"]) cpSync(file + end, left + end);
  other.close();
  const db = openGarden(left);
  expect(db.$client.prepare("select count(*) as n from bed").get()).toEqual({ n: 2 });
  db.$client.close();
  const copy = new Database(`${left}.before-0004_seasons_entries_lots`, { readonly: true });
  expect(copy.prepare("select count(*) as n from bed").get()).toEqual({ n: 2 });
  copy.close();
});

test("a file that another server has open is left to it, with a sentence", () => {
  const file = gardenOfOld(4, ROWS);
  const other = new Database(file);
  other.pragma("journal_mode = WAL");
  expect(other.prepare("select count(*) as n from bed").get()).toEqual({ n: 1 });
  expect(() => openGarden(file)).toThrow(/is in use: end the Akmedon that has it open/);
  other.exec("insert into bed (id, name, kind, position) values ('late', 'Late bed', 'open', 1)");
  other.close();
  const db = openGarden(file);
  expect(db.$client.prepare("select count(*) as n from bed").get()).toEqual({ n: 2 });
  db.$client.close();
});

test("a migration that fails leaves the file as it was and says so; put right, it goes through", () => {
  // A pick of a planting that is not there: its season cannot be made.
  const file = gardenOfOld(4, `${ROWS} insert into pick (id, planting_id, picked_on, outcome, took_all, logged_at) values ('stray', 'nowhere', '2026-08-01', 'picked', 0, '2026-08-01T10:00:00Z');`); // prettier-ignore
  const was = contentOf(file);
  expect(() => openGarden(file)).toThrow(/could not be brought up to date and is as it was: 1 rows would lose their parent/); // prettier-ignore
  expect(contentOf(file)).toBe(was);
  expect(existsSync(`${file}.migrating`)).toBe(false);
  const mended = new Database(file);
  mended.exec("delete from pick where id = 'stray'");
  mended.close();
  const db = openGarden(file);
  expect(db.select().from(season).all()).toHaveLength(5);
  db.$client.close();
});

test("a statement that fails half-way leaves the file as it was", () => {
  const broken = migrationsOf(5);
  const sql = path.join(broken, "0004_seasons_entries_lots.sql");
  writeFileSync(sql, `${readFileSync(sql, "utf8")}\n--> statement-breakpoint\ninsert into no_such_table values (1);`);
  const file = gardenOfOld(4, ROWS);
  const was = contentOf(file);
  const script = `import { openGarden } from "./app/db/client.server"; try { openGarden(${JSON.stringify(file)}); } catch (error) { console.log((error as Error).message); }`; // prettier-ignore
  const said = execFileSync("npx", ["tsx", "-e", script], { encoding: "utf8", env: { ...process.env, AKMEDON_MIGRATIONS: broken } }); // prettier-ignore
  expect(said).toMatch(/could not be brought up to date and is as it was: .*no_such_table/s);
  expect(contentOf(file)).toBe(was);
});

test("a file of a newer version is refused in a sentence and left alone", () => {
  const file = path.join(folder, "newer.sqlite");
  openGarden(file).$client.close();
  const sqlite = new Database(file);
  sqlite.prepare("insert into __drizzle_migrations (hash, created_at) values ('newer', ?)").run(4e12);
  sqlite.close();
  const was = contentOf(file);
  expect(() => openGarden(file)).toThrow("newer.sqlite was written by a newer Akmedon");
  expect(contentOf(file)).toBe(was);
});
