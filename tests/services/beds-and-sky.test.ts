import { readFileSync } from "node:fs";
import { expect, test } from "vitest";
import { allBeds } from "~/db/beds/beds.server";
import { openLooks } from "~/db/looks/looks.server";
import { allTrips } from "~/db/sky/hands.server";
import { observedDays } from "~/db/sky/weather.server";
import { fieldErrors } from "~/core/issues";
import { BedForm, addBed, moveBed, removeBed } from "~/services/beds/beds.server";
import { PlantingForm, editPlanting, removePlanting } from "~/services/beds/edit-planting.server";
import { GardenForm } from "~/services/garden/set-up-garden.server";
import { WeekForm } from "~/services/sky/free-minutes.server";
import { importWeather } from "~/services/sky/import-weather.server";
import { TripForm, saveTrip } from "~/services/sky/trips.server";
import { refusal, send, smallGarden } from "./garden-fixture";

test("two beds of one name are refused; beds move along the walk; a bed with a record stays", () => {
  const { db } = smallGarden();
  expect(addBed(db, { name: "long BED", kind: "open" })).toMatchObject({ status: "refused" });
  const second = addBed(db, { name: "Low bed", kind: "low" });
  if (second.status !== "saved") throw new Error("added");
  moveBed(db, second.bedId, -1);
  expect(allBeds(db).map((b) => b.name)).toEqual(["Low bed", "Long bed"]);
  const long = allBeds(db).find((b) => b.name === "Long bed")!;
  expect(removeBed(db, long.id)).toMatchObject({ status: "refused" });
  expect(removeBed(db, second.bedId)).toEqual({ status: "removed" });
  expect(BedForm.safeParse({ name: "  ", kind: "open" }).success).toBe(false);
});

test.each<[string, Record<string, string>, string, RegExp]>([
  ["no plants", { plants: "0" }, "plants", /At least one/],
  ["words for plants", { plants: "many" }, "plants", /how many plants/i],
  ["one end of the packet only", { packetLow: "50" }, "packetHigh", /both ends/],
  ["a packet that runs backwards", { packetLow: "70", packetHigh: "50" }, "packetHigh", /before its earlier/],
  ["a day that does not exist", { startedOn: "2026-02-30" }, "startedOn", /not a day/],
])("a planting with %s is refused in a sentence", (_, fields, at, words) => {
  const parsed = PlantingForm.safeParse({
    plantingId: "carrot",
    cropId: "carrot",
    startEvent: "sown",
    variety: "",
    plants: "4",
    bedId: "x",
    startedOn: "2026-05-03",
    packetLow: "",
    packetHigh: "",
    schoolOption: "",
    ...fields,
  });
  if (parsed.success) throw new Error("refused");
  expect(fieldErrors(parsed.error)[at]).toMatch(words);
});

test("a planting cannot start tomorrow; one with nothing picked can be removed", () => {
  const { db, garden } = smallGarden();
  const facts = {
    plantingId: "carrot",
    cropId: "carrot",
    startEvent: "sown" as const,
    startedTo: null,
    variety: "",
    plants: 4,
    bedId: allBeds(db)[0]!.id,
    rowLength: "",
    packetLow: null,
    packetHigh: null,
    schoolOption: null,
    forSeed: false,
    bedNeededOn: null,
    matters: "usual" as const,
    eats: "",
  };
  expect(editPlanting(db, garden, { ...facts, startedOn: "2099-01-01" })).toMatchObject({ status: "refused" });
  expect(editPlanting(db, garden, { ...facts, startedOn: "2026-05-01" })).toEqual({ status: "saved" });
  expect(removePlanting(db, "carrot")).toEqual({ status: "removed" });
});

test("a trip that ends before it starts, or lasts over a year, is refused; a good one is kept", () => {
  const errors = (fields: object) => {
    const parsed = TripForm.safeParse({ name: "Coast", from: "2026-09-26", to: "2026-09-30", ...fields });
    return parsed.success ? {} : fieldErrors(parsed.error);
  };
  expect(errors({ to: "2026-09-20" }).to).toMatch(/ends before it starts/);
  expect(errors({ to: "2028-09-20" }).to).toMatch(/Longer than a year/);
  expect(errors({ from: "2026-09-31" }).from).toMatch(/not a day/);
  expect(errors({ name: " " }).name).toMatch(/in a word/);
  const { db } = smallGarden();
  saveTrip(db, TripForm.parse({ name: "Coast", from: "2026-09-26", to: "2026-09-30" }));
  expect(allTrips(db)).toHaveLength(1);
});

test.each([
  ["-5", /below zero/],
  ["1500", /check the number/],
  ["x", /as a number/],
  ["2.5", /Whole minutes/],
])("%s minutes a day is refused", (minutes, words) => {
  const parsed = WeekForm.safeParse({ minutes: [minutes, ...new Array<string>(20).fill("10")] });
  expect(parsed.success ? "" : parsed.error.issues[0]!.message).toMatch(words);
});

test.each<[Record<string, string>, string]>([
  [{ latitude: "95" }, "latitude"],
  [{ latitude: "north" }, "latitude"],
  [{ longitude: "190" }, "longitude"],
  [{ timeZone: "Garden/Shed" }, "timeZone"],
  [{ name: "x".repeat(61) }, "name"],
  [{ heightM: "a hill" }, "heightM"],
  [{ heightM: "9000 m" }, "heightM"],
])("a garden at %o is refused", (fields, at) => {
  const parsed = GardenForm.safeParse({
    name: "Back",
    latitude: "52,4",
    longitude: "-0.6",
    timeZone: "Europe/London",
    unitSystem: "metric",
    ...fields,
  });
  if (parsed.success) throw new Error("refused");
  expect(Object.keys(fieldErrors(parsed.error))).toEqual([at]);
});

test("a weather file is taken in whole or not at all; days before today are the record", async () => {
  const { db, garden } = smallGarden();
  const seattle = readFileSync("node_modules/vega-datasets/data/seattle-weather.csv", "utf8");
  expect((await importWeather(db, garden, "rubbish\n".repeat(10_000), "x.csv", {})).status).toBe("refused");
  expect((await importWeather(db, garden, seattle, "s.csv", {})).status).toBe("units unclear");
  expect(observedDays(db)).toEqual([]);
  expect(await importWeather(db, garden, seattle, "s.csv", { wind: "m/s" })).toMatchObject({
    status: "taken",
    observed: 1461,
    forecast: 0,
  });
  expect((await importWeather(db, garden, seattle, "s.csv", { wind: "m/s" })).status).toBe("taken");
  expect(observedDays(db)).toHaveLength(1461);
});

test("a second answer to a cue on the same day replaces the first; an empty one takes it back; unknown ones change nothing", () => {
  const { db } = smallGarden();
  const answer = (readingId: string | null, cueId = "length") =>
    send(db, { kind: "look", plantingId: "courgette", cueId, readingId });
  const readings = () => openLooks(db).map((l) => l.readingId);
  expect([answer("under_80").status, answer("150_250").status]).toEqual(["applied", "applied"]);
  expect(readings()).toEqual(["150_250"]);
  expect(refusal(answer("enormous")).look).toMatch(/not a look this crop knows/);
  expect(refusal(answer("red", "colour_stage")).look).toMatch(/not a look/);
  expect(readings()).toEqual(["150_250"]);
  expect(answer(null).status).toBe("applied");
  expect(readings()).toEqual([]);
});
