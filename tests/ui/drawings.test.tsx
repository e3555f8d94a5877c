import { ChakraProvider } from "@chakra-ui/react";
import { renderToStaticMarkup } from "react-dom/server";
import { addDays } from "~/core/calendar";
import { expect, test } from "vitest";
import { ReadinessArc } from "~/ui/arc/ReadinessArc";
import { BAND_PATTERNS } from "~/ui/theme/band-patterns";
import { BandStripes } from "~/ui/horizon/BandStripes";
import { RidgeRow } from "~/ui/horizon/RidgeRow";
import { system } from "~/ui/theme";

const draw = (element: React.ReactNode) =>
  renderToStaticMarkup(<ChakraProvider value={system}>{element}</ChakraProvider>);
const marker = (html: string) => {
  const circle = /<circle cx="([\d.]+)" cy="([\d.]+)"/.exec(html);
  return { x: Number(circle?.[1]), y: Number(circle?.[2]) };
};

test("the arc: position carries the meaning, low left not yet, top prime, low right gone; it has a name", () => {
  const arc = (at: number) => draw(<ReadinessArc at={at} spread={0.1} size="large" label="Courgette: close" />);
  const [left, top, right] = [marker(arc(0)), marker(arc(0.5)), marker(arc(1))];
  expect(left.x).toBeLessThan(top.x);
  expect(top.x).toBeLessThan(right.x);
  expect(top.y).toBeLessThan(left.y);
  expect(left.y).toBeCloseTo(right.y, 6);
  expect(arc(0.3)).toContain('aria-label="Courgette: close"');
});

test("the less sure, the wider the mark; when sure there is none", () => {
  const mark = (spread: number) =>
    (draw(<ReadinessArc at={0.5} spread={spread} size="small" label="x" />).match(/<path/g) ?? []).length;
  expect(mark(0.2)).toBe(2);
  expect(mark(0)).toBe(1);
});

test("a marker never leaves the arc", () => {
  const inside = marker(draw(<ReadinessArc at={1.7} spread={0.1} size="small" label="x" />));
  expect(inside.x).toBeLessThanOrEqual(44);
});

test("a ridge has a handle for each planned pick, named with day and amount for those who cannot see it", () => {
  const days = Array.from({ length: 14 }, (_, n) => ({ day: addDays("2026-09-19", n), label: `Day ${n}`, minC: 9, maxC: 18, rainMm: null, windKmh: null, forecast: true, away: false, minutesFree: 30, minutesUsed: 12 })); // prettier-ignore
  const row = { id: "p", crop: "Courgette", variety: "striped", arc: { at: 0.5, spread: 0.1 }, stage: "close", short: "ready", urgent: false, doubt: days.map((_, n) => (n === 4 ? 0.2 : 0)), marks: [{ day: 2, kind: "look" as const, words: "Look at it, Monday" }], ruledOut: [3], ridge: days.map(() => 0.5), clear: days.map(() => 0.6), handles: [{ day: 0, slot: null, isAsked: false, label: "9 courgettes", short: "9", why: [], either: [] }, { day: 13, slot: null, isAsked: true, label: "2 courgettes", short: "2", why: [], either: [] }] }; // prettier-ignore
  const html = draw(<RidgeRow planting={row} days={days} bands={[]} />);
  expect(html).toContain('aria-label="Courgette, Day 0: 9 courgettes. Why this day?"');
  expect(html).toContain('aria-label="Courgette, Day 13: 2 courgettes. You asked for it. Why this day?"');
  expect(html).toContain('aria-label="Courgette, Day 3: ruled out. Allow it again"');
  expect(html).toContain('aria-label="Look at it, Monday"');
});

test("bands of four kinds have four different patterns, told apart without colour", () => {
  const patterns = Object.values(BAND_PATTERNS).map((p) =>
    String(p.backgroundImage).replace(/color-mix\([^)]*\)[^)]*\)|var\([^)]*\)/g, "C"),
  );
  expect(new Set(patterns).size).toBe(4);
  const html = draw(<BandStripes count={14} bands={[{ kind: "frost", from: 4.72, to: 5.28, label: null }]} />);
  expect(html).toContain("left:33.71%");
});
