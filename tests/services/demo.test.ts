import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, expect, test } from "vitest";
import { openGarden } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { errandsOf, finishedRoundsOn, openRound } from "~/db/round/rounds.server";
import { forecastIssue, weatherDay } from "~/db/schema/index.server";
import { DEMO_DAY, plantDemoGarden } from "~/services/demo/demo-garden.server";
import { stepDemoClock } from "~/services/garden/clock.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { setUpGarden } from "~/services/garden/set-up-garden.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { allLines } from "./ledger-read";
import { newestForecast } from "~/services/sky/forecast-archive.server";
import { refreshWeather } from "~/services/sky/refresh-weather.server";
import { demoGarden as demo, send } from "./garden-fixture";

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

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
  const days = allLines(db).map((l) => l.pickedOn).filter((day) => day >= "2026-09-05").sort(); // prettier-ignore
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
  const { db } = demo();
  expect(send(db, { kind: "start round", roundId: "one" }).status).toBe("applied");
  expect(send(db, { kind: "start round", roundId: "two" }).status).toBe("applied");
  expect(openRound(db)?.id).toBe("one");
  const errands = errandsOf(db, "one");
  expect(errands.length).toBeGreaterThan(3);
  expect(errands.reduce((sum, e) => sum + e.minutes, 0)).toBeLessThanOrEqual(50);
  send(db, { kind: "finish round", roundId: "one" });
  expect(openRound(db)).toBeUndefined();
  expect(finishedRoundsOn(db, DEMO_DAY)).toHaveLength(1);
});

test("the horizon of the demo: tender picks lie before the frost unless sheltered, none on away days", () => {
  const { db, garden } = demo();
  const view = horizonPage(db, garden);
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
