import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, describe, expect, test, vi } from "vitest";
import { openGarden, type Db } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";
import { adviceFor, planAhead, plannedGarden } from "~/services/garden/planned-garden.server";
import { adviceOn, askedOf, planGarden, type KeptPlan } from "~/services/garden/plan-garden.server";
import * as planners from "~/services/garden/planners.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { csvPart } from "~/services/ledger/ledger-csv.server";
import { ledgerCsv } from "~/services/ledger/ledger-export.server";
import type { Planned } from "~/views/planned";
import { send } from "./garden-fixture";

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-apart-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

let files = 0;
function gardenInFile(): Db {
  const db = openGarden(path.join(folder, `${++files}.sqlite`));
  plantDemoGarden(db);
  return db;
}
const rowOf = (db: Db) => theGarden(db)!;
const pick = (db: Db, plantingId: string) => send(db, { kind: "pick", plantingId, outcome: "picked", weight: "1 kg" }, { at: "2026-09-19T06:00:00Z" }); // prettier-ignore
/** What a plan says, without which object says it. */
const said = ({ plan, outlook, moveCosts, today, units }: Planned) => ({ plan, moveCosts, today, units, problem: outlook.problem, plantings: outlook.plantings.map((p) => ({ ...p, crop: p.crop.id })) }); // prettier-ignore
const asked = new Request("http://here/");
const opened = new Request("http://here/", { headers: { "Sec-Fetch-Mode": "navigate" } });
const nothingKept = (): KeptPlan => ({ outlooks: { plantings: new Map() } });
const here = (db: Db, kept = nothingKept()) => planGarden(db, rowOf(db), kept);

describe("a plan would have held up every other request: it is worked out in a thread", () => {
  const db = gardenInFile();

  test("and says the same as it does here, at first and after each pick", { timeout: 60_000 }, async () => {
    const kept = nothingKept();
    for (const plantingId of ["", "tomato-red", "courgette-striped"]) {
      if (plantingId) expect(pick(db, plantingId).status).toBe("applied");
      await planAhead(db, rowOf(db));
      expect(said(plannedGarden(db, rowOf(db)))).toEqual(said(here(db, kept)));
    }
  });

  test("what it sent before it does not send again: a planting that stands is the same object", async () => {
    await planAhead(db, rowOf(db));
    const before = plannedGarden(db, rowOf(db)).outlook.plantings;
    pick(db, "kale-curly");
    await planAhead(db, rowOf(db));
    const after = plannedGarden(db, rowOf(db)).outlook.plantings;
    const changed = after.filter((p, n) => p !== before[n]).map((p) => p.planting.id);
    expect(changed).toEqual(["kale-curly"]);
  });

  test("a pick that is logged while it plans is applied at once, and is in the plan that the page is given", async () => {
    pick(db, "beet-red");
    const coming = planAhead(db, rowOf(db));
    expect(pick(db, "tomato-red").status).toBe("applied");
    await coming;
    const row = rowOf(db);
    const read = vi.spyOn(db, "select");
    const { outlook } = plannedGarden(db, row);
    expect(read).not.toHaveBeenCalled();
    read.mockRestore();
    const made = db.$client.prepare("select count(*) from pick p join season s on s.id = p.season_id where s.planting_id = 'tomato-red' and outcome = 'picked'").pluck().get(); // prettier-ignore
    expect(outlook.plantings.find((p) => p.planting.id === "tomato-red")!.planting.picks).toHaveLength(made as number);
  });

  test("two pages that wait wait for one plan", async () => {
    pick(db, "carrot-main");
    const planning = vi.spyOn(planners, "planApart");
    await Promise.all([planAhead(db, rowOf(db)), planAhead(db, rowOf(db))]);
    expect(planning).toHaveBeenCalledTimes(1);
    planning.mockRestore();
  });

  test("what does not fit is found apart too, and says the same", { timeout: 60_000 }, async () => {
    const planned = plannedGarden(db, rowOf(db));
    const first = adviceFor(db, planned);
    expect(adviceFor(db, planned)).toBe(first);
    expect(await first).toEqual(adviceOn(askedOf(planned)));
    expect(await planners.adviceApart(planned)).toEqual(await first);
  });

  test("a thread that cannot start would have kept every page waiting: then it is planned here", async () => {
    const other = gardenInFile();
    const planning = vi.spyOn(planners, "planApart").mockRejectedValue(new planners.ThreadGone("gone"));
    const page = await whenPlanned(asked, other, rowOf(other), () => plannedGarden(other, rowOf(other)));
    expect(said(page)).toEqual(said(here(other)));
    planning.mockRestore();
  });

  test("a plan that fails fails for who asked; the next one is worked out", async () => {
    const other = gardenInFile();
    const row = { ...rowOf(other), timeZone: "Nowhere/At-all" };
    await expect(whenPlanned(asked, other, row, () => plannedGarden(other, row))).rejects.toThrow();
    await planAhead(other, rowOf(other));
    expect(plannedGarden(other, rowOf(other)).outlook.plantings.length).toBeGreaterThan(10);
  });

  test("a page that is opened before the first plan would have been kept waiting: it stands without, and follows on", async () => {
    const other = gardenInFile();
    const page = () => whenPlanned(opened, other, rowOf(other), () => plannedGarden(other, rowOf(other)));
    let done: () => void = () => undefined;
    const planning = vi.spyOn(planners, "planApart").mockImplementation(() => new Promise((resolve) => (done = () => resolve(here(other))))); // prettier-ignore
    await expect(page()).rejects.toMatchObject({ init: { status: 202 } });
    const following = whenPlanned(asked, other, rowOf(other), () => "there");
    done();
    expect(await following).toBe("there");
    planning.mockRestore();
    pick(other, "kale-curly");
    // From then on it waits for its plan, so that nothing that stands is taken away.
    expect((await page()).outlook.plantings.length).toBeGreaterThan(10);
  });

  test("the ledger is written out by a thread: the same lines as here", { timeout: 60_000 }, async () => {
    const parts: string[] = [];
    for await (const part of ledgerCsv(db)) parts.push(part);
    expect(parts.slice(1).join("")).toBe(csvPart(db, null).text);
    expect(parts[1]!.split("\r\n").length).toBeGreaterThan(5);
    const gone = vi.spyOn(planners, "inThread").mockRejectedValue(new planners.ThreadGone("gone"));
    const alone: string[] = [];
    for await (const part of ledgerCsv(db)) alone.push(part);
    expect(alone).toEqual(parts);
    gone.mockRestore();
  });
});
