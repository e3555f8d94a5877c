import { expect, test, vi } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { allBeds } from "~/db/beds/beds.server";
import { plantingById } from "~/db/beds/plantings.server";
import { insertEnd } from "~/db/beds/seasons.server";
import { openGarden } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { insertLot, insertMovements } from "~/db/ledger/lots.server";
import { insertPick } from "~/db/ledger/picks.server";
import { bedsPage } from "~/services/beds/beds-page.server";
import { addBed } from "~/services/beds/beds.server";
import { bedsDesk } from "~/services/beds/beds-desk.server";
import { PlantingForm, editPlanting } from "~/services/beds/edit-planting.server";
import { plantingPage } from "~/services/beds/planting-page.server";
import { gardenState } from "~/services/garden/garden-state.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { setUpGarden } from "~/services/garden/set-up-garden.server";
import { plant } from "./garden-fixture";

function gardenOn(day: string, unitSystem: "metric" | "us" = "metric") {
  vi.setSystemTime(new Date(`${day}T09:00:00Z`));
  const db = openGarden(":memory:");
  setUpGarden(db, { name: "Plot", latitude: 50, longitude: 0, timeZone: "Europe/London", unitSystem });
  addBed(db, { name: "Long bed", kind: "open" });
  return { db, garden: theGarden(db)!, bedId: allBeds(db)[0]!.id };
}
type Garden = ReturnType<typeof gardenOn>;

/** A pick; `pieces` counted, or only weighed. */
function pick({ db }: Garden, plantingId: string, day: string, amount: { pieces: number } | { grams: number }): void {
  const id = `${plantingId}-${day}`;
  insertPick(db, { id, seasonId: `${plantingId}/1`, pickedOn: day, outcome: "picked", tookAll: false, loggedAt: `${day}T10:00:00Z` }); // prettier-ignore
  insertLot(db, { id, pickId: id });
  insertMovements(db, [{ lotId: id, kind: "picked", day, grams: null, pieces: null, ...amount, estimated: false, fate: "eat now", condition: "sound", otherLotId: null }]); // prettier-ignore
}

const over = ({ db }: Garden, id: string, day: string) =>
  insertEnd(db, { id: `end-${id}`, seasonId: `${id}/1`, endedOn: day, reason: "bed free" });
const outlookOf = ({ db, garden }: Garden, id: string) =>
  plannedGarden(db, garden).outlook.plantings.find((p) => p.planting.id === id)!;

/** Onions of last year, of which each plant gave one piece of so many, and this year's. */
function secondYear(gave: number) {
  const g = gardenOn("2026-07-20");
  plant(g.db, g.bedId, { id: "last", cropId: "onion_bulb", plants: 60 }, "2025-03-25");
  plant(g.db, g.bedId, { id: "radish", cropId: "radish_root", plants: 20 }, "2025-03-20");
  plant(g.db, g.bedId, { id: "now", cropId: "onion_bulb", plants: 60 }, "2026-03-25");
  pick(g, "radish", "2025-05-01", { pieces: 20 });
  pick(g, "last", "2025-08-20", { pieces: Math.round(gave * 30) });
  pick(g, "last", "2025-08-22", { grams: gave * 30 * catalogue().find((c) => c.id === "onion_bulb")!.pieceGrams.value }); // prettier-ignore
  over(g, "last", "2025-08-22");
  return g;
}

test("a season that gave half is remembered in the next: counted and weighed picks together", () => {
  const g = secondYear(0.5);
  const [yields] = gardenState(g.db, g.garden, "2026-07-20").seasonYields.filter((y) => y.cropId === "onion_bulb");
  expect(yields).toMatchObject({ plants: 60, picks: 2, firstOn: "2025-08-20", lastOn: "2025-08-22" });
  expect(yields!.pieces).toBeCloseTo(30, 6);
  const poor = outlookOf(g, "now");
  const fair = outlookOf(secondYear(1), "now");
  expect(poor.bears).toMatchObject({ seasons: 1 });
  expect(poor.bears.factor).toBeLessThan(0.9);
  expect(Math.max(...poor.pieces)).toBeLessThan(0.95 * Math.max(...fair.pieces));
  expect(poor.doubt).toBeLessThan(outlookOf(withOnlyThisYear(), "now").doubt + 1e-9);
});

function withOnlyThisYear() {
  const g = gardenOn("2026-07-20");
  plant(g.db, g.bedId, { id: "now", cropId: "onion_bulb", plants: 60 }, "2026-03-25");
  return g;
}

test("a season still open, or one picked before the record had begun, teaches no amount", () => {
  const g = gardenOn("2026-07-20");
  plant(g.db, g.bedId, { id: "now", cropId: "onion_bulb", plants: 60 }, "2026-03-25");
  plant(g.db, g.bedId, { id: "first", cropId: "radish_root", plants: 20 }, "2025-03-20");
  pick(g, "first", "2025-05-01", { pieces: 3 });
  over(g, "first", "2025-05-02");
  pick(g, "now", "2026-07-15", { pieces: 5 });
  expect(gardenState(g.db, g.garden, "2026-07-20").seasonYields).toEqual([]);
});

test("what keeps giving is measured from its first pick to its last, not by the season's length", () => {
  const factor = (pieces: number, lastDay: number) => {
    const g = gardenOn("2026-07-20");
    plant(g.db, g.bedId, { id: "radish", cropId: "radish_root", plants: 20 }, "2025-03-20");
    plant(g.db, g.bedId, { id: "last", cropId: "courgette", plants: 3, cameBy: "planted" }, "2025-05-25");
    plant(g.db, g.bedId, { id: "now", cropId: "courgette", plants: 3, cameBy: "planted" }, "2026-05-25");
    pick(g, "radish", "2025-05-01", { pieces: 20 });
    for (let day = 1; day <= lastDay; day += 3) pick(g, "last", `2025-07-${String(day).padStart(2, "0")}`, { pieces });
    over(g, "last", "2025-09-01");
    return outlookOf(g, "now").bears.factor;
  };
  expect(factor(4, 28)).toBeGreaterThan(factor(1, 28));
  expect(Math.abs(Math.log(factor(2, 28) / factor(2, 19)))).toBeLessThan(0.12);
  // Two picks tell nothing of how it bears.
  expect(factor(9, 4)).toBe(1);
});

const form = (fields: object) =>
  PlantingForm.parse({
    plantingId: "carrots",
    cropId: "carrot",
    variety: "",
    plants: "40",
    startEvent: "sown",
    startedOn: "2026-05-01",
    packetLow: "",
    packetHigh: "",
    schoolOption: "",
    ...fields,
  });

test("metres of row: told on the form, kept, said, and what it is expected to give follows the crop's spacing", () => {
  const g = gardenOn("2026-07-20");
  const { db, garden, bedId } = g;
  plant(db, bedId, { id: "carrots", cropId: "carrot", plants: 40 }, "2026-05-01");
  const most = () => Math.max(...outlookOf(g, "carrots").pieces);
  const counted = most();
  const perM = catalogue().find((c) => c.id === "carrot")!.life.spacing.plantsPerM;
  expect(editPlanting(db, garden, form({ bedId, rowLength: "2,5 m" }))).toEqual({ status: "saved" });
  expect(plantingById(db, "carrots")).toMatchObject({ lengthM: 2.5, plants: Math.round(2.5 * perM) });
  expect(most() / counted).toBeCloseTo((2.5 * perM) / 40, 1);
  expect(outlookOf(g, "carrots").doubt).toBeGreaterThan(outlookOf(g, "carrots").bears.logSpread);
  expect(plantingPage(db, garden, "carrots")).toMatchObject({ row: { rowLength: "2.5" }, rowUnit: "m" });
  expect(bedsPage(db, garden)[0]!.plantings[0]!.stand).toBe("2.5 m of row,");
  expect(editPlanting(db, garden, form({ bedId, rowLength: "a bit" }))).toMatchObject({ errors: { rowLength: /not a length of row/ } }); // prettier-ignore
  expect(editPlanting(db, garden, form({ bedId, rowLength: "900" }))).toMatchObject({ errors: { rowLength: /between/ } }); // prettier-ignore
  // Left empty, the plants count again.
  expect(editPlanting(db, garden, form({ bedId, rowLength: "" }))).toEqual({ status: "saved" });
  expect(plantingById(db, "carrots")).toMatchObject({ lengthM: null, plants: 40 });
  expect(most()).toBeCloseTo(counted, 6);
});

test("in a garden of feet a bare number is feet; a typed line takes metres and feet", () => {
  const { db, garden, bedId } = gardenOn("2026-07-20", "us");
  plant(db, bedId, { id: "carrots", cropId: "carrot", plants: 40 }, "2026-05-01");
  expect(editPlanting(db, garden, form({ bedId, rowLength: "10" }))).toEqual({ status: "saved" });
  expect(plantingById(db, "carrots")!.lengthM).toBeCloseTo(3.05, 2);
  expect(plantingPage(db, garden, "carrots")).toMatchObject({ row: { rowLength: "10" }, rowUnit: "ft" });
  const said = bedsDesk(db, garden, { intent: "add lines", bedId, rows: [{ text: "8 ft of beetroot golden, sown 20 May" }] }); // prettier-ignore
  expect(said).toMatchObject({ done: "Added: 1 planting." });
  expect(bedsPage(db, garden)[0]!.plantings.map((p) => p.stand)).toContain("8 ft of row,");
});
