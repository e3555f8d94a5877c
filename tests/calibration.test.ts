import { expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { readableCues } from "~/core/practice";
import { tellingCues } from "~/core/readiness";
import { knownTo, lookAround, placeNormals, readyOddsOn, truthCase } from "../scripts/truth-garden";

/**
 * A small run of the truth garden on seeds of its own: not the figures (those are the bench's), but that the
 * judgement is calibrated at all and that looks help.
 */
test("against the truth garden: 80 % intervals hold near 80 %, and two looks beat none", () => {
  const normals = placeNormals(70_001);
  const kinds: [string, number, number][] = [["carrot", 80, 180], ["bean_bush", 130, 195], ["cabbage", 100, 170], ["tomato_large", 140, 170]]; // prettier-ignore
  let covered = 0;
  let none = 0;
  let two = 0;
  const each = 30;
  for (const [n, kind] of kinds.entries())
    for (let k = 0; k < each; k++) {
      const c = truthCase(70_000 + n * 100 + k, kind, normals);
      const today = addDays(c.truth.startedOn, c.crop.packet.low);
      const dev = knownTo(c, today);
      const cues = readableCues(c.crop);
      const { assessments } = lookAround(c, dev, today, 2, (a) => tellingCues(c.crop, dev, a.belief.posterior, a.looks, today).find((t) => cues.some((q) => q.id === t.cue.id))?.cue.id); // prettier-ignore
      const isReady = c.truth.readyOn !== null && c.truth.readyOn <= today ? 1 : 0;
      const [first, last] = [assessments[0]!, assessments.at(-1)!];
      const { p10, p90 } = first.window.opens;
      const t = c.truth.readyOn ?? "9999-12-31";
      if ((p10 === null || p10 <= t) && (p90 === null || t <= p90)) covered++;
      none += (readyOddsOn(dev, first.belief.posterior, today) - isReady) ** 2;
      two += (readyOddsOn(dev, last.belief.posterior, today) - isReady) ** 2;
    }
  expect(covered / (each * kinds.length)).toBeGreaterThan(0.68);
  expect(covered / (each * kinds.length)).toBeLessThan(0.94);
  expect(two).toBeLessThan(0.6 * none);
});
