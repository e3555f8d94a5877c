import { expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { plannedPicks } from "~/core/garden";
import { theGarden } from "~/db/garden/garden.server";
import { updatePlanting } from "~/db/beds/plantings.server";
import { wantedFrom } from "~/db/beds/wanted-days.server";
import { PlantingForm, editPlanting } from "~/services/beds/edit-planting.server";
import { plantingPage, plantingWanted } from "~/services/beds/planting-page.server";
import { WantedForm, unwant, wantOn } from "~/services/beds/wanted-days.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { skyDesk } from "~/services/sky/sky-desk.server";
import { skyPage } from "~/services/sky/sky-page.server";
import { todayOf } from "~/services/garden/clock.server";
import { demoGarden, send, type GardenOfTest } from "./garden-fixture";

const form = (fields: Record<string, string>) => {
  const data = new FormData();
  for (const [name, value] of Object.entries(fields)) data.set(name, value);
  return data;
};

const rounds = ({ db }: GardenOfTest) => {
  const { plan, outlook } = plannedGarden(db, theGarden(db)!);
  const days = new Set(outlook.plantings.flatMap((p) => plannedPicks(p, plan.picks).map((pick) => pick.day)));
  return [...days].sort((a, b) => a - b);
};

test("limits are saved as typed, and the plan of the garden keeps to them; emptied, they are gone", async () => {
  const made = demoGarden();
  const { db } = made;
  const save = (fields: Record<string, string>) => skyDesk(db, theGarden(db)!, form({ intent: "save limits", roundsAWeek: "", kitchen: "", racks: "", ...fields })); // prettier-ignore
  const free = rounds(made);
  const before = plannedGarden(db, theGarden(db)!).plan;
  expect(await save({ roundsAWeek: "1", kitchen: "2,5", racks: "3" })).toMatchObject({ at: "limits", done: expect.stringMatching(/Saved/) }); // prettier-ignore
  expect(skyPage(db, theGarden(db)!, null).limits).toMatchObject({ roundsAWeek: "1", kitchen: { value: "2.5", unit: "kg" }, racks: { value: "3", unit: "m²" } }); // prettier-ignore
  expect(plannedGarden(db, theGarden(db)!).outlook.problem.kitchenFree![0]).toBe(2.5);
  expect(rounds(made).length).toBeLessThan(free.length);
  expect(rounds(made).length).toBeLessThanOrEqual(3);
  await save({});
  // Days that moved for the limits may stay where they are, where moving them back brings next to nothing.
  const { plan, outlook } = plannedGarden(db, theGarden(db)!);
  expect(outlook.problem.kitchenFree).toBeUndefined();
  expect(plan.worth).toBeGreaterThanOrEqual(before.worth - 0.15);
  expect(rounds(made).length).toBeGreaterThanOrEqual(free.length - 1);
});

test("a limit that cannot be is refused with a sentence at its field, and nothing is changed", async () => {
  const { db } = demoGarden();
  const before = theGarden(db)!;
  const errors = async (fields: Record<string, string>) => (await skyDesk(db, before, form({ intent: "save limits", roundsAWeek: "", ...fields })))?.errors ?? {}; // prettier-ignore
  expect(await errors({ roundsAWeek: "9" })).toMatchObject({ roundsAWeek: expect.stringMatching(/1 to 7/) });
  expect(await errors({ roundsAWeek: "two" })).toMatchObject({ roundsAWeek: expect.stringMatching(/1 to 7/) });
  expect(await errors({ kitchen: "-1" })).toMatchObject({ kitchen: expect.stringMatching(/above zero/) });
  expect(await errors({ racks: "plenty" })).toMatchObject({ racks: expect.stringMatching(/above zero/) });
  expect(theGarden(db)).toEqual(before);
});

test("the fridge is saved with the kitchen that empties it, and what was picked yesterday lies in it", async () => {
  const made = demoGarden();
  const { db } = made;
  const save = (fields: Record<string, string>) => skyDesk(db, theGarden(db)!, form({ intent: "save limits", roundsAWeek: "", kitchen: "", racks: "", ...fields })); // prettier-ignore
  expect((await save({ fridge: "5" }))?.errors).toMatchObject({ kitchen: expect.stringMatching(/empties/) });
  expect((await save({ kitchen: "1", fridge: "0" }))?.errors).toMatchObject({ fridge: expect.stringMatching(/above zero/) }); // prettier-ignore
  expect(theGarden(db)!.fridgeKg).toBeNull();
  await save({ kitchen: "1", fridge: "5" });
  expect(skyPage(db, theGarden(db)!, null).limits).toMatchObject({ fridge: { value: "5", unit: "kg" } });
  const fridge = () => plannedGarden(db, theGarden(db)!).outlook.problem.fridge!;
  const before = fridge();
  expect(before.holds).toBe(5);
  const pick = { kind: "pick" as const, plantingId: "courgette-striped", outcome: "picked" as const, weight: "3 kg" };
  expect(send(db, pick, { at: `${addDays(todayOf(theGarden(db)!), -1)}T16:00:00Z` })).toMatchObject({ status: "applied" }); // prettier-ignore
  expect(fridge().taken).toBeGreaterThan(before.taken);
});

test("a household of US units writes pounds, square feet and ounces", async () => {
  const { db } = demoGarden("us");
  await skyDesk(db, theGarden(db)!, form({ intent: "save limits", roundsAWeek: "", kitchen: "10", racks: "20" }));
  expect(theGarden(db)!.kitchenKg).toBeCloseTo(4.536, 2);
  expect(theGarden(db)!.racksM2).toBeCloseTo(1.858, 2);
  expect(skyPage(db, theGarden(db)!, null).limits).toMatchObject({ kitchen: { value: "10", unit: "lb" }, racks: { value: "20", unit: "sq ft" } }); // prettier-ignore
  updatePlanting(db, "kale-curly", { eatsGrams: 283.495 });
  expect(plantingPage(db, theGarden(db)!, "kale-curly")!.row.eats).toBe("10");
});

test("a day asked for is told with what the plan makes of it, and taken back", () => {
  const { db, garden } = demoGarden();
  const today = todayOf(garden);
  const ask = (wantedOn: string, plantingId = "bean-green") => wantOn(db, garden, { plantingId, wantedOn });
  expect(ask(addDays(today, 2))).toEqual({ status: "noted" });
  expect(ask(addDays(today, 2))).toEqual({ status: "noted" });
  expect(ask(addDays(today, 8))).toEqual({ status: "noted" });
  expect(ask(addDays(today, 60))).toEqual({ status: "noted" });
  expect(plantingWanted(db, garden, "bean-green").map((w) => w.words)).toEqual([
    "in the plan",
    "cannot be: nobody has a free minute then",
    "beyond the days that are planned",
  ]);
  // The trip to the coast: it says so where it is seen every day.
  expect(horizonPage(db, garden).brokenWishes.map((w) => w.text).join(" ")).toMatch(/You asked for French bean.* Sun 27 Sep; it cannot be: nobody has a free minute then\./); // prettier-ignore
  const { plan, outlook } = plannedGarden(db, garden);
  const beans = outlook.plantings.find((p) => p.planting.id === "bean-green")!;
  expect(plannedPicks(beans, plan.picks).map((pick) => pick.day)).toContain(2);
  const why = horizonPage(db, garden).beds.flatMap((b) => b.plantings).find((p) => p.id === "bean-green")!.handles; // prettier-ignore
  expect(why.find((h) => h.day === 2)!.why.join(" ")).toMatch(/You asked for this day\./);
  const [, away] = wantedFrom(db, today);
  expect(unwant(db, garden, "kale-curly", away!.id)).toBe(false);
  expect(unwant(db, garden, "bean-green", away!.id)).toBe(true);
  expect(horizonPage(db, garden).brokenWishes).toEqual([]);
});

test("a day that is over, one years ahead, no day, and a planting that is gone are refused", () => {
  const { db, garden } = demoGarden();
  const today = todayOf(garden);
  const ask = (wantedOn: string, plantingId = "bean-green") => wantOn(db, garden, { plantingId, wantedOn });
  expect(ask(addDays(today, -1))).toMatchObject({ status: "refused", errors: { wantedOn: "That day is over." } });
  expect(ask(addDays(today, 500))).toMatchObject({ status: "refused" });
  expect(ask(today, "nothing")).toMatchObject({
    status: "refused",
    errors: { wantedOn: "This planting is no longer there." },
  });
  expect(ask(today, "pea-spring")).toMatchObject({ status: "refused" });
  expect(WantedForm.safeParse({ plantingId: "x", wantedOn: "2026-02-30" }).success).toBe(false);
  expect(wantedFrom(db, today)).toEqual([]);
});

test("as much as is eaten: typed with the planting, kept, planned; nonsense is refused and nothing saved", () => {
  const { db, garden } = demoGarden();
  const page = plantingPage(db, garden, "kale-curly")!;
  const { row, season } = page;
  const told = (fields: object) => PlantingForm.parse({ ...row, plantingId: row.id, plants: String(row.plants), packetLow: "", packetHigh: "", schoolOption: "", forSeed: "no", bedNeededOn: "", startEvent: season.startEvent, startedOn: season.startedOn, startedTo: "", ...fields }); // prettier-ignore
  const pieces = () => {
    const { plan, outlook } = plannedGarden(db, garden);
    const kale = outlook.plantings.find((p) => p.planting.id === "kale-curly")!;
    return { all: plannedPicks(kale, plan.picks), takes: kale.takes };
  };
  expect(pieces().takes).toBeUndefined();
  expect(editPlanting(db, garden, told({ eats: "many" }))).toMatchObject({ errors: { eats: expect.stringMatching(/number above zero/) } }); // prettier-ignore
  expect(editPlanting(db, garden, told({ eats: "900000" }))).toMatchObject({ status: "refused" });
  expect(editPlanting(db, garden, told({ eats: "120", matters: "much" }))).toEqual({ status: "saved" });
  expect(plantingPage(db, garden, "kale-curly")!.row).toMatchObject({ eats: "120", matters: "much" });
  const { takes, all } = pieces();
  expect(takes).toBeDefined();
  for (const pick of all) expect(pick.pieces).toBeGreaterThan(0);
  expect(PlantingForm.safeParse({ ...told({}), matters: "no end" }).success).toBe(false);
});

test("what lies curing takes its room on the racks until it is moved", () => {
  const { db } = demoGarden();
  void skyDesk(db, theGarden(db)!, form({ intent: "save limits", roundsAWeek: "", kitchen: "", racks: "2" }));
  const free = () => plannedGarden(db, theGarden(db)!).outlook.problem.curingFree as number[];
  const before = free()[0]!;
  const today = todayOf(theGarden(db)!);
  const answer = send(db, { kind: "pick", plantingId: "onion-brown", on: today, outcome: "picked", weight: "6 kg", fate: "cure", tookAll: false, estimated: false }, { at: `${today}T10:00:00Z` }); // prettier-ignore
  expect(answer.status).toBe("applied");
  // 6 kg at 15 kg a square metre.
  expect(before - free()[0]!).toBeCloseTo(0.4, 5);
});
