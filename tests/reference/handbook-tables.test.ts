import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { cueScale, readingOfSize } from "~/core/readiness";
import { crop, cue, reads } from "./handbook";

test("everyday objects named with a reading lie in its millimetres", () => {
  const objects: Record<string, number> = { "a table-tennis ball": 40, "a golf ball": 43, "a shallot": 29, "a pencil": 7, "a quarter-dollar coin": 24 }; // prettier-ignore
  for (const [name, mm] of Object.entries(objects))
    for (const c of catalogue())
      for (const q of c.cues.filter((x) => x.across === "width"))
        for (const r of q.readings.filter((x) => x.everyday === name && x.fromMm))
          expect(readingOfSize(q, mm)?.id, `${c.id} ${q.id} ${name}`).toBe(r.id);
});

describe("tomato colour classes (United States Standards for Grades of Fresh Tomatoes, 7 CFR 51.1860, from memory)", () => {
  const colour = cue("tomato_large", "colour_stage");
  test("six classes by share of colour: green, breaker to 10, turning to 30, pink to 60, light red to 90, red above", () => {
    expect(colour.readings.slice(0, 6).map((r) => r.id)).toEqual(["green", "breaker", "turning", "pink", "light_red", "red"]); // prettier-ignore
    expect(colour.readings.slice(1, 6).map((r) => r.text)).toEqual(["first blush, up to 10 %", "10–30 %", "30–60 %", "60–90 %", "over 90 %"]); // prettier-ignore
  });
  test("the riper the class, the later on the scale", () => {
    const { borders } = cueScale(colour)!;
    for (let i = 1; i < borders.length; i++) expect(borders[i]!).toBeGreaterThan(borders[i - 1]!);
  });
});

/** Minimum maturity indices as published handbook tables give them, all from memory of HB66 and EXT. */
describe("harvest indices (from memory of HB66 and EXT)", () => {
  test.each<[string, string, string, string]>([
    ["asparagus", "tip_tight", "closed", "none"],
    ["cantaloupe at full slip (HB66)", "stem_slip", "pops off", "melon_netted"],
    ["watermelon ground spot cream to yellow, tendril dry (EXT)", "ground_spot", "butter yellow", "watermelon"],
    ["sweetcorn silks brown, kernels milky (EXT)", "kernel_juice", "milky", "sweetcorn"],
    ["winter squash rind resists the nail (EXT)", "nail_test", "no mark", "winter_squash"],
    ["onion with half the tops down (EXT)", "neck_fall", "half", "onion_bulb"],
    ["garlic scapes in a full curl (EXT)", "curl", "one full curl", "garlic_scape"],
    ["raspberry separates from the core (HB66)", "slips_core", "slips off", "raspberry_summer"],
    ["broccoli beads tight (EXT)", "bead_tight", "coarse beads", "broccoli_head"],
    ["aubergine: the dent springs back (EXT)", "press_rebound", "dent springs", "aubergine"],
  ])("%s", (_, cueId, words, id) => {
    if (id === "none") return expect(reads("asparagus", cueId, words).means).toBe("none");
    expect(cue(id, cueId).readings.find((r) => r.text.startsWith(words) || r.text.includes(words))!.means).toBe(
      "ready",
    );
  });
  test("what ripens off the plant and what does not (HB66)", () => {
    const value = (id: string) => crop(id).climacteric.value;
    expect(["tomato_large", "peach", "melon_netted"].map(value)).toEqual(["yes", "yes", "yes"]);
    for (const id of ["strawberry", "raspberry_summer", "watermelon", "cucumber_slicing", "aubergine", "sweetcorn"])
      expect(value(id), id).toBe("no");
  });
  test("base temperatures of the growers' handbook table, °F turned to °C (from memory of VGH)", () => {
    const table: Record<string, number> = { bean_bush: 50, sweetcorn: 50, tomato_large: 51, cucumber_slicing: 55, watermelon: 55, aubergine: 60, sweet_potato_root: 60, courgette: 45, carrot: 38, onion_bulb: 35, pea_shelling: 40, lettuce_heading: 40, potato_maincrop: 40, beetroot: 40, broccoli_head: 40, asparagus: 40, strawberry: 39, pepper_sweet: 50, melon_netted: 50 }; // prettier-ignore
    for (const [id, fahrenheit] of Object.entries(table))
      expect(crop(id).degreeDays.baseC, id).toBeCloseTo((fahrenheit - 32) / 1.8, 0);
  });
});
