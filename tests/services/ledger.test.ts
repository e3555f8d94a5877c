import { expect, test } from "vitest";
import { Entry, type EntryBody } from "~/core/entries";
import { fieldErrors } from "~/core/issues";
import type { Db } from "~/db/client.server";
import { endOf, seasonsOf } from "~/db/beds/seasons.server";
import { weighingsOfPicks } from "~/db/ledger/lots.server";
import { lot, movement } from "~/db/schema/index.server";
import { correctionsOf, pickById } from "~/db/ledger/picks.server";
import { gardenState } from "~/services/garden/garden-state.server";
import { changeLot } from "~/services/ledger/change-lot.server";
import { addContainer, ContainerForm, containersOf, removeContainer } from "~/services/ledger/containers.server";
import { CorrectionForm, correctPick, withdrawPick } from "~/services/ledger/correct-pick.server";
import { allLines, pickLines } from "./ledger-read";
import { linePage } from "~/services/ledger/line-page.server";
import { totalsOf } from "~/services/ledger/ledger-totals.server";
import { refusal, send, smallGarden } from "./garden-fixture";

type PickEntry = Extract<EntryBody, { kind: "pick" }>;

/** Nine courgettes on the first of August, unless said otherwise. */
function pick(fields: Partial<PickEntry> = {}): PickEntry {
  return {
    kind: "pick",
    plantingId: "courgette",
    on: "2026-08-01",
    outcome: "picked",
    tookAll: true,
    count: "9",
    ...fields,
  };
}

/** Logs a pick and gives its number. */
function logged(db: Db, fields: Partial<PickEntry> = {}): string {
  const id = crypto.randomUUID();
  expect(send(db, pick(fields), { id }).status).toBe("applied");
  return id;
}

const correction = (fields: object) =>
  CorrectionForm.parse({ outcome: "picked", tookAll: "yes", on: "2026-08-01", count: "", weight: "", ...fields });
const TODAY = "2026-08-20";

test("a weighed pick: gross less the basket's tare is what counts, and both are kept", () => {
  const { db } = smallGarden();
  const id = logged(db, { count: "", weight: "3.2 kg", containers: [{ containerId: "basket", count: "1" }] });
  expect(pickLines(db, id)[0]).toMatchObject({ grams: 2160, grossGrams: 3200, estimated: false });
  expect(weighingsOfPicks(db, [id])[0]).toMatchObject({ netGrams: 2160, containers: [{ containerId: "basket", count: 1, tareGrams: 1040 }] }); // prettier-ignore
});

test.each([
  [
    { count: "", weight: "about 2 kg" },
    { grams: 2000, pieces: null, estimated: true },
  ],
  [
    { count: "a dozen", weight: "" },
    { grams: null, pieces: 12, estimated: false },
  ],
  [
    { count: "about 20", weight: "" },
    { grams: null, pieces: 20, estimated: true },
  ],
  [
    { count: "", weight: "½ kg" },
    { grams: 500, pieces: null, estimated: false },
  ],
])("an amount in words is logged as it is said, a guess as a guess: %o", (typed, wanted) => {
  const { db } = smallGarden();
  expect(pickLines(db, logged(db, typed))[0]).toMatchObject(wanted);
});

test("room is no weight, and says what to do", () => {
  const { db } = smallGarden();
  expect(refusal(send(db, pick({ count: "", weight: "2 litres" })))).toMatchObject({ weight: /weigh it/ });
});

test("containers of several kinds stand on one scale: the handbook's four crates and two baskets", () => {
  const { db } = smallGarden();
  const containers = [{ containerId: "heavy-crate", count: "4" }, { containerId: "basket", count: "2" }]; // prettier-ignore
  const id = logged(db, { plantingId: "carrot", count: "", weight: "60 kg", containers });
  expect(pickLines(db, id)[0]!.grams).toBe(60_000 - 4 * 1590 - 2 * 1040);
});

test("sending the same entry twice writes it once", () => {
  const { db } = smallGarden();
  const id = crypto.randomUUID();
  expect([send(db, pick(), { id }).status, send(db, pick(), { id }).status]).toEqual(["applied", "applied"]);
  expect(allLines(db)).toHaveLength(1);
});

test.each<[string, Partial<PickEntry>, string, RegExp]>([
  [
    "tare above gross",
    { count: "", weight: "900 g", containers: [{ containerId: "basket", count: "1" }] },
    "weight",
    /weighs more than the whole/,
  ],
  ["a negative count", { count: "-3" }, "count", /below zero/],
  ["half a courgette", { count: "2.5" }, "count", /whole number/],
  ["an absurd count", { count: "900000" }, "count", /check the number/],
  ["an unknown unit", { count: "", weight: "3 stone" }, "weight", /“stone” is not a unit/],
  ["a weight without a unit", { count: "", weight: "3" }, "weight", /Add a unit/],
  ["an absurd weight", { count: "", weight: "900 kg" }, "weight", /200 kg/],
  ["a negative weight", { count: "", weight: "-2 kg" }, "weight", /below zero/],
  ["nothing said", { count: "", weight: "" }, "count", /Nothing ready/],
  [
    "no containers on the scale",
    { count: "", weight: "3 kg", containers: [{ containerId: "basket", count: "0" }] },
    "containerCount",
    /1 to 100/,
  ],
  [
    "a container that is gone",
    { count: "", weight: "3 kg", containers: [{ containerId: "lost", count: "1" }] },
    "containers",
    /no longer known/,
  ],
  ["a day to come", { on: "2099-01-01" }, "on", /still to come/],
  ["a day before it was sown", { on: "2026-05-01" }, "on", /only sown 10 May/],
  ["a planting that is gone", { plantingId: "nobody" }, "form", /no longer there/],
])("%s is refused in a sentence and nothing is written", (_, fields, at, words) => {
  const { db } = smallGarden();
  expect(refusal(send(db, pick(fields)))[at]).toMatch(words);
  expect([allLines(db), db.select().from(lot).all(), db.select().from(movement).all()]).toEqual([[], [], []]);
});

test("a date that does not exist is refused at the edge", () => {
  const parsed = Entry.safeParse({ ...pick({ on: "2026-06-31" }), id: crypto.randomUUID(), device: "d", sequence: 1, at: "2026-08-01T08:00:00Z" }); // prettier-ignore
  expect(parsed.success).toBe(false);
  if (!parsed.success) expect(fieldErrors(parsed.error).on).toMatch(/not a day in the calendar/);
});

test("taking all of a crop lifted once ends its season; taking the pick back reopens it; putting it back ends it again", () => {
  const { db } = smallGarden();
  const id = logged(db, { plantingId: "carrot", count: "", weight: "4 kg" });
  const end = () => endOf(db, seasonsOf(db, "carrot").at(-1)!.id);
  expect(end()).toMatchObject({ endedOn: "2026-08-01", reason: "all taken" });
  withdrawPick(db, id);
  expect(end()).toBeUndefined();
  withdrawPick(db, id, true);
  expect(end()).toMatchObject({ reason: "all taken" });
});

test("a correction never undoes an end, neither one told by the pick nor one by hand", () => {
  const { db } = smallGarden();
  const ended = (planting: string) => endOf(db, seasonsOf(db, planting).at(-1)!.id)?.reason;
  const all = logged(db, { plantingId: "carrot", count: "", weight: "4 kg" });
  expect(correctPick(db, all, correction({ weight: "3 kg", tookAll: "no" }), TODAY).status).toBe("applied");
  expect(ended("carrot")).toBe("all taken");
  const nine = logged(db);
  send(db, { kind: "end", plantingId: "courgette" });
  expect(correctPick(db, nine, correction({ count: "7" }), TODAY).status).toBe("applied");
  withdrawPick(db, nine);
  expect(ended("courgette")).toBe("bed free");
});

test("leaving the small ones keeps the planting and takes them off what is left", () => {
  const { db, garden } = smallGarden();
  logged(db, { plantingId: "carrot", count: "20", tookAll: false });
  const carrot = gardenState(db, garden, "2026-08-02").plantings.find((p) => p.id === "carrot")!;
  expect(carrot.picks).toEqual([{ pickedOn: "2026-08-01", pieces: 20, tookAll: false }]);
  expect(carrot.looks).toEqual([{ cueId: "round_look", readingId: "some_ready", takenOn: "2026-08-01" }]);
});

test("“nothing ready” is a line and a look, but adds nothing to the totals", () => {
  const { db, garden } = smallGarden();
  logged(db, { outcome: "nothing ready", tookAll: false, count: "" });
  expect(gardenState(db, garden, "2026-08-02").plantings[0]!.looks[0]).toMatchObject({ readingId: "none_ready" });
  expect(totalsOf(db, "crop")).toEqual([]);
});

test("a correction keeps what the line said before; a withdrawn line leaves the totals but not the record", () => {
  const { db, garden } = smallGarden();
  const id = logged(db);
  expect(correctPick(db, id, correction({ count: "7" }), TODAY).status).toBe("applied");
  expect(pickLines(db, id)[0]!.pieces).toBe(7);
  expect(JSON.parse(correctionsOf(db, id)[0]!.earlier)).toMatchObject({ pieces: 9 });
  expect(linePage(db, garden, id)!.earlier).toEqual([{ until: "20 Aug", was: "9 pieces" }]);
  expect(correctPick(db, id, correction({ count: "-1" }), TODAY).status).toBe("refused");
  expect(pickLines(db, id)[0]!.pieces).toBe(7);
  expect(totalsOf(db, "crop")).toMatchObject([{ key: "Courgette", pieces: 7, picks: 1 }]);
  withdrawPick(db, id);
  expect(totalsOf(db, "crop")).toEqual([]);
  expect(allLines(db)).toHaveLength(1);
});

test("a guess stays a guess until it is weighed: then the scale counts, once, and its label is kept", () => {
  const { db } = smallGarden();
  const id = logged(db, { plantingId: "carrot", count: "", weight: "3 kg", estimated: true, tookAll: false });
  expect(totalsOf(db, "crop")[0]).toMatchObject({ estimatedGrams: 3000, weighedGrams: 0 });
  const weigh = { kind: "weighing" as const, lotId: id, weight: "4.1 kg", containers: [{ containerId: "basket", count: "1" }], label: "Shed 3" }; // prettier-ignore
  expect(send(db, weigh).status).toBe("applied");
  expect(totalsOf(db, "crop")[0]).toMatchObject({ estimatedGrams: 0, weighedGrams: 3060, picks: 1 });
  expect(pickLines(db, id)[0]).toMatchObject({ grams: 3060, grossGrams: 4100, estimated: false, label: "Shed 3" });
  expect(refusal(send(db, { ...weigh, weight: "heavy" })).weight).toMatch(/not an amount/);
  expect(send(db, { ...weigh, lotId: "not here yet" }).status).toBe("not now");
});

test("what is spoilt or thrown out stands apart from the harvest, also when a line turns out to be", () => {
  const { db } = smallGarden();
  const id = logged(db, { count: "", weight: "500 g" });
  logged(db, { count: "", weight: "200 g", condition: "spoilt", fate: "compost", on: "2026-08-02" });
  expect(totalsOf(db, "crop")[0]).toMatchObject({ weighedGrams: 500, spoiltGrams: 200 });
  correctPick(db, id, correction({ weight: "500 g", fate: "discard" }), TODAY);
  expect(totalsOf(db, "crop")[0]).toMatchObject({ weighedGrams: 0, spoiltGrams: 700 });
});

test("a lot is split, moved, merged and used up; nothing appears and nothing vanishes", () => {
  const { db } = smallGarden();
  const id = logged(db, { plantingId: "carrot", count: "", weight: "4 kg", fate: "store" });
  const now = () => allLines(db)[0]!.lots.map((l) => [l.fate, l.now.grams] as const);
  expect(changeLot(db, { what: "split", lotId: id, amount: "1.5 kg", into: "", fate: "share" }, TODAY).status).toBe("applied"); // prettier-ignore
  expect(now()).toEqual([["store", 2500], ["share", 1500]]); // prettier-ignore
  const other = db
    .select()
    .from(lot)
    .all()
    .find((l) => l.id !== id)!.id;
  expect(changeLot(db, { what: "move", lotId: other, amount: "", into: "", fate: "preserve" }, TODAY).status).toBe("applied"); // prettier-ignore
  expect(changeLot(db, { what: "eaten", lotId: id, amount: "500 g", into: "" }, TODAY).status).toBe("applied");
  expect(changeLot(db, { what: "shrunk", lotId: id, amount: "100 g", into: "" }, TODAY).status).toBe("applied");
  expect(changeLot(db, { what: "merge", lotId: other, amount: "", into: id }, TODAY).status).toBe("applied");
  expect(now()).toEqual([["store", 3400], ["preserve", 0]]); // prettier-ignore
  expect(totalsOf(db, "crop")[0]!.weighedGrams).toBe(4000);
  for (const amount of ["9 kg", "-1 kg", "3 stone", "12"])
    expect(changeLot(db, { what: "given", lotId: id, amount, into: "" }, TODAY).status, amount).toBe("refused");
  expect(changeLot(db, { what: "spoilt", lotId: id, amount: "", into: "" }, TODAY).status).toBe("applied");
  expect(now()[0]).toEqual(["store", 0]);
  expect(changeLot(db, { what: "eaten", lotId: id, amount: "", into: "" }, TODAY).status).toBe("refused");
  expect(changeLot(db, { what: "eaten", lotId: "gone", amount: "", into: "" }, TODAY).status).toBe("refused");
});

test("containers of the household's own are added with their empty weight, and retired without losing a weighing", () => {
  const { db } = smallGarden();
  expect(addContainer(db, ContainerForm.parse({ name: "Blue bucket", tare: "1 lb" }))).toEqual({ status: "added" });
  const bucket = containersOf(db).find((c) => c.name === "Blue bucket")!;
  expect(bucket.tareGrams).toBeCloseTo(453.6, 1);
  const id = logged(db, { count: "", weight: "1 kg", containers: [{ containerId: bucket.id, count: "1" }] });
  expect(removeContainer(db, bucket.id)).toBe(true);
  expect(containersOf(db).map((c) => c.name)).not.toContain("Blue bucket");
  expect(pickLines(db, id)[0]!.grams).toBeCloseTo(546.4, 1);
  for (const [form, at] of [
    [{ name: "basket", tare: "1 kg" }, "name"],
    [{ name: "Pail", tare: "light" }, "tare"],
    [{ name: "Pail", tare: "90 kg" }, "tare"],
    [{ name: "Pail", tare: "2" }, "tare"],
  ] as const)
    // prettier-ignore
    expect(Object.keys((addContainer(db, form) as { errors: object }).errors)).toEqual([at]);
});

test("totals go by crop, variety, bed and year", () => {
  const { db } = smallGarden();
  logged(db);
  logged(db, { plantingId: "carrot", count: "", weight: "1 kg", tookAll: false });
  const keys = (by: "crop" | "variety" | "bed" | "year") => totalsOf(db, by).map((t) => t.key);
  expect([keys("crop"), keys("variety"), keys("bed"), keys("year")]).toEqual([["Carrot", "Courgette"], ["Carrot", "Courgette"], ["Long bed"], ["2026"]]); // prettier-ignore
  expect(pickById(db, allLines(db)[0]!.id)!.seasonId).toMatch(/\/1$/);
});
