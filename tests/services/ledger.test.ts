import { eq } from "drizzle-orm";
import { expect, test } from "vitest";
import { pick, pickCorrection, planting } from "~/db/schema.server";
import { gardenState } from "~/services/garden-state.server";
import { ledgerLines, ledgerTotals } from "~/services/ledger-view.server";
import { correctPick, logPick, withdrawPick } from "~/services/log-pick.server";
import { PickForm, fieldErrors } from "~/services/pick-form";
import { smallGarden } from "./garden-fixture";

function form(fields: Partial<Record<string, string>>): PickForm {
  return PickForm.parse({
    id: crypto.randomUUID(),
    plantingId: "courgette",
    pickedOn: "2026-08-01",
    outcome: "picked",
    tookAll: "true",
    count: "9",
    ...fields,
  });
}

test("a weighed pick: gross less the basket's tare is what counts, and both are kept", () => {
  const { db } = smallGarden();
  expect(logPick(db, form({ count: "", weight: "3.2 kg", containerId: "basket" })).status).toBe("logged");
  expect(db.select().from(pick).get()).toMatchObject({
    grams: 2160,
    grossGrams: 3200,
    tareGrams: 1040,
    containerCount: 1,
    estimated: false,
  });
});

test("sending the same entry twice writes it once", () => {
  const { db } = smallGarden();
  const entry = form({});
  expect([logPick(db, entry).status, logPick(db, entry).status]).toEqual(["logged", "already logged"]);
  expect(db.select().from(pick).all()).toHaveLength(1);
});

test.each<[string, Partial<Record<string, string>>, string, RegExp]>([
  ["tare above gross", { count: "", weight: "900 g", containerId: "basket" }, "weight", /weighs more than the whole/],
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
    { count: "", weight: "3 kg", containerId: "basket", containerCount: "0" },
    "containerCount",
    /1 to 100/,
  ],
  ["a container that is gone", { count: "", weight: "3 kg", containerId: "lost" }, "containerId", /no longer known/],
  ["a day to come", { pickedOn: "2099-01-01" }, "pickedOn", /still to come/],
  ["a day before it was sown", { pickedOn: "2026-05-01" }, "pickedOn", /only sown on 2026-05-10/],
])("%s is refused in a sentence and nothing is written", (_, fields, at, words) => {
  const { db } = smallGarden();
  const outcome = logPick(db, form(fields));
  if (outcome.status !== "refused") throw new Error(outcome.status);
  expect(outcome.errors[at]).toMatch(words);
  expect(db.select().from(pick).all()).toEqual([]);
});

test("a date that does not exist is refused at the edge", () => {
  const parsed = PickForm.safeParse({
    id: crypto.randomUUID(),
    plantingId: "courgette",
    pickedOn: "2026-06-31",
    outcome: "picked",
  });
  expect(parsed.success).toBe(false);
  if (!parsed.success) expect(fieldErrors(parsed.error).pickedOn).toMatch(/not a day in the calendar/);
});

test("taking all of a crop lifted once ends the planting; taking the pick back reopens it; putting it back ends it again", () => {
  const { db } = smallGarden();
  const entry = form({ plantingId: "carrot", count: "", weight: "4 kg" });
  logPick(db, entry);
  const finished = () => db.select().from(planting).where(eq(planting.id, "carrot")).get()?.finishedOn;
  expect(finished()).toBe("2026-08-01");
  withdrawPick(db, entry.id);
  expect(finished()).toBeNull();
  withdrawPick(db, entry.id, true);
  expect(finished()).toBe("2026-08-01");
});

test("leaving the small ones keeps the planting and takes them off what is left", () => {
  const { db, garden } = smallGarden();
  logPick(db, form({ plantingId: "carrot", count: "20", tookAll: "" }));
  const carrot = gardenState(db, garden, "2026-08-02").plantings.find((p) => p.id === "carrot")!;
  expect(carrot.picks).toEqual([{ pickedOn: "2026-08-01", pieces: 20, tookAll: false }]);
  expect(carrot.looks).toEqual([{ cueId: "round_look", readingId: "some_ready", takenOn: "2026-08-01" }]);
});

test("“nothing ready” is a line and a look, but adds nothing to the totals", () => {
  const { db, garden } = smallGarden();
  logPick(db, form({ outcome: "nothing ready", tookAll: "" }));
  expect(gardenState(db, garden, "2026-08-02").plantings[0]!.looks[0]).toMatchObject({ readingId: "none_ready" });
  expect(ledgerTotals(ledgerLines(db), "crop")).toEqual([]);
});

test("a correction keeps what the line said before; a withdrawn line leaves the totals but not the record", () => {
  const { db } = smallGarden();
  const entry = form({});
  logPick(db, entry);
  expect(correctPick(db, { ...entry, count: "7" }).status).toBe("logged");
  expect(db.select().from(pick).get()?.pieces).toBe(7);
  expect(JSON.parse(db.select().from(pickCorrection).get()!.earlier)).toMatchObject({ pieces: 9 });
  const refused = correctPick(db, { ...entry, count: "-1" });
  expect(refused.status).toBe("refused");
  expect(db.select().from(pick).get()?.pieces).toBe(7);
  withdrawPick(db, entry.id);
  expect(ledgerTotals(ledgerLines(db), "crop")).toEqual([]);
  expect(ledgerLines(db)).toHaveLength(1);
});
