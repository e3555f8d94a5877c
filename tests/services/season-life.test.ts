import { expect, test } from "vitest";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { seasonLifeOf } from "~/services/life/season-life.server";
import { cropYearOf } from "~/services/notes/notes-page.server";
import { adviceOf } from "~/services/horizon/horizon-page.server";
import { between, sayExpected } from "~/views/words";
import { catalogue } from "~/catalogue/catalogue.server";
import { demoGarden } from "./garden-fixture";

test("a planting's life: its picks on the arc, its end with its doubt, the whole season by its picks", () => {
  const { db, garden } = demoGarden();
  const strip = seasonLifeOf(db, garden, "courgette-striped")!;
  expect(strip.marks.filter((m) => m.kind === "pick").length).toBeGreaterThan(5);
  expect(strip.marks.every((m) => m.at >= 0 && m.at <= 1 && m.high >= 0 && m.high <= 1)).toBe(true);
  expect(strip.bearing!.from).toBeLessThan(strip.today);
  expect(strip.ending!.to).toBeGreaterThan(strip.today);
  expect(strip.says.join(" ")).toMatch(
    /Picked so far: \d+ courgettes\. The whole season: \d+ to \d+ courgettes, by \d+ of your picks/,
  );
  expect(seasonLifeOf(db, garden, "no such")).toBeNull();
});

test("every planting of the demo has a life that can be drawn and said", () => {
  const { db, garden } = demoGarden();
  for (const p of plannedGarden(db, garden).outlook.plantings) {
    const strip = seasonLifeOf(db, garden, p.planting.id)!;
    expect(strip.says.length, p.planting.id).toBeGreaterThan(0);
    expect(strip.says.join(" "), p.planting.id).not.toMatch(/undefined|NaN|null/);
    for (const part of [strip.growing, strip.opening, strip.bearing, strip.ending])
      if (part) expect(part.from <= part.to, p.planting.id).toBe(true);
  }
});

test("a crop's year here names its starts and amounts, or says that it does not get warm enough", () => {
  const { db, garden } = demoGarden();
  const peas = cropYearOf(db, garden, "pea_shelling")!;
  expect(peas.rows.map((r) => r.name)).toEqual(["early, spring", "usual, spring", "late, spring"]);
  expect(peas.rows[1]).toMatchObject({ usual: true, first: expect.stringMatching(/Jun/) as string });
  expect(peas.note).toMatch(/of your record/);
  for (const { id } of catalogue()) expect(JSON.stringify(cropYearOf(db, garden, id)), id).not.toMatch(/NaN|undefined/);
  expect(cropYearOf(db, garden, "tulip")).toBeUndefined();
});

test("no loss is told of what nobody has seen", async () => {
  const { db, garden } = demoGarden();
  const { outlook } = plannedGarden(db, garden);
  const seen = (id: string) => {
    const { looks, picks, counts } = outlook.plantings.find((p) => p.planting.id === id)!.planting;
    return looks.length + picks.length + counts.length > 0;
  };
  for (const told of (await adviceOf(db, garden)).unfit) expect(seen(told.plantingId!)).toBe(true);
});

test("amounts are told with their doubt, in one unit, and as one number where it is well known", () => {
  const pea = catalogue().find((c) => c.id === "pea_shelling")!;
  const kale = catalogue().find((c) => c.id === "kale_leaf")!;
  expect(sayExpected(pea, 400, 0.45, "metric")).toBe("1.6 to 5 kg");
  expect(sayExpected(pea, 400, 0.1, "metric")).toBe("about 2.8 kg");
  expect(sayExpected(kale, 12, 0.4, "metric")).toBe("7 to 20 leaves");
  expect(sayExpected(kale, 1, 0.3, "metric")).toBe("about 1 leaf");
  expect(between("840 g", "1.2 kg")).toBe("840 g to 1.2 kg");
  expect(sayExpected(pea, 400, 0.45, "us")).toMatch(/^3 lb 8 oz to 1\d lb/);
});
