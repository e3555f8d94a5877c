import { expect, test } from "vitest";
import { catalogue, lineWords, sources } from "~/catalogue/catalogue.server";
import { readFileSync, readdirSync } from "node:fs";
import { CROP_GROUPS, Standing } from "~/core/crops";
import { cropInWords } from "~/core/lines";
import { cueScale } from "~/core/readiness";

const crops = catalogue();

test("the whole catalogue: 141 crops of every group, 455 cues of their own, 42 schools", () => {
  expect(crops).toHaveLength(141);
  expect(new Set(crops.map((c) => c.group))).toEqual(new Set(CROP_GROUPS));
  const written = readdirSync("data/crops").map(
    (file) => (JSON.parse(readFileSync(`data/crops/${file}`, "utf8")) as { cues: unknown[] }).cues.length,
  );
  expect(written.reduce((a, b) => a + b, 0)).toBe(455);
  const schools = new Map(crops.flatMap((c) => c.schools).map((s) => [s.no, s]));
  expect([...schools.keys()].sort((a, b) => a - b)).toEqual(Array.from({ length: 42 }, (_, i) => i + 1));
});

test("every source named is known, and every known source is used", () => {
  const named = new Set<string>();
  const visit = (value: unknown): void => {
    if (Array.isArray(value)) return value.forEach(visit);
    if (typeof value !== "object" || value === null) return;
    for (const [key, inner] of Object.entries(value)) {
      if (key === "standing") {
        for (const origin of (inner as Standing).origins) {
          if (origin.kind === "from memory") named.add(origin.of);
          if (origin.kind === "published") named.add(origin.source);
        }
      } else visit(inner);
    }
  };
  crops.forEach(visit);
  visit(lineWords().varieties);
  // The climate table's one standing.
  named.add("CLIM");
  expect([...named].sort()).toEqual(Object.keys(sources()).sort());
});

test("a standing that is none of the four kinds is refused", () => {
  expect(Standing.safeParse("heard somewhere").success).toBe(false);
  expect(Standing.parse("common practice; numbers: our judgement").origins).toHaveLength(2);
  expect(Standing.parse("from memory of HB66").origins[0]).toEqual({ kind: "from memory", of: "HB66" });
});

test.each(crops.map((c) => [c.name, c] as const))("%s: cues can be asked and told apart", (_, crop) => {
  expect(new Set(crop.cues.map((c) => c.id)).size).toBe(crop.cues.length);
  for (const cue of crop.cues) expect(new Set(cue.readings.map((r) => r.id)).size).toBe(cue.readings.length);
  const asked = crop.cues.filter((c) => !c.auto);
  expect(asked.length).toBeGreaterThan(0);
  expect(asked.some((c) => c.weight !== "weak")).toBe(true);
  // Readings on the way from early to past stand in order, or the cue could not be read as a scale.
  for (const cue of crop.cues) {
    const stages = new Set(
      cue.readings.map((r) => r.means).filter((m) => ["early", "nearly", "ready", "past"].includes(m)),
    );
    if (stages.size >= 2 && crop.id !== "kale_leaf") expect(cueScale(cue), cue.id).toBeDefined();
  }
  if (crop.mode !== "once") expect(crop.again).toBeDefined();
  expect(crop.schools.filter((s) => s.options.some((o) => o.window)).length).toBeLessThanOrEqual(1);
  if (crop.target) expect(crop.cues.map((c) => c.id)).toContain(crop.target.cue);
  expect(crop.degreeDays.upperC).toBeGreaterThan(crop.degreeDays.baseC);
});

test.each([
  ["courgettes", "courgette"],
  ["Zucchini", "courgette"],
  ["french beans", "bean_bush"],
  ["potatoes", "potato_maincrop"],
  ["Peaches", "peach"],
  ["sweet corn", "sweetcorn"],
])("“%s” is %s", (word, id) =>
  expect(cropInWords(crops, word, lineWords())).toMatchObject({ status: "one", crop: { id } }),
);

test("a word that fits nothing finds nothing", () => {
  expect(cropInWords(crops, "tulip", lineWords()).status).toBe("none");
  expect(cropInWords(crops, "", lineWords()).status).toBe("none");
  expect(cropInWords(crops, "be", lineWords()).status).toBe("none");
});
