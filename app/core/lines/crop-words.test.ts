import { describe, expect, test } from "vitest";
import { catalogue, lineWords } from "~/catalogue/catalogue.server";
import { LINE_EXAMPLES } from "../../../tests/lines";
import { amiss, isWrong, readExample } from "../../../tests/read-example";
import { cropInWords, readLines } from ".";

const crops = catalogue();
const lore = lineWords();
const read = (line: string) => readExample({ line, units: "metric" });

describe("lines as gardeners type them, and what they mean", () => {
  test.each(LINE_EXAMPLES)("$units: $line", (example) => expect(amiss(example, readExample(example))).toEqual([]));

  test("there are 300 of them at least, and none is understood as another crop or day", () => {
    expect(LINE_EXAMPLES.length).toBeGreaterThanOrEqual(300);
    expect(LINE_EXAMPLES.filter((e) => isWrong(e, readExample(e))).map((e) => e.line)).toEqual([]);
  });
});

test("every name of every crop is found, or asked for where two have it", () => {
  for (const crop of crops)
    for (const name of [crop.name, ...crop.alsoCalled]) {
      const words = cropInWords(crops, name.replace(/,/g, ""), lore);
      const ids = words.status === "one" ? [words.crop.id] : words.status === "several" ? words.crops.map((c) => c.id) : []; // prettier-ignore
      const others = crops.filter((c) => c.alsoCalled.includes(name)).map((c) => c.id);
      expect([crop.id, ...others].some((id) => ids.includes(id)), `${crop.id}: ${name} → ${ids.join()}`).toBe(true); // prettier-ignore
    }
});

test("every variety, said before its crop's noun, is of its crop or asked; alone it is never another crop's", () => {
  const wrong = lore.varieties.filter((v) => {
    const alone = cropInWords(crops, v.name, lore);
    return alone.status === "one" && alone.crop.id !== v.cropId && !lore.varieties.some((o) => o.name === v.name && o.cropId === alone.crop.id) && alone.known !== undefined; // prettier-ignore
  });
  expect(wrong.map((v) => `${v.name} of ${v.cropId}`)).toEqual([]);
  expect(lore.varieties.length).toBeGreaterThan(500);
});

test("no variety's name stands twice in one crop, and every plant that is none of ours is refused", () => {
  const names = lore.varieties.map((v) => `${v.cropId} ${v.name.toLowerCase()}`);
  expect(names.length).toBe(new Set(names).size);
  for (const name of lore.otherPlants) expect(read(`4 ${name}, planted 3 May`).status, name).toBe("refused");
});

test("a bed's heading stands for the lines below it that name none", () => {
  const lines = ["Bed 4:", "6 kale, sown 3 May", "4 chard, sown 3 May, bed 2", "# Greenhouse", "2 Sungold, planted 20 May", "Tomatoes: 4 Brandywine, planted 20 May"]; // prettier-ignore
  const got = readLines(crops, lines.map((text) => ({ text })), { today: "2026-09-19", units: "metric", order: "day first", south: false, beds: [] }, lore); // prettier-ignore
  expect(got.map((r) => [r.heading, r.bed])).toEqual([[true, "Bed 4"], [false, "Bed 4"], [false, "bed 2"], [true, "Greenhouse"], [false, "Greenhouse"], [false, "Greenhouse"]]); // prettier-ignore
});

test("the bed of a garden is found by its name, wherever it stands", () => {
  const setting = { today: "2026-09-19", units: "metric" as const, order: "day first" as const, south: false, beds: ["Aunt May’s", "Long bed"] }; // prettier-ignore
  const bed = (text: string) => readLines(crops, [{ text }], setting, lore)[0]!;
  expect(bed("6 kale, sown 3 April, Aunt May’s")).toMatchObject({ bed: "Aunt May’s", from: "2026-04-03", left: [] });
  expect(bed("6 kale long bed sown 3 May")).toMatchObject({ bed: "Long bed", variety: "", left: [] });
});

test("what is answered to a line closes what it asks, and an answer that is none is asked again", () => {
  const answer = (text: string, answers: object) =>
    readLines(crops, [{ text, ...answers }], { today: "2026-09-19", units: "metric", order: "day first", south: false, beds: [] }, lore)[0]!; // prettier-ignore
  expect(answer("row of lettuce", { crop: "lettuce_cca", amount: "3 m", start: "sown 1 May" })).toMatchObject({ status: "understood", cropId: "lettuce_cca", lengthM: 3, from: "2026-05-01" }); // prettier-ignore
  expect(answer("6 kale sown 31 June", { start: "30 June" })).toMatchObject({ status: "understood", startEvent: "sown", from: "2026-06-30" }); // prettier-ignore
  expect(answer("6 kale, 3 May", { start: "planted" })).toMatchObject({ status: "understood", startEvent: "planted", from: "2026-05-03" }); // prettier-ignore
  expect(answer("6 kale", { start: "some day" })).toMatchObject({ status: "asks", asks: ["day"] });
  expect(answer("kale sown 3 May", { amount: "lots" })).toMatchObject({ status: "asks", asks: ["amount"] });
});

test("in the south the last spring is September to November", () => {
  const setting = { today: "2026-03-19", units: "metric" as const, order: "day first" as const, south: true, beds: [] };
  expect(readLines(crops, [{ text: "6 kale, sown last spring" }], setting, lore)[0]).toMatchObject({ from: "2025-09-01", to: "2025-11-30" }); // prettier-ignore
});
