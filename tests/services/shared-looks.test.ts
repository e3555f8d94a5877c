import { expect, test } from "vitest";
import { allBeds } from "~/db/beds/beds.server";
import { openLooks } from "~/db/looks/looks.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { checkView } from "~/views/check/check-view";
import { plant, send, smallGarden } from "./garden-fixture";

const read = (db: ReturnType<typeof smallGarden>["db"], readingId: string | null, share?: number, at?: string) =>
  send(
    db,
    {
      kind: "look",
      plantingId: "carrot",
      cueId: "shoulder_width",
      readingId,
      ...(share === undefined ? {} : { share }),
    } as never,
    at ? { at } : {},
  );
const standing = (db: ReturnType<typeof smallGarden>["db"]) => openLooks(db).map((l) => [l.readingId, l.share]);

test("readings with their shares stand side by side; a share told again replaces its own only", () => {
  const { db } = smallGarden();
  read(db, "20_35", 0.33);
  read(db, "12_19", 0.67);
  expect(standing(db)).toEqual([["20_35", 0.33], ["12_19", 0.67]]); // prettier-ignore
  read(db, "20_35", 0.5);
  expect(standing(db)).toEqual([["12_19", 0.67], ["20_35", 0.5]]); // prettier-ignore
  read(db, "20_35", 0);
  expect(standing(db)).toEqual([["12_19", 0.67]]);
});

test("a plain answer replaces the shares of the day, and taking it back leaves nothing", () => {
  const { db } = smallGarden();
  read(db, "20_35", 0.33);
  read(db, "12_19");
  expect(standing(db)).toEqual([["12_19", null]]);
  read(db, "20_35", 0.4);
  expect(standing(db)).toEqual([["20_35", 0.4]]);
  read(db, null);
  expect(standing(db)).toEqual([]);
});

test("of two devices the later entry holds, whichever comes in first", () => {
  const entries: [string | null, number | undefined, string][] = [
    ["20_35", 0.33, "2026-08-20T07:00:01Z"],
    ["12_19", undefined, "2026-08-20T07:00:02Z"],
    ["under_12", 0.5, "2026-08-20T07:00:03Z"],
  ];
  const outcomes = [
    [0, 1, 2],
    [2, 1, 0],
    [1, 2, 0],
  ].map((order) => {
    const { db } = smallGarden();
    for (const n of order) read(db, ...entries[n]!);
    return standing(db);
  });
  expect(outcomes).toEqual([outcomes[0], outcomes[0], outcomes[0]]);
  expect(outcomes[0]).toEqual([["under_12", 0.5]]);
});

test("the check shows the mix, says both parts, and offers the ripe part to the log", () => {
  const { db, garden } = smallGarden();
  read(db, "20_35", 0.33);
  read(db, "12_19", 0.67);
  const view = checkView(plannedGarden(db, garden), "carrot")!;
  expect(view.verdict).toMatch(/Take the biggest today, about a third of them\. Leave the rest/);
  expect(view.cues.find((c) => c.id === "shoulder_width")!.mix).toHaveLength(2);
  // A third of the sixty carrots, not the row.
  expect(view.expected.count).toBeLessThan(30);
  expect(view.expected.count).toBeGreaterThan(5);
});

test.each([-0.1, 1.5, "half"])("a share of %s is refused in a sentence", (share) => {
  const { db } = smallGarden();
  expect(JSON.stringify(read(db, "20_35", share as never))).toMatch(/share|between none and all/i);
});

test("a count is a look: four of twelve heads counted ready are taken, the rest waits", () => {
  const { db, garden } = smallGarden();
  plant(
    db,
    allBeds(db)[0]!.id,
    { id: "heads", cropId: "lettuce_heading", plants: 12, cameBy: "planted" },
    "2026-07-01",
  );
  send(db, { kind: "count", plantingId: "heads", what: "ready", number: "4" } as never);
  const view = checkView(plannedGarden(db, garden), "heads")!;
  expect(view.verdict).toMatch(/Take the ripe ones today, about a third of them\. Leave the rest/);
  expect(view.expected.count).toBe(4);
  expect(view.countable).toMatchObject({ ready: true });
});
