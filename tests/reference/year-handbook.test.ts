import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { yearCells } from "../../scripts/year-cells";
import { HANDBOOK_YEAR } from "./handbook-year";

// Handbook table of sowing calendars and yields, from memory and common practice: see its file.
test("the crops' years in four climates lie within the handbook's: first picks 90 %, ends 85 %, yields 85 %", () => {
  const cells = yearCells();
  const share = (test: (c: (typeof cells)[number]) => boolean) => cells.filter(test).length / cells.length;
  expect(cells.length).toBeGreaterThan(340);
  expect(share((c) => c.firstOff === 0)).toBeGreaterThanOrEqual(0.9);
  expect(share((c) => c.endOff === 0)).toBeGreaterThanOrEqual(0.85);
  expect(share((c) => c.yieldOff === 1)).toBeGreaterThanOrEqual(0.85);
});

test("every crop but the hens is in the handbook's table, in two climates at least", () => {
  for (const { id } of catalogue().filter((c) => c.id !== "hens_eggs")) {
    const climates = new Set(HANDBOOK_YEAR.filter((c) => c.cropId === id).map((c) => c.climate));
    expect(climates.size, id).toBeGreaterThanOrEqual(2);
  }
});
