import { expect, test } from "vitest";
import { catalogue, catalogueData, checkedCrop } from "~/catalogue/catalogue.server";
import { figuresAsProse, withFiguresIn } from "~/core/units";
import { sayFigure } from "~/views/words";

/** Texts of a crop's data that people read. */
function textsOf(value: unknown, key = ""): string[] {
  if (["id", "standing"].includes(key)) return [];
  if (typeof value === "string") return [value];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([k, v]) => textsOf(v, k));
}

test("a figure in a crop’s text is data: none stands there as prose", () => {
  const prose = catalogueData().flatMap((c) => textsOf(c).filter((t) => figuresAsProse(t).length > 0));
  expect(prose).toEqual([]);
  expect(figuresAsProse("{80–120 mm} wide, stored at 2 °C")).toEqual(["2 °C"]);
});

test("over a thousand of them are said in both systems, each from the same data", () => {
  const written = catalogueData().flatMap((c) => textsOf(c).flatMap((t) => t.match(/\{[^}]*\}/g) ?? []));
  expect(written.length).toBeGreaterThan(1000);
  for (const text of new Set(written)) {
    expect(withFiguresIn(text, sayFigure("metric"))).toBe(text.slice(1, -1));
    expect(withFiguresIn(text, sayFigure("us")), text).toMatch(/^[−\d¼½¾⅛⅜⅝⅞][^{}]* (?:°F|in|ft|lb|oz|quarts?)$|^[^{}]*\d (?:lb|oz|°F (?:colder|warmer))$/); // prettier-ignore
  }
});

test("no brace is left where a crop speaks, in either system", () => {
  expect(textsOf(catalogue()).filter((t) => /[{}]/.test(t))).toEqual([]);
  expect(textsOf(catalogueData().map((c) => checkedCrop(c, sayFigure("us")))).filter((t) => /[{}]/.test(t))).toEqual([]); // prettier-ignore
});

test("what stands in braces and is no measure is refused by name", () => {
  const broken = { ...catalogueData()[0]!, size: { text: "{three thumbs} long", standing: "common practice" } };
  expect(() => checkedCrop(broken)).toThrow("“{three thumbs} long”: {three thumbs} is no measure");
});
