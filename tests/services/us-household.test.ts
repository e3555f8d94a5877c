import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { allPlantings } from "~/db/beds/plantings.server";
import { bedsPage } from "~/services/beds/beds-page.server";
import { plantingPage } from "~/services/beds/planting-page.server";
import { checkPage } from "~/services/check/check-page.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { LedgerQuery, ledgerPage } from "~/services/ledger/ledger-page.server";
import { setCropValue } from "~/services/notes/field-notes.server";
import { cropPage, sheetsPage } from "~/services/notes/notes-page.server";
import { roundPage } from "~/services/round/round-page.server";
import { skyPage } from "~/services/sky/sky-page.server";
import { sayInUnits } from "~/views/words";
import { demoGarden, smallGarden } from "./garden-fixture";

const { db, garden } = demoGarden("us");

/** A measure of the other system: a number with a metric unit, or the unit alone where it is no word; a clock of 24 hours. */
const METRIC =
  /(?<![T\d:])\b\d{2}:\d{2}(?! [ap]m)|\d ?(?:°C|mm|cm|kg|g|km\/h|km|m|litres?|metres?)(?![\w²])|°C|\bkm\/h\b/;

/** Texts of a page's data that people read. */
function textsOf(value: unknown, key = ""): string[] {
  if (["id", "path", "standing", "source", "name", "observed", "at", "clock", "leaveAt", "backAt"].includes(key))
    return [];
  if (typeof value === "string") return [value];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([k, v]) => textsOf(v, k));
}
const metricIn = (page: unknown) => textsOf(page).filter((t) => METRIC.test(t));

describe("a household in US units reads nothing in the other ones", () => {
  test.each<[string, () => unknown]>([
    ["horizon", () => horizonPage(db, garden)],
    ["round", () => roundPage(db, garden)],
    ["beds", () => bedsPage(db, garden)],
    ["sky", () => skyPage(db, garden, null)],
    ["ledger", () => ledgerPage(db, garden, LedgerQuery.parse({}))],
    ["sheets of what grows", () => sheetsPage(db, [], "us")],
  ])("%s", (_, page) => expect(metricIn(page())).toEqual([]));

  test.each(allPlantings(db).map((p) => [p.id]))("check and planting of %s", (id) => {
    expect(metricIn(checkPage(db, garden, id))).toEqual([]);
    expect(metricIn(plantingPage(db, garden, id))).toEqual([]);
  });

  test.each(catalogue().map((c) => [c.name, c.id]))("field notes of %s", (_, id) => expect(metricIn(cropPage(db, id, "us"))).toEqual([])); // prettier-ignore
});

test("a value typed in °F is kept as it is meant", () => {
  const small = smallGarden();
  expect(setCropValue(small.db, "carrot", "cold.damageC", "14", "us").status).toBe("saved");
  const at = (units: "metric" | "us") => cropPage(small.db, "carrot", units)!.values.find((v) => v.path === "cold.damageC")!; // prettier-ignore
  expect(at("metric")).toMatchObject({ value: -10, unit: "°C" });
  expect(at("us")).toMatchObject({ value: 14, unit: "°F" });
});

test.each([
  ["18–21 °C indoors", "64–70 °F indoors"],
  ["harmed at −3 °C, killed at −11 °C", "harmed at 27 °F, killed at 12 °F"],
  ["between 0 and 7 °C", "between 32 and 45 °F"],
  ["2 °C colder", "4 °F colder"],
  ["6–7 mm", "¼–5/16 in"],
  ["8 mm and over", "5/16 in and over"],
  ["100–150 mm", "4–6 in"],
  ["under 35 mm", "under 1⅜ in"],
  ["rows 40 cm apart", "rows 15¾ in apart"],
  ["600 g to 1.8 kg", "1 lb 5 oz to 3 lb 15 oz"],
  ["5 to 18 g", "0.2 to 0.6 oz"],
  ["1.2 m plus", "3.9 ft plus"],
  ["gusts of 60 km/h", "gusts of 37 mph"],
  ["14 days, 3 leaves, year 2", "14 days, 3 leaves, year 2"],
])("“%s” is said “%s”", (metric, us) => {
  expect(sayInUnits(metric, "us")).toBe(us);
  expect(sayInUnits(metric, "metric")).toBe(metric);
});

test.each([
  ["Sun 06:52 to 19:08", "Sun 6:52 am to 7:08 pm"],
  ["leaves wet until about 09:00", "leaves wet until about 9 am"],
  ["Tue 22 Sep 00:30 to 12:00", "Tue Sep 22 12:30 am to 12 pm"],
])("“%s” is said “%s” by a clock of twelve hours", (day, half) => expect(sayInUnits(day, "us")).toBe(half));

test.each([
  ["planted 20 May", "planted May 20"],
  ["Sunday, 20 September", "Sunday, September 20"],
  ["sown between 11 May 2025 and 21 May 2025", "sown between May 11, 2025 and May 21, 2025"],
  ["by Thu 24 Sep", "by Thu Sep 24"],
  ["11–21 May", "May 11–21"],
])("“%s” is said “%s” where the month comes first", (dayFirst, monthFirst) => expect(sayInUnits(dayFirst, "us")).toBe(monthFirst)); // prettier-ignore
