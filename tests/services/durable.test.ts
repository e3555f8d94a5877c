import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, expect, test } from "vitest";
import { openGarden, type Db } from "~/db/client.server";
import { allPlantings } from "~/db/beds/plantings.server";
import { fileTrouble } from "~/db/file-trouble.server";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";
import { addBed } from "~/services/beds/beds.server";
import { send, smallGarden } from "./garden-fixture";

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-durable-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const run = (file: string, script: string, ...args: string[]) =>
  spawnSync("npx", ["tsx", script, ...args], { encoding: "utf8", env: { ...process.env, AKMEDON_GARDEN: file, AKMEDON_DEMO: "1" } }); // prettier-ignore
const pick = (plantingId: string) => ({
  kind: "pick" as const,
  plantingId,
  outcome: "picked" as const,
  weight: "1 kg",
});
const allPicks = (db: Db) => db.$client.prepare("select * from pick order by id").all();
const told = (act: () => unknown) => wholeOrTold(async () => act())(undefined).then(() => "written", (thrown: { data: string; init: { status: number } }) => `${thrown.init.status}: ${thrown.data}`); // prettier-ignore

test("a power cut would have taken picks that were acknowledged: each commit waits for the disk", () => {
  const file = path.join(folder, "garden.sqlite");
  const db = openGarden(file);
  expect(db.$client.pragma("synchronous", { simple: true })).toBe(2);
  expect(db.$client.pragma("journal_mode", { simple: true })).toBe("wal");
  db.$client.close();
});

test("a full disk: what does not fit is not half there, the device keeps it, and a page says so", async () => {
  const { db } = smallGarden();
  const pages = db.$client.pragma("page_count", { simple: true }) as number;
  db.$client.pragma(`max_page_count = ${pages + 2}`);
  let taken = 0;
  while (taken < 500 && send(db, pick("courgette")).status === "applied") taken += 1;
  expect(taken).toBeLessThan(500);
  expect(send(db, pick("courgette"))).toMatchObject({
    status: "not now",
    why: expect.stringMatching(/^The disk is full/) as string,
  });
  expect(allPicks(db)).toHaveLength(taken);
  const kept = db.$client.prepare("select count(*) as n from entry").get() as { n: number };
  expect(kept.n).toBe(taken);
  expect(await told(() => { for (let n = 0; n < 500; n++) addBed(db, { name: `Bed ${n} ${"x".repeat(40)}`, kind: "open" }); })).toMatch(/^507: The disk is full, so nothing of it was written/); // prettier-ignore
  // With room again, what was kept goes in.
  db.$client.pragma("max_page_count = 100000");
  expect(send(db, pick("courgette")).status).toBe("applied");
});

test("a file that may only be read says so, and nothing is written", async () => {
  const { db } = smallGarden();
  db.$client.pragma("query_only = ON");
  expect(send(db, pick("courgette"))).toMatchObject({
    status: "not now",
    why: expect.stringMatching(/may only be read/) as string,
  });
  expect(await told(() => addBed(db, { name: "New", kind: "open" }))).toMatch(
    /^507: The garden’s file may only be read/,
  );
  db.$client.pragma("query_only = OFF");
  expect(allPicks(db)).toEqual([]);
});

test("an error of our own is no trouble of the disk", async () => {
  expect(fileTrouble(new Error("SQLITE_FULL"))).toBeUndefined();
  await expect(wholeOrTold(async () => { throw new Error("ours"); })(undefined)).rejects.toThrow("ours"); // prettier-ignore
});

test("a copy made while the garden is in use is whole, opens, and never takes another file’s place", () => {
  const file = path.join(folder, "demo.sqlite");
  const copy = path.join(folder, "copy.sqlite");
  const db = openGarden(file);
  plantDemoGarden(db);
  const made = run(file, "scripts/copy-garden.ts", copy);
  expect(made.stdout).toMatch(/was copied to .*, and the copy holds together/);
  const again = openGarden(copy);
  expect(allPlantings(again)).toEqual(allPlantings(db));
  expect(allPicks(again)).toEqual(allPicks(db));
  again.$client.close();
  db.$client.close();
  const before = readFileSync(copy);
  expect(run(file, "scripts/copy-garden.ts", copy)).toMatchObject({ status: 1, stderr: expect.stringMatching(/is there already/) as string }); // prettier-ignore
  expect(readFileSync(copy).equals(before)).toBe(true);
});

test("a damaged file is told at the start, not by a page a week later", () => {
  const file = path.join(folder, "damaged.sqlite");
  const db = openGarden(file);
  plantDemoGarden(db);
  db.$client.pragma("wal_checkpoint(TRUNCATE)");
  db.$client.close();
  const bytes = readFileSync(file);
  for (let page = 3; page < 40; page++) bytes.fill(0x5a, page * 4096 + 100, page * 4096 + 900);
  writeFileSync(file, bytes);
  const opened = run(file, "scripts/open-garden.ts");
  expect(opened.status).toBe(1);
  expect(opened.stderr).toMatch(/cannot be opened: .*(is damaged|malformed)/);
});
