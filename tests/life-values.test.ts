import { expect, test } from "vitest";
import { catalogue, catalogueData, checkedCrop } from "~/catalogue/catalogue.server";
import { changeValue, cropValues, forgetValue, patchCrop } from "~/core/crops";
import { cropNotes } from "~/views/notes/field-notes-view";

const base = (id: string) => catalogueData().find((c) => c.id === id)!;

/** Values that a household could set before the lives came: what it wrote of them must hold. */
const BEFORE = [
  "packet.low", "packet.high", "windowDays.value", "again.low", "degreeDays.baseC", "target.lowMm", "piecesPerMinute.value",
  "pieceGrams.value", "piecesPerPlant.value", "worthPerKg.value", "worthEarly.value", "cold.chillC", "cold.damageC", "cold.killC",
  "cold.lostAtDamage", "storm.gustLoss", "heat.aboveC", "perennial.firstCropYear", "stopCropping.afterDays", "climacteric.value", "after.store",
]; // prettier-ignore

test("what a household wrote before the lives came is still its own, in every crop", () => {
  for (const crop of catalogue())
    for (const value of cropValues(crop).filter((v) => BEFORE.includes(v.path.join(".")) && v.value !== null)) {
      const [key, inner] = value.path as [string, string];
      const patch = { [key]: { [inner]: value.value, standing: "this household" } };
      expect(() => checkedCrop(patchCrop(base(crop.id), patch)), `${crop.id} ${value.path.join(".")}`).not.toThrow();
    }
  const listed = new Set(catalogue().flatMap((c) => cropValues(c).map((v) => v.path.join("."))));
  expect(BEFORE.filter((path) => !listed.has(path))).toEqual([]);
});

test("a household's packet asks for heat in proportion, without being told of heat", () => {
  const change = changeValue(base("carrot"), {}, ["packet", "high"], "160");
  if (change.status !== "changed") throw new Error(change.sentence);
  const own = checkedCrop(patchCrop(base("carrot"), change.patch));
  expect(own.life.heat).toEqual(catalogue().find((c) => c.id === "carrot")!.life.heat);
  expect(own.packet.high / own.life.heat.ofDays.high).toBeGreaterThan(1.5);
});

test("a value deep in a life can be set, says whose it is, and comes back by itself alone", () => {
  const first = changeValue(base("pea_shelling"), {}, ["life", "bearing", "high"], "40");
  if (first.status !== "changed") throw new Error(first.sentence);
  const both = changeValue(base("pea_shelling"), first.patch, ["life", "cold", "young", "killC"], "-9");
  if (both.status !== "changed") throw new Error(both.sentence);
  const own = checkedCrop(patchCrop(base("pea_shelling"), both.patch));
  expect(own.life.bearing).toMatchObject({ high: 40, standing: { line: "this household" } });
  expect(own.life.cold.young!.killC).toBe(-9);
  expect(own.life.yield.standing.line).not.toBe("this household");
  const notes = cropNotes(own, { patch: both.patch, varieties: [], chosen: [], titles: {} }, "metric");
  expect(notes.values.filter((v) => v.own).map((v) => v.path)).toEqual(["life.bearing.high", "life.cold.young.killC"]);
  const left = forgetValue(both.patch, ["life", "bearing", "high"]);
  expect(checkedCrop(patchCrop(base("pea_shelling"), left)).life.bearing).toEqual(catalogue().find((c) => c.id === "pea_shelling")!.life.bearing); // prettier-ignore
  expect(forgetValue(left, ["life", "cold", "young", "killC"])).toEqual({});
});

test.each([
  ["life.bearing.low", "90", /low is above high/],
  ["life.heat.low", "-5", /Heat to the first pick/],
  ["life.yield.high", "soon", /not a number/],
  ["life.cold.young.killC", "5", /at least as cold/],
  ["life.preserving.value", "pickle", /choose one of/],
])("an odd %s is refused in a sentence", (path, typed, sentence) => {
  const outcome = changeValue(base("pea_shelling"), {}, path.split("."), typed);
  expect(outcome).toMatchObject({ status: "refused", sentence: expect.stringMatching(sentence) as string });
});

// Checks of the second reading of the catalogue (`docs/crops-audit.md` says which row was taken and which kept).
test.each<[string, (c: ReturnType<typeof catalogue>[number]) => boolean, string[]]>([
  ["garlic is hardy to −16 °C in the soil", (c) => c.cold.killC! <= -16, ["garlic_hardneck", "garlic_softneck", "garlic_elephant"]],
  ["tender fruit chills below 7 to 10 °C", (c) => c.cold.chillC! >= 7, ["tomato_large", "tomato_cherry", "cucumber_slicing", "courgette"]],
  ["soft fruit past its best is gone within a week", (c) => c.life.past.high <= 7, ["raspberry_summer", "raspberry_autumn", "strawberry", "blueberry", "peach"]],
  ["roots stand and are dug as needed", (c) => c.life.taking.way === "as needed", ["carrot", "parsnip", "leek", "swede", "beetroot"]],
  ["heads are taken in stages", (c) => c.life.taking.way === "in stages", ["lettuce_heading", "cabbage", "kohlrabi", "radish_root"]],
  ["bean and pea rates are the audited ones", (c) => c.piecesPerPlant.value <= 1.5, ["bean_bush", "bean_flat", "bean_pole", "pea_shelling", "pea_mangetout", "pea_sugar_snap"]],
  ["low-acid crops are not bottled by the open pan", (c) => c.life.preserving.value === "low acid", ["bean_bush", "pea_shelling", "sweetcorn", "beetroot", "asparagus", "carrot", "winter_squash", "potato_maincrop"]],
  ["what is stored cold never goes warm, nor the tender cold", (c) => c.life.storage.lowC >= 10, ["sweet_potato_root", "ginger", "winter_squash", "tomato_large"]],
  ["ripening gas: made by some", (c) => c.life.storage.ethyleneMade === "much", ["tomato_large", "melon_netted", "peach"]],
  ["bushes and trees are cropped from their second to fourth year", (c) => c.life.yieldByYear!.shares[0]! === 0, ["peach", "fig", "currant_red", "gooseberry", "raspberry_summer", "asparagus"]],
])("%s", (_, holds, ids) => {
  for (const id of ids) expect(holds(catalogue().find((c) => c.id === id)!), id).toBe(true);
}); // prettier-ignore
