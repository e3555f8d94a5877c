import { expect, test, vi } from "vitest";
import { openGarden, type Db } from "~/db/client.server";
import { plantingById } from "~/db/beds/plantings.server";
import { endOf, openSeasonOf, seasonsOf } from "~/db/beds/seasons.server";
import { theGarden, type GardenRow } from "~/db/garden/garden.server";
import { insertLot, insertMovements } from "~/db/ledger/lots.server";
import { insertPick } from "~/db/ledger/picks.server";
import { saveLook } from "~/db/looks/looks.server";
import { addBed } from "~/services/beds/beds.server";
import { bedsPage } from "~/services/beds/beds-page.server";
import { PlantingForm, editPlanting } from "~/services/beds/edit-planting.server";
import { checkPage } from "~/services/check/check-page.server";
import { todayOf } from "~/services/garden/clock.server";
import { gardenState } from "~/services/garden/garden-state.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { settleSeasons } from "~/services/garden/settle-seasons.server";
import { setUpGarden } from "~/services/garden/set-up-garden.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { allLines } from "./ledger-read";
import { totalsOf } from "~/services/ledger/ledger-totals.server";
import { plant, send } from "./garden-fixture";

/** A garden somewhere, on a day of its own. */
function gardenOn(day: string, { latitude = 52, timeZone = "Europe/London" } = {}) {
  vi.setSystemTime(new Date(`${day}T09:00:00Z`));
  const db = openGarden(":memory:");
  setUpGarden(db, { name: "Orchard", latitude, longitude: 0, timeZone, unitSystem: "metric" });
  const bed = addBed(db, { name: "Long bed", kind: "open" });
  if (bed.status !== "saved") throw new Error(bed.sentence);
  return { db, garden: theGarden(db)!, bedId: bed.bedId };
}

/** A pick as an earlier version left it: all years in one season. */
function pickedOn(db: Db, plantingId: string, day: string, pieces = 10): void {
  const id = `${plantingId}-${day}`;
  insertPick(db, { id, seasonId: `${plantingId}/1`, pickedOn: day, outcome: "picked", tookAll: true, loggedAt: `${day}T10:00:00Z` }); // prettier-ignore
  insertLot(db, { id, pickId: id });
  insertMovements(db, [{ lotId: id, kind: "picked", day, grams: null, pieces, estimated: false, fate: "eat now", condition: "sound", otherLotId: null }]); // prettier-ignore
}

function verdictOf(db: Db, garden: GardenRow, id: string): string {
  settleSeasons(db, garden);
  const page = checkPage(db, garden, id);
  if (page?.status !== "growing") throw new Error(`${id} does not grow`);
  return page.view.verdict;
}

test("asparagus with picks in three springs is not stopped for good: only this spring's picks count", () => {
  const { db, garden, bedId } = gardenOn("2026-05-05");
  plant(db, bedId, { id: "asparagus", cropId: "asparagus", plants: 12, cameBy: "planted" }, "2021-04-10");
  for (const day of ["2024-04-20", "2024-06-10", "2025-04-22", "2025-06-01", "2026-04-25"]) pickedOn(db, "asparagus", day); // prettier-ignore
  expect(verdictOf(db, garden, "asparagus")).not.toMatch(/Stop for this year/);
  expect(seasonsOf(db, "asparagus").map((s) => s.opensOn)).toEqual(["2021-04-10", "2024-01-01", "2025-01-01", "2026-01-01"]); // prettier-ignore
  expect(gardenState(db, garden, "2026-05-05").plantings[0]!.picks.map((p) => p.pickedOn)).toEqual(["2026-04-25"]);
  vi.setSystemTime(new Date("2026-07-20T09:00:00Z"));
  expect(verdictOf(db, garden, "asparagus")).toMatch(/Stop for this year: picked for 12 weeks/);
  vi.setSystemTime(new Date("2027-04-25T09:00:00Z"));
  expect(verdictOf(db, garden, "asparagus")).not.toMatch(/Stop/);
  expect(seasonsOf(db, "asparagus")).toHaveLength(5);
});

test("a peach has its whole crop again in its second bearing year, and last year's totals stay last year's", () => {
  const { db, garden, bedId } = gardenOn("2026-07-25");
  plant(db, bedId, { id: "peach", cropId: "peach", plants: 1, cameBy: "planted" }, "2020-11-20");
  pickedOn(db, "peach", "2025-08-10", 400);
  settleSeasons(db, garden);
  const { outlook } = plannedGarden(db, garden);
  expect(outlook.plantings[0]!.planting.picks).toEqual([]);
  expect(Math.max(...outlook.plantings[0]!.pieces)).toBeGreaterThan(10);
  expect(outlook.plantings[0]!.planting).toMatchObject({ growingYear: 7, startEvent: "blossom", startStanding: "worked out" }); // prettier-ignore
  expect(totalsOf(db, "year").map((t) => [t.key, t.pieces])).toEqual([["2025", 400]]);
});

test("a raspberry planted years ago is not “going over” before it has flowered", () => {
  const { db, garden, bedId } = gardenOn("2026-05-20");
  plant(db, bedId, { id: "raspberry", cropId: "raspberry_summer", plants: 10, cameBy: "planted" }, "2022-03-15");
  saveLook(db, { seasonId: "raspberry/1", cueId: "colour", readingId: "dark", takenOn: "2025-07-10", takenAt: "x", sampleOf: null, measuredMm: null }); // prettier-ignore
  expect(verdictOf(db, garden, "raspberry")).toMatch(/^Leave it/);
  const season = openSeasonOf(db, "raspberry")!;
  expect(season).toMatchObject({ opensOn: "2026-01-01", startEvent: "blossom", startStanding: "worked out" });
  // Late May to mid June in a cool maritime place: common practice.
  expect(season.startedOn >= "2026-05-15" && season.startedOn <= "2026-06-20").toBe(true);
});

test("strawberries: told in blossom one year, the next opens by itself, by the climate until it is told", () => {
  const { db, garden, bedId } = gardenOn("2026-05-30");
  plant(db, bedId, { id: "strawberry", cropId: "strawberry", plants: 30, cameBy: "blossom" }, "2026-05-08");
  settleSeasons(db, garden);
  expect(openSeasonOf(db, "strawberry")).toMatchObject({ startedOn: "2026-05-08", startStanding: "told" });
  vi.setSystemTime(new Date("2027-02-03T09:00:00Z"));
  expect(verdictOf(db, garden, "strawberry")).toMatch(/^Leave it/);
  expect(openSeasonOf(db, "strawberry")).toMatchObject({ opensOn: "2027-01-01", startStanding: "worked out" });
  expect(endOf(db, "strawberry/1")).toMatchObject({ endedOn: "2026-12-31", reason: "year turned" });
  vi.setSystemTime(new Date("2027-05-20T09:00:00Z"));
  const form = PlantingForm.parse({ plantingId: "strawberry", cropId: "strawberry", variety: "", plants: "30", bedId, startEvent: "blossom", startedOn: "2027-05-02", packetLow: "", packetHigh: "", schoolOption: "" }); // prettier-ignore
  expect(editPlanting(db, garden, form)).toEqual({ status: "saved" });
  expect(openSeasonOf(db, "strawberry")).toMatchObject({ startedOn: "2027-05-02", startStanding: "told" });
  settleSeasons(db, garden);
  expect(openSeasonOf(db, "strawberry")!.startStanding).toBe("told");
});

test("rhubarb called over for the year rests, is nobody's errand, and comes again by itself", () => {
  const { db, garden, bedId } = gardenOn("2026-06-20");
  plant(db, bedId, { id: "rhubarb", cropId: "rhubarb", plants: 2, cameBy: "planted" }, "2019-11-01");
  settleSeasons(db, garden);
  expect(send(db, { kind: "end", plantingId: "rhubarb", bedFree: false }, { at: "2026-06-20T09:00:00Z" }).status).toBe("applied"); // prettier-ignore
  expect(plannedGarden(db, garden).outlook.plantings).toEqual([]);
  expect(bedsPage(db, garden)[0]!.plantings[0]).toMatchObject({ rests: "over for this year since 20 Jun", finished: null }); // prettier-ignore
  vi.setSystemTime(new Date("2027-03-20T09:00:00Z"));
  expect(verdictOf(db, garden, "rhubarb").length).toBeGreaterThan(5);
  expect(openSeasonOf(db, "rhubarb")!.opensOn).toBe("2027-01-01");
});

test("a perennial whose bed is free stays gone, whatever year turns", () => {
  const { db, garden, bedId } = gardenOn("2026-06-20");
  plant(db, bedId, { id: "rhubarb", cropId: "rhubarb", plants: 2, cameBy: "planted" }, "2019-11-01");
  settleSeasons(db, garden);
  send(db, { kind: "end", plantingId: "rhubarb", bedFree: true }, { at: "2026-06-20T09:00:00Z" });
  vi.setSystemTime(new Date("2028-03-20T09:00:00Z"));
  settleSeasons(db, garden);
  expect(openSeasonOf(db, "rhubarb")).toBeUndefined();
  const [bed] = bedsPage(db, garden);
  expect([bed!.plantings, bed!.earlier, bed!.opened]).toEqual([[], 1, false]);
  const [opened] = bedsPage(db, garden, bed!.id);
  expect(opened).toMatchObject({ earlier: 0, opened: true, plantings: [{ finished: "20 Jun 2026" }] });
});

test("a young bed is left to grow until the year of its first crop", () => {
  const { db, garden, bedId } = gardenOn("2026-05-10");
  plant(db, bedId, { id: "young", cropId: "asparagus", plants: 12, cameBy: "planted" }, "2025-04-10");
  expect(verdictOf(db, garden, "young")).toBe(
    "Leave it to grow: this is its second year, its first crop comes in the third.",
  );
  expect(plannedGarden(db, garden).plan.picks.young ?? []).toEqual([]);
  vi.setSystemTime(new Date("2027-05-10T09:00:00Z"));
  expect(verdictOf(db, garden, "young")).not.toMatch(/Leave it to grow/);
});

test("garlic keeps one season over New Year; in its second autumn the new cloves are another planting", () => {
  const { db, garden, bedId } = gardenOn("2027-01-02");
  plant(db, bedId, { id: "garlic", cropId: "garlic_softneck", plants: 40, cameBy: "planted" }, "2026-10-15");
  expect(verdictOf(db, garden, "garlic")).toMatch(/^Leave it/);
  expect(seasonsOf(db, "garlic")).toHaveLength(1);
  vi.setSystemTime(new Date("2027-07-15T09:00:00Z"));
  send(db, { kind: "pick", plantingId: "garlic", outcome: "picked", tookAll: true, weight: "2 kg" }, { at: "2027-07-15T09:00:00Z" }); // prettier-ignore
  vi.setSystemTime(new Date("2027-11-01T09:00:00Z"));
  settleSeasons(db, garden);
  expect(openSeasonOf(db, "garlic")).toBeUndefined();
  plant(db, bedId, { id: "garlic-new", cropId: "garlic_softneck", plants: 40, cameBy: "planted" }, "2027-10-20");
  expect(verdictOf(db, garden, "garlic-new")).toMatch(/^Leave it/);
  expect(bedsPage(db, garden)[0]!.plantings.map((p) => [p.id, p.finished])).toEqual([["garlic-new", null], ["garlic", "15 Jul"]]); // prettier-ignore
});

test("a leap day is a day like others: sown, picked and looked back on", () => {
  const { db, garden, bedId } = gardenOn("2028-02-29");
  plant(db, bedId, { id: "radish", cropId: "radish_root", plants: 50 }, "2028-01-20");
  plant(db, bedId, { id: "chives", cropId: "chives", plants: 3, cameBy: "planted" }, "2024-02-29");
  expect(verdictOf(db, garden, "chives").length).toBeGreaterThan(5);
  expect(gardenState(db, garden, "2028-02-29").plantings.find((p) => p.id === "chives")!.growingYear).toBe(5);
  expect(send(db, { kind: "pick", plantingId: "radish", outcome: "picked", count: "3" }, { at: "2028-02-29T08:00:00Z" }).status).toBe("applied"); // prettier-ignore
  vi.setSystemTime(new Date("2029-03-01T09:00:00Z"));
  expect(allLines(db)[0]).toMatchObject({ pickedOn: "2028-02-29" });
  expect(verdictOf(db, garden, "radish").length).toBeGreaterThan(5);
});

test("at 35° south the year turns in July, and a peach flowers about August", () => {
  const { db, garden, bedId } = gardenOn("2026-12-20", { latitude: -35, timeZone: "Australia/Adelaide" });
  plant(db, bedId, { id: "peach", cropId: "peach", plants: 1, cameBy: "planted" }, "2018-07-15");
  pickedOn(db, "peach", "2026-01-15", 300);
  settleSeasons(db, garden);
  expect(seasonsOf(db, "peach").map((s) => s.opensOn)).toEqual(["2018-07-15", "2025-07-01", "2026-07-01"]);
  const { startedOn } = openSeasonOf(db, "peach")!;
  expect(startedOn >= "2026-07-15" && startedOn <= "2026-09-20").toBe(true);
  expect(gardenState(db, garden, "2026-12-20").plantings[0]!.growingYear).toBe(9);
  expect(plannedGarden(db, garden).outlook.plantings[0]!.planting.picks).toEqual([]);
});

test("a zone of half an hour: an entry of the evening belongs to its own day there", () => {
  const { db, garden, bedId } = gardenOn("2026-08-20", { latitude: 28, timeZone: "Asia/Kolkata" });
  plant(db, bedId, { id: "bean", cropId: "bean_bush", plants: 20 }, "2026-06-10");
  const on = (at: string) => {
    const id = crypto.randomUUID();
    vi.setSystemTime(new Date(Date.parse(at) + 3_600_000));
    expect(send(db, { kind: "pick", plantingId: "bean", outcome: "picked", count: "5" }, { id, at }).status).toBe("applied"); // prettier-ignore
    return allLines(db).find((l) => l.id === id)!.pickedOn;
  };
  expect(on("2026-08-20T18:29:00Z")).toBe("2026-08-20");
  expect(on("2026-08-20T18:31:00Z")).toBe("2026-08-21");
  expect(gardenState(db, garden, todayOf(garden)).now!.clock).toMatch(/^\d\d:\d\d$/);
});

test("the night the clocks change an entry has its own day, and the garden its hours", () => {
  const { db, garden, bedId } = gardenOn("2026-10-25");
  plant(db, bedId, { id: "kale", cropId: "kale_leaf", plants: 6, cameBy: "planted" }, "2026-06-10");
  const on = (at: string) => {
    const id = crypto.randomUUID();
    expect(send(db, { kind: "pick", plantingId: "kale", outcome: "picked", count: "5" }, { id, at }).status).toBe("applied"); // prettier-ignore
    return allLines(db).find((l) => l.id === id)!.pickedOn;
  };
  // Half past midnight, still summer time; and a quarter to midnight of the day before.
  expect(on("2026-10-24T23:30:00Z")).toBe("2026-10-25");
  expect(on("2026-10-24T22:45:00Z")).toBe("2026-10-24");
  expect(horizonPage(db, garden).beds[0]!.plantings).toHaveLength(1);
});

test("a start that lies months ahead makes no error page", () => {
  for (const day of ["2026-01-01", "2026-01-05", "2026-12-31"]) {
    const { db, garden, bedId } = gardenOn(day);
    for (const crop of ["peach", "raspberry_autumn", "strawberry", "fig", "blueberry", "rhubarb", "currant_red"])
      plant(db, bedId, { id: crop, cropId: crop, plants: 2, cameBy: "planted" }, "2015-11-01");
    settleSeasons(db, garden);
    expect(horizonPage(db, garden).beds[0]!.plantings).toHaveLength(7);
    expect(plannedGarden(db, garden).outlook.plantings.every((p) => p.ridge.every(Number.isFinite))).toBe(true);
  }
});

test("a start moved to this spring leaves earlier looks and picks in the record and throws nothing", () => {
  const { db, garden, bedId } = gardenOn("2026-08-20");
  plant(db, bedId, { id: "chard", cropId: "chard", plants: 8 }, "2025-05-01");
  pickedOn(db, "chard", "2025-08-01");
  saveLook(db, { seasonId: "chard/1", cueId: "leaf_length", readingId: "x", takenOn: "2025-07-01", takenAt: "x", sampleOf: null, measuredMm: null }); // prettier-ignore
  const form = PlantingForm.parse({ plantingId: "chard", cropId: "chard", variety: "", plants: "8", bedId, startEvent: "sown", startedOn: "2026-04-20", startedTo: "2026-05-10", packetLow: "", packetHigh: "", schoolOption: "" }); // prettier-ignore
  expect(editPlanting(db, garden, form)).toEqual({ status: "saved" });
  expect(gardenState(db, garden, "2026-08-20").plantings[0]).toMatchObject({ startedOn: "2026-04-30", startDoubtDays: 10 }); // prettier-ignore
  expect(verdictOf(db, garden, "chard").length).toBeGreaterThan(5);
});

test("a planting typed as another crop is put right, and keeps its record", () => {
  const { db, garden, bedId } = gardenOn("2026-08-20");
  plant(db, bedId, { id: "p", cropId: "potato_early", plants: 20, cameBy: "planted" }, "2026-04-01");
  const form = PlantingForm.parse({ plantingId: "p", cropId: "garlic_softneck", variety: "Early Purple", plants: "20", bedId, startEvent: "planted", startedOn: "2025-10-20", packetLow: "", packetHigh: "", schoolOption: "" }); // prettier-ignore
  expect(editPlanting(db, garden, form)).toEqual({ status: "saved" });
  expect(plantingById(db, "p")).toMatchObject({ cropId: "garlic_softneck", cameOn: "2025-10-20" });
  expect(checkPage(db, garden, "p")).toMatchObject({ status: "growing", view: { crop: "Garlic, softneck" } });
  const refused = editPlanting(db, garden, { ...form, cropId: "tulip" });
  expect(refused).toMatchObject({ status: "refused", errors: { cropId: "Choose a crop of the list." } });
});

test("a sown tomato is judged weeks behind a planted one: its packet counts from planting out", () => {
  const { db, garden, bedId } = gardenOn("2026-07-25");
  plant(db, bedId, { id: "sown", cropId: "tomato_large", plants: 4 }, "2026-05-15");
  plant(db, bedId, { id: "planted", cropId: "tomato_large", plants: 4, cameBy: "planted" }, "2026-05-15");
  const opens = (id: string) => plannedGarden(db, garden).outlook.plantings.find((p) => p.planting.id === id)!.judgement.window.opens.p50 ?? "2099"; // prettier-ignore
  expect(opens("sown") > opens("planted")).toBe(true);
});

test("in winter growth stops: a carrot in a frame in December holds, and is not weeks past its date", () => {
  const { db, garden, bedId } = gardenOn("2026-12-10");
  plant(db, bedId, { id: "carrot", cropId: "carrot", plants: 60 }, "2026-08-15");
  const page = checkPage(db, garden, "carrot");
  if (page?.status !== "growing") throw new Error("grows");
  expect(page.view.verdict).not.toMatch(/past its packet date/);
  expect(page.view.waiting).toMatch(/holds where it stands/);
});
