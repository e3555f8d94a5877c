import { expect, test } from "vitest";
import { catalogue, sources } from "~/catalogue/catalogue.server";
import { Standing, findCrop } from "~/core/crops";
import { cueScale } from "~/core/readiness";

const crops = catalogue();

test("the first slice has its twelve crops", () => {
  expect(crops.map((c) => c.id).sort()).toEqual(
    "bean_bush beetroot carrot courgette cucumber_slicing kale_leaf melon_netted onion_bulb peach potato_maincrop sweetcorn tomato_large".split(" "), // prettier-ignore
  );
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
  const decisive = crop.cues.filter((c) => c.weight === "decisive" && cueScale(c));
  expect(decisive.length).toBeGreaterThan(0);
  if (crop.mode === "repeat") expect(crop.again).toBeDefined();
  if (crop.school) expect(crop.school.options.map((o) => o.id)).toContain(crop.school.usual);
  expect(crop.degreeDays.upperC).toBeGreaterThan(crop.degreeDays.baseC);
});

test.each([
  ["courgettes", "courgette"],
  ["Zucchini", "courgette"],
  ["french beans", "bean_bush"],
  ["potatoes", "potato_maincrop"],
  ["Peaches", "peach"],
  ["sweet corn", "sweetcorn"],
])("“%s” is %s", (word, id) => expect(findCrop(crops, word)?.id).toBe(id));

test("a word that fits nothing finds nothing", () => {
  expect(findCrop(crops, "tulip")).toBeUndefined();
  expect(findCrop(crops, "")).toBeUndefined();
  expect(findCrop(crops, "be")).toBeUndefined();
});
