import { expect, test } from "vitest";
import { COLOURS, SUN, type ColourName } from "./colours";

/** Relative luminance and contrast as WCAG 2.2 defines them (W3C Recommendation, "contrast ratio"). */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16) / 255).map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)); // prettier-ignore
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}
function contrast(a: string, b: string): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return (high! + 0.05) / (low! + 0.05);
}

test("the measure itself: black on white is 21", () => expect(contrast("#000000", "#FFFFFF")).toBeCloseTo(21, 6));

const TEXT: [ColourName, ColourName][] = [
  ["ink", "paper"], ["ink", "card"], ["ink", "chosen"], ["ink", "awayWash"], ["soft", "paper"], ["soft", "card"], ["soft", "awayWash"],
  ["persimmon", "paper"], ["persimmon", "card"], ["onPersimmon", "persimmonFill"], ["plum", "paper"], ["slate", "paper"], ["slate", "card"],
  ["slate", "slateWash"], ["slate", "awayWash"], ["onNight", "night"], ["ink", "ridge"], ["ink", "ridgePale"],
]; // prettier-ignore
const SHAPES: [ColourName, ColourName][] = [["persimmonFill", "paper"], ["plum", "paper"], ["edge", "card"], ["edge", "paper"]]; // prettier-ignore

test.each(TEXT)("%s on %s is readable as text, by day and in the dark (AA, 4.5)", (front, back) => {
  for (const i of [0, 1] as const) expect(contrast(COLOURS[front][i], COLOURS[back][i])).toBeGreaterThanOrEqual(4.5);
});
test.each(SHAPES)("%s on %s is visible as a shape (AA, 3)", (front, back) => {
  for (const i of [0, 1] as const) expect(contrast(COLOURS[front][i], COLOURS[back][i])).toBeGreaterThanOrEqual(3);
});
test.each(TEXT)("%s on %s is readable in the sun (AAA, 7)", (front, back) => {
  expect(contrast(SUN[front], SUN[back])).toBeGreaterThanOrEqual(7);
});
test.each(SHAPES)("%s on %s is visible as a shape in the sun (4.5)", (front, back) => {
  expect(contrast(SUN[front], SUN[back])).toBeGreaterThanOrEqual(4.5);
});
