import fc from "fast-check";
import { expect, test } from "vitest";
import { catalogue, catalogueData, checkedCrop } from "~/catalogue/catalogue.server";
import { changeValue, cropValues, forgetValue, ofVariety, patchCrop, resolveLikes, type CropData } from ".";

const base = (id: string) => catalogueData().find((c) => c.id === id)!;
const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const changed = (id: string, path: string, typed: string, patch: CropData = {}) =>
  changeValue(base(id), patch, path.split("."), typed);

test("a crop like another takes all but what is written, cue by cue", () => {
  expect(crop("bean_purple").cues.map((c) => c.id)).toEqual(crop("bean_bush").cues.map((c) => c.id));
  expect(crop("collards").leavesStay).toEqual(crop("kale_leaf").leavesStay);
  expect(crop("pea_mangetout").cues.some((c) => c.id === "pod_squeeze")).toBe(false);
  expect(crop("tomato_cherry_orange").climacteric.value).toBe("yes");
});

test("a crop like an unknown one, or in a ring, is an error that says so", () => {
  expect(() => resolveLikes([{ id: "a", like: "b" }])).toThrow(/no crop/);
  expect(() => resolveLikes([{ id: "a", like: "b" }, { id: "b", like: "a" }])).toThrow(/like itself/); // prettier-ignore
});

test("every value offered for change can be set to itself, in every crop", () => {
  for (const c of catalogue().filter((_, i) => i % 9 === 0))
    for (const v of cropValues(c)) {
      const typed = v.value === null ? "" : typeof v.value === "boolean" ? (v.value ? "yes" : "no") : String(v.value);
      const outcome = changed(c.id, v.path.join("."), typed);
      if (v.value !== null) expect(outcome.status, `${c.id} ${v.path.join(".")}`).toBe("changed");
    }
});

test("a household's value holds, says whose it is, and can be taken back", () => {
  const change = changed("carrot", "windowDays.value", "40");
  if (change.status !== "changed") throw new Error(change.sentence);
  const own = checkedCrop(patchCrop(base("carrot"), change.patch));
  expect(own.windowDays).toMatchObject({ value: 40, standing: { line: "this household" } });
  expect(own.packet).toEqual(crop("carrot").packet);
  expect(checkedCrop(patchCrop(base("carrot"), forgetValue(change.patch, ["windowDays", "value"])))).toEqual(
    crop("carrot"),
  );
});

test("a reading's words and border can be changed; the other cues stay the handbook's", () => {
  const change = changed("carrot", "cues.shoulder_width.readings.20_35.fromMm", "18");
  if (change.status !== "changed") throw new Error(change.sentence);
  const own = checkedCrop(patchCrop(base("carrot"), change.patch));
  const cue = own.cues.find((c) => c.id === "shoulder_width")!;
  expect(cue.readings.find((r) => r.id === "20_35")!.fromMm).toBe(18);
  expect(cue.standing.line).toBe("this household");
  expect(own.cues.filter((c) => c.id !== "shoulder_width")).toEqual(crop("carrot").cues.filter((c) => c.id !== "shoulder_width")); // prettier-ignore
  expect(forgetValue(change.patch, ["cues", "shoulder_width", "ask"])).toEqual({});
});

test.each([
  ["windowDays.value", "soon", /not a number/],
  ["windowDays.value", "", /write a number/],
  ["windowDays.value", "-3", /Stays good for/],
  ["windowDays.value", "1e9", /too large/],
  ["target.lowMm", "80", /not in order/],
  ["pick.how", "", /a word or more/],
  ["pick.how", "x".repeat(500), /under 400/],
  ["mode", "sometimes", /choose one/],
  ["thins.value", "perhaps", /yes or no/],
  ["cues.nothing.ask", "?", /no such value/],
])("%s set to “%s” is answered with a sentence", (path, typed, sentence) => {
  const outcome = changed("carrot", path, typed);
  expect(outcome.status).toBe("refused");
  if (outcome.status === "refused") expect(outcome.sentence).toMatch(sentence);
});

test("whatever is typed, the crop stays whole or the change is refused", () => {
  const paths = cropValues(crop("tomato_large")).map((v) => v.path.join("."));
  fc.assert(
    fc.property(
      fc.constantFrom(...paths),
      fc.oneof(fc.string({ maxLength: 30 }), fc.double().map(String)),
      (path, typed) => {
        const outcome = changed("tomato_large", path, typed);
        if (outcome.status === "changed") checkedCrop(patchCrop(base("tomato_large"), outcome.patch));
        else expect(outcome.sentence.length).toBeGreaterThan(10);
      },
    ),
    { numRuns: 200 },
  );
});

test("a variety ripe at yellow is asked for yellow, and a smaller one for its own sizes", () => {
  const yellow = ofVariety(crop("tomato_cherry"), { ripeColour: "yellow", size: null, packet: null });
  const colour = yellow.cues.find((c) => c.id === "colour_stage")!;
  expect(colour.readings.find((r) => r.means === "ready")!.text).toBe("yellow");
  expect(colour.readings.find((r) => r.means === "nearly")!.text).toBe("turning");
  // A beefsteak ripe at yellow is not called pink or red on the way.
  const beefsteak = ofVariety(crop("tomato_large"), { ripeColour: "yellow", size: null, packet: null });
  const words = beefsteak.cues
    .find((c) => c.id === "colour_stage")!
    .readings.map((r) => `${r.everyday ?? ""} ${r.text}`);
  expect(words.join("; ")).not.toMatch(/red|pink/);
  const baby = ofVariety(crop("carrot"), {
    ripeColour: null,
    size: { lowMm: 10, highMm: 17.5 },
    packet: { low: 45, high: 60 },
  });
  const shoulder = baby.cues.find((c) => c.id === "shoulder_width")!;
  expect(shoulder.readings.map((r) => r.fromMm)).toEqual([undefined, 6, 10, 20]);
  expect(shoulder.readings[2]!.text).toMatch(/^10–18 mm/);
  expect(baby.packet).toMatchObject({ low: 45, high: 60, standing: { line: "this household" } });
  expect(ofVariety(crop("carrot"), undefined)).toBe(crop("carrot"));
});
