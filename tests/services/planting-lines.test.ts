import { expect, test } from "vitest";
import { allBeds } from "~/db/beds/beds.server";
import { allPlantings, plantingById } from "~/db/beds/plantings.server";
import { openSeasonOf } from "~/db/beds/seasons.server";
import { varietiesOf } from "~/db/notes/household.server";
import { bedsDesk } from "~/services/beds/beds-desk.server";
import { lastYearsLines } from "~/services/beds/last-years-lines.server";
import { linesOfText } from "~/services/beds/lines-of-text.server";
import { addTypedLines, readTypedLines, takeBackLines } from "~/services/beds/planting-lines.server";
import { send, smallGarden } from "./garden-fixture";

const typed = (...lines: string[]) => lines.map((text) => ({ text }));

test("a line names its bed, by name or by its place on the walk, or takes the bed it was typed at", () => {
  const { db, garden } = smallGarden();
  const long = allBeds(db)[0]!;
  for (const line of ["6 beetroot, sown 3 May, Long bed", "6 beetroot, sown 3 May, bed 1", "6 beetroot, sown 3 May"])
    expect(readTypedLines(db, garden, typed(line), long.id).rows[0]).toMatchObject({ status: "understood", bed: "Long bed", newBed: false }); // prettier-ignore
  expect(readTypedLines(db, garden, typed("6 beetroot, sown 3 May, bed 9")).rows[0]).toMatchObject({ bed: "Bed 9", newBed: true }); // prettier-ignore
  expect(readTypedLines(db, garden, typed("6 beetroot, sown 3 May")).rows[0]).toMatchObject({ status: "asks", asks: ["bed"] }); // prettier-ignore
});

test("lines that are clear are added with their beds, the others stay with what was answered", () => {
  const { db, garden } = smallGarden();
  const lines = typed("Greenhouse:", "4 Sungold, planted 20 May", "carrots, sown 1 May", "some flowers", "2 Green Zebra tomatoes, planted mid May, Long bed"); // prettier-ignore
  const { added, left } = addTypedLines(db, garden, lines);
  expect(added.plantings).toHaveLength(2);
  expect(left.map((l) => l.text)).toEqual(["carrots, sown 1 May", "some flowers"]);
  expect(left[0]!.bed).toBe("Greenhouse");
  expect(allBeds(db).at(-1)).toMatchObject({ name: "Greenhouse", kind: "tunnel" });
  const [sungold, zebra] = added.plantings as [string, string];
  expect(plantingById(db, sungold)).toMatchObject({ cropId: "tomato_cherry_orange", variety: "Sungold", plants: 4, packetLow: 57 }); // prettier-ignore
  expect(openSeasonOf(db, zebra)).toMatchObject({ startEvent: "planted", startedOn: "2026-05-11", startedTo: "2026-05-21", startStanding: "told" }); // prettier-ignore
  expect(varietiesOf(db, "tomato_large")).toMatchObject([{ name: "Green Zebra", ripeColour: "green with yellow stripes" }]); // prettier-ignore
  const answered = addTypedLines(db, garden, [{ ...left[0]!, amount: "2 m" }]);
  expect(plantingById(db, answered.added.plantings[0]!)).toMatchObject({ cropId: "carrot", lengthM: 2 });
});

test("what was added together is taken back as one, but for what was picked since", () => {
  const { db, garden } = smallGarden();
  const { added } = addTypedLines(db, garden, typed("New bed:", "6 kale, planted 3 May", "12 chard, sown 3 May"));
  expect(allPlantings(db)).toHaveLength(4);
  expect(takeBackLines(db, added)).toBe("Taken back.");
  expect([allPlantings(db).length, allBeds(db).length]).toEqual([2, 1]);
  const again = addTypedLines(db, garden, typed("New bed:", "6 kale, planted 3 May", "12 chard, sown 3 May")).added;
  const pick = { kind: "pick", plantingId: again.plantings[0]!, on: "2026-08-20", outcome: "picked", tookAll: false, count: "6", fate: "eat now" }; // prettier-ignore
  expect(send(db, pick as never).status).toBe("applied");
  expect(takeBackLines(db, again)).toMatch(/but for 1 with picks/);
  expect([allPlantings(db).length, allBeds(db).length]).toEqual([3, 2]);
});

test("a planted year and this year's blossom are told apart", () => {
  const { db, garden } = smallGarden();
  const { added } = addTypedLines(db, garden, typed("peach, planted 2019, blossom 10 April, Long bed"));
  expect(plantingById(db, added.plantings[0]!)).toMatchObject({ cameBy: "planted", cameOn: "2019-01-01", plants: 1 });
  expect(openSeasonOf(db, added.plantings[0]!)).toMatchObject({ startEvent: "blossom", startedOn: "2026-04-10" });
});

test("a square metre is the rows that fill it", () => {
  const { db, garden } = smallGarden();
  const { added } = addTypedLines(db, garden, typed("1 m² of carrots, sown 3 May, Long bed"));
  const { plants, lengthM } = plantingById(db, added.plantings[0]!)!;
  expect(lengthM).toBeGreaterThan(2);
  expect(plants).toBeGreaterThan(50);
});

test("a pasted table becomes lines, whatever parts its columns", () => {
  const rows = [["Crop", "Variety", "Qty", "Sown", "Bed"], ["Carrot", "Nantes", "60", "2026-05-03", "4"], ["Kale", "", "6", "3 May", "Long bed"]]; // prettier-ignore
  for (const mark of [",", ";", "\t"])
    expect(linesOfText(rows.map((r) => r.join(mark)).join("\r\n"))).toEqual(["60 Nantes Carrot, sown 2026-05-03, in bed 4", "6 Kale, sown 3 May, in Long bed"]); // prettier-ignore
  expect(linesOfText("6 kale, sown 3 May\n\n4 chard")).toEqual(["6 kale, sown 3 May", "4 chard"]);
});

test("last year's plan comes back as lines that are understood, those still to come ask for their day", () => {
  const { db, garden } = smallGarden();
  addTypedLines(db, garden, typed("9 purple beans Amethyst, sown 2025-05-10, Long bed", "60 garlic, planted 2025-10-20, Long bed", "rhubarb, planted 2025-03-01, Long bed")); // prettier-ignore
  const draft = lastYearsLines(db, garden);
  expect(draft.split("\n")).toEqual(["Long bed:", "9 Amethyst purple Bean, sown 2026-05-10", "60 softneck Garlic"]);
  expect(readTypedLines(db, garden, typed(...draft.split("\n"))).rows.map((r) => r.status)).toEqual(["understood", "understood", "asks"]); // prettier-ignore
});

test("nothing typed, and far too much, are answered with a sentence", () => {
  const { db, garden } = smallGarden();
  const ask = (text: string) => bedsDesk(db, garden, { intent: "read lines", bedId: "", text });
  expect(ask(" \n ").sentence).toMatch(/Type what grows/);
  expect(ask("6 kale\n".repeat(301)).sentence).toMatch(/301 lines.*at most 300/);
  expect(bedsDesk(db, garden, { intent: "add lines", bedId: "", rows: typed("some flowers") }).sentence).toMatch(/No line could be added/); // prettier-ignore
});
