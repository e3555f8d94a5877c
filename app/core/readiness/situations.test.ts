import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { judged } from "../../../tests/judged";
import { looksOf, SITUATIONS, TODAY } from "../../../tests/situations";

describe("what a good gardener would say", () => {
  test.each(SITUATIONS)("$crop: $words", ({ crop, looks, packetDay, more, kind, says }) => {
    const { verdict } = judged({
      crop,
      today: TODAY,
      ...(packetDay === undefined ? {} : { packetDay }),
      ...more,
      looks: looksOf(crop, looks),
    });
    // "Ready, by today" and "ready, by Thursday" differ by the length of the window only.
    const said = kind === "ready" && verdict.kind === "take today" && verdict.sentence.startsWith("Ready") ? "ready" : verdict.kind; // prettier-ignore
    expect(said, verdict.sentence).toBe(kind);
    if (says) expect(verdict.sentence).toMatch(says);
  });

  test("there are at least 120, of every group and of most crops", () => {
    expect(SITUATIONS.length).toBeGreaterThanOrEqual(120);
    const told = new Set(SITUATIONS.map((s) => s.crop));
    for (const group of new Set(catalogue().map((c) => c.group)))
      expect(
        catalogue().some((c) => c.group === group && told.has(c.id)),
        group,
      ).toBe(true);
    expect(told.size).toBeGreaterThan(80);
    expect(new Set(SITUATIONS.map((s) => s.kind)).size).toBeGreaterThanOrEqual(12);
  });
});
