import { beforeEach, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { cropValues } from "~/core/crops";
import type { Db } from "~/db/client.server";
import { deletePlanting } from "~/db/beds/plantings.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { openCounts, openLooks, saveLook } from "~/db/looks/looks.server";
import { allPatches, allSchoolChoices, allVarieties, deletePatch, keepPatch } from "~/db/notes/household.server";
import { readTypedLines } from "~/services/beds/planting-lines.server";
import { cropsOf, noticesOf, wayOf } from "~/services/garden/household-crops.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import {
  addOwnCrop,
  chooseSchool,
  dropCropValue,
  dropVariety,
  keepVariety,
  OwnCropForm,
  removeOwnCrop,
  setCropValue,
} from "~/services/notes/field-notes.server";
import { cropPage, notesPage } from "~/services/notes/notes-page.server";
import { checkOf, makeAll, refusal, send, smallGarden } from "./garden-fixture";

let db: Db;
let garden: GardenRow;
beforeEach(() => ({ db, garden } = smallGarden()));
const check = (id: string) => checkOf({ db, garden }, id);

test("the notes list every crop by kind, mark what grows here, and find by name, cue and caution", () => {
  const all = notesPage(db, "");
  expect(all.count).toBe(141);
  expect(all.groups.flatMap((g) => g.crops).filter((c) => c.growing).map((c) => c.id).sort()).toEqual(["carrot", "courgette"]); // prettier-ignore
  expect(notesPage(db, "zucchini").groups[0]!.crops.map((c) => c.id)).toEqual(["courgette"]);
  expect(notesPage(db, "full curl").groups[0]!.crops.map((c) => c.id)).toEqual(["garlic_scape"]);
  expect(notesPage(db, "poisonous").count).toBeGreaterThanOrEqual(2);
  expect(notesPage(db, "%_'; drop").count).toBe(0);
});

test("every crop has a sheet with cues, standings and the sources it names", () => {
  for (const c of catalogue()) {
    const notes = cropPage(db, c.id, "metric")!;
    expect(notes.cues.length, c.id).toBeGreaterThan(0);
    expect(
      notes.inBrief.every(([, text, standing]) => text.length > 1 && standing.length > 5),
      c.id,
    ).toBe(true);
    for (const s of notes.sources) expect(s.title, c.id).not.toBe(s.id);
    expect(JSON.stringify(notes.statements), c.id).not.toMatch(/\bCP\b|M:[A-Z]|\[\]|school \d|section \d|rate \d/);
  }
  expect(cropPage(db, "tulip", "metric")).toBeUndefined();
  expect(cropPage(db, "carrot", "us")!.cues[0]!.readings[1]!.text).toMatch(/in$/);
});

test("a value of the household moves the judgement, and the handbook's can come back", () => {
  const before = check("carrot").closes;
  expect(setCropValue(db, "carrot", "windowDays.value", "20").status).toBe("saved");
  expect(check("carrot").closes).not.toBe(before);
  expect(cropPage(db, "carrot", "metric")!.values.filter((v) => v.own).map((v) => v.path)).toEqual(["windowDays.value"]); // prettier-ignore
  expect(dropCropValue(db, "carrot", "windowDays.value").status).toBe("saved");
  expect(check("carrot").closes).toBe(before);
  expect(allPatches(db)).toEqual([]);
});

test.each([
  ["windowDays.value", "many"],
  ["packet.low", "500"],
  ["packet.high", "3"],
  ["degreeDays.baseC", "40"],
  ["cold.killC", "5"],
  ["target.lowMm", "400"],
  ["nothing.here", "1"],
])("%s set to %s is refused in a sentence and leaves nothing behind", (path, typed) => {
  const outcome = setCropValue(db, "carrot", path, typed);
  expect(outcome.status).toBe("refused");
  expect(outcome.sentence.length).toBeGreaterThan(10);
  expect(setCropValue(db, "nothing", path, typed).status).toBe("refused");
  expect(allPatches(db)).toEqual([]);
});

test("a crop of one's own is planted by its name, judged by what it is like, and stays while it is in the record", () => {
  const form = OwnCropForm.parse({ name: "Oca", like: "potato_maincrop", from: "planted", low: "180", high: "210" });
  const added = addOwnCrop(db, form);
  expect(added).toEqual({ status: "added", cropId: "own_oca" });
  expect(addOwnCrop(db, form).status).toBe("refused");
  expect(cropsOf(db)).toHaveLength(142);
  const line = readTypedLines(db, garden, [{ text: "4 oca, planted 3 May, Long bed" }]);
  expect(line).toMatchObject({ ready: 1, rows: [{ sentence: expect.stringMatching(/^4 × Oca/) as string }] });
  makeAll(db, { cropId: "own_oca" });
  expect(check("carrot").cues.map((c) => c.id)).toContain("tops_dying");
  expect(removeOwnCrop(db, "own_oca").status).toBe("refused");
  for (const id of ["courgette", "carrot"]) deletePlanting(db, id);
  expect(removeOwnCrop(db, "own_oca").status).toBe("saved");
  expect(removeOwnCrop(db, "carrot").status).toBe("refused");
  expect(cropsOf(db)).toHaveLength(141);
});

test.each([
  [{ name: "", like: "carrot", from: "sown", low: "1", high: "2" }, "name"],
  [{ name: "Oca", like: "carrot", from: "sown", low: "90", high: "60" }, "high"],
  [{ name: "Oca", like: "carrot", from: "sown", low: "x", high: "60" }, "low"],
  [{ name: "Oca", like: "carrot", from: "guessed", low: "10", high: "60" }, "from"],
])("a crop of one's own typed wrong: %o", (form, at) => {
  const parsed = OwnCropForm.safeParse(form);
  expect(parsed.success).toBe(false);
  if (!parsed.success) expect(parsed.error.issues.map((i) => i.path[0])).toContain(at);
});

test("a variety gives the cues its colour and sizes, for the plantings of its name", () => {
  makeAll(db, { cropId: "tomato_large", variety: "Butter" });
  const v = { cropId: "tomato_large", name: "butter", ripeColour: "yellow", size: null, packet: { low: 70, high: 80 } };
  expect(keepVariety(db, v)).toEqual({ status: "kept" });
  expect(keepVariety(db, { ...v, ripeColour: "pale yellow" })).toEqual({ status: "kept" });
  expect(allVarieties(db)).toHaveLength(1);
  expect(check("carrot").cues.find((c) => c.id === "colour_stage")!.how).toMatch(/pale yellow/);
  expect(check("carrot").standings[0]).toEqual(["Days to first pick", "70–80", "this household"]);
  dropVariety(db, allVarieties(db)[0]!.id);
  expect(check("carrot").standings[0]![1]).toBe("60–85");
  expect(keepVariety(db, { ...v, size: { lowMm: 50, highMm: 70 } })).toMatchObject({ status: "refused" });
  expect(keepVariety(db, { ...v, packet: { low: 90, high: 80 } })).toMatchObject({ status: "refused" });
  expect(keepVariety(db, { ...v, name: " " })).toMatchObject({ status: "refused" });
});

test("a school chosen moves the window; the usual one takes the choice back", () => {
  send(db, { kind: "look", plantingId: "courgette", cueId: "length", readingId: "80_149" });
  const usual = check("courgette").verdict;
  expect(chooseSchool(db, "courgette", "courgette_size", "large").status).toBe("saved");
  expect(check("courgette").verdict).not.toBe(usual);
  const courgette = cropsOf(db).find((c) => c.id === "courgette")!;
  expect(wayOf(db, courgette)).toEqual({ label: "200–250 mm", own: true });
  expect(chooseSchool(db, "courgette", "courgette_size", "middling").status).toBe("saved");
  expect(wayOf(db, courgette)).toEqual({ label: "150–220 mm", own: false });
  expect(check("courgette").verdict).toBe(usual);
  expect(allSchoolChoices(db)).toEqual([]);
  expect(chooseSchool(db, "courgette", "courgette_size", "gigantic").status).toBe("refused");
  expect(chooseSchool(db, "courgette", "all_or_need", "need").status).toBe("saved");
  expect(check("courgette").how).toMatch(/what is needed/);
});

test("a measured size finds its reading, tells the growth, and is refused when it cannot be", () => {
  const look = { kind: "look" as const, plantingId: "courgette", cueId: "length", measuredMm: 168, sampleOf: 3 };
  expect(send(db, look).status).toBe("applied");
  expect(openLooks(db)).toMatchObject([{ readingId: "150_250", measuredMm: 168, sampleOf: 3 }]);
  const view = check("courgette");
  expect(view.told.join(" ")).toMatch(/growing .* a day at the usual pace/);
  expect(view.cues.find((c) => c.id === "length")!.measured).toBe(168);
  for (const bad of [-5, 0, 9000, "long"])
    expect(refusal(send(db, { ...look, measuredMm: bad as number })).measuredMm, String(bad)).toMatch(/\.$/);
  expect(refusal(send(db, { ...look, sampleOf: 0 })).sampleOf).toMatch(/At least one/);
  expect(refusal(send(db, { ...look, cueId: "tip_shape", measuredMm: 20 })).look).toMatch(/not a look/);
});

test("counts: leaves say how many may come off, ready pieces how freely it bears", () => {
  makeAll(db, { cropId: "kale_leaf" });
  const say = (what: "ready" | "leaves", number: string, more: object = {}) =>
    send(db, { kind: "count", plantingId: "carrot", what, number, ...more });
  expect(say("leaves", "11").status).toBe("applied");
  expect(check("carrot").told.join(" ")).toMatch(/About 7 leaves may come off each plant; 4 stay/);
  expect(say("leaves", "3").status).toBe("applied");
  expect(openCounts(db)).toHaveLength(1);
  expect(check("carrot").told.join(" ")).toMatch(/No leaf to spare/);
  expect(refusal(say("ready", "3", { plantingId: "nobody" })).sentence).toMatch(/no longer there/);
  expect(refusal(say("ready", "3", { on: "2099-01-01" })).on).toMatch(/still to come/);
  for (const bad of ["", "-1", "2.5", "many", "9999999"])
    expect(refusal(say("ready", bad)).number, bad).toMatch(/whole number/);
});

test("kept for seed it is left, and the plan does not come for it", () => {
  makeAll(db, { forSeed: true });
  expect(check("carrot").verdict).toMatch(/^Leave it for seed/);
  const { plan } = plannedGarden(db, garden);
  expect(plan.picks.carrot ?? []).toEqual([]);
});

test("a look at a cue that the handbook no longer has stays in the record and harms nothing", () => {
  saveLook(db, { seasonId: "carrot/1", cueId: "moon", readingId: "full", takenOn: "2026-06-01", takenAt: "x", sampleOf: null, measuredMm: null }); // prettier-ignore
  expect(check("carrot").verdict.length).toBeGreaterThan(10);
  expect(openLooks(db)).toHaveLength(1);
});

test("whatever value is accepted, the garden can still be judged and planned", () => {
  const ids = ["carrot", "courgette"];
  const stands = (id: string, what: string) => {
    expect(check(id).verdict.length, what).toBeGreaterThan(5);
    expect(cropPage(db, id, "us")!.values.length).toBeGreaterThan(20);
    deletePatch(db, id);
  };
  for (const id of ids) {
    const values = cropValues(cropsOf(db).find((c) => c.id === id)!);
    const path = (v: (typeof values)[number]) => v.path.join(".");
    for (const v of values) {
      if (typeof v.kind === "string" && v.kind !== "number") continue;
      // Each is judged and planned anew: of the second crop the ends are enough.
      const typed = v.kind !== "number" ? v.kind : id === ids[0] ? ["0", "-7", "0.01", "0.3", "900"] : ["0.01", "900"];
      for (const value of typed)
        if (setCropValue(db, id, path(v), value).status !== "refused") stands(id, `${id} ${path(v)} ${value}`);
    }
    // Words do not meddle with one another: all at once.
    const texts = values.filter((v) => typeof v.kind === "string" && v.kind !== "number");
    for (const value of ["x", "no"]) {
      const taken = texts.filter((v) => setCropValue(db, id, path(v), value).status !== "refused");
      expect(taken.length, id).toBeGreaterThan(20);
      stands(id, `${id} all texts ${value}`);
    }
  }
}, 240_000);

test("where every day counts alike no temperatures are shown", () => {
  makeAll(db, { cropId: "hens_eggs" });
  expect(check("carrot").standings.find(([what]) => what === "Heat counts from")![1]).toBe("every day alike");
  expect(JSON.stringify(cropPage(db, "hens_eggs", "metric"))).not.toContain("1000");
});

test("a household value that no longer fits after an upgrade falls back to the handbook with a notice, its others hold", () => {
  keepPatch(db, "carrot", JSON.stringify({ windowDays: { value: "long", standing: "this household" }, waiting: { text: "Ours hold well", standing: "this household" }, gone: 7 })); // prettier-ignore
  expect(noticesOf(db)).toEqual(["Carrot: your “windowDays” no longer fits, the handbook’s holds."]);
  expect(check("carrot").waiting).toMatch(/ours hold well/i);
  keepPatch(db, "courgette", "{ not even JSON");
  expect(noticesOf(db).join(" ")).toMatch(/Your values of courgette cannot be read/);
  expect(check("courgette").verdict.length).toBeGreaterThan(5);
  expect(cropPage(db, "courgette", "metric")!.values.every((v) => !v.own)).toBe(true);
});

test("a planting of a crop that is no longer known waits in its bed and harms no page", () => {
  keepPatch(db, "own_moonroot", JSON.stringify({ id: "own_moonroot", like: "moonroot", name: "Moonroot" }));
  makeAll(db, { cropId: "own_moonroot" });
  expect(noticesOf(db)).toEqual([
    "Moonroot is like a crop that the handbook no longer has: its plantings wait, their record stays.",
  ]);
  expect(plannedGarden(db, garden).outlook.plantings).toEqual([]);
});
