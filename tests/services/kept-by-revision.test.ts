import { afterEach, expect, test, vi } from "vitest";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { openGarden } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { revisionOf } from "~/db/revision.server";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";
import { stepDemoClock } from "~/services/garden/clock.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { saveTrip } from "~/services/sky/trips.server";
import { demoGarden, send, smallGarden } from "./garden-fixture";

afterEach(() => vi.useRealTimers());

test("every page would have read all years again: while nothing was written, what was worked out stands", () => {
  const { db, garden } = demoGarden();
  const first = plannedGarden(db, garden);
  const read = vi.spyOn(db, "select");
  expect(plannedGarden(db, garden)).toBe(first);
  expect(read).not.toHaveBeenCalled();
  read.mockRestore();
});

test("a pick, a trip and another day are each a new state, also the pick that is taken back", () => {
  const { db, garden } = demoGarden();
  const id = crypto.randomUUID();
  const acts: (() => unknown)[] = [
    () => send(db, { kind: "pick", plantingId: "tomato-red", outcome: "picked", weight: "1 kg" }, { id, at: "2026-09-19T07:00:00Z" }), // prettier-ignore
    () => saveTrip(db, { id: "", name: "Away", from: "2026-09-21", to: "2026-09-22", leaveAt: null, backAt: null }),
    () => stepDemoClock(db, 1),
  ];
  let before = plannedGarden(db, garden);
  for (const act of acts) {
    act();
    const now = plannedGarden(db, theGarden(db)!);
    expect(now).not.toBe(before);
    before = now;
  }
  expect(before.today).toBe("2026-09-20");
});

test("what another program writes into the file is seen", () => {
  const folder = mkdtempSync(path.join(tmpdir(), "akmedon-revision-"));
  const [ours, theirs] = [openGarden(path.join(folder, "g.sqlite")), openGarden(path.join(folder, "g.sqlite"))];
  plantDemoGarden(ours);
  const before = revisionOf(ours);
  expect(revisionOf(ours)).toBe(before);
  saveTrip(theirs, { id: "", name: "Away", from: "2026-09-21", to: "2026-09-22", leaveAt: null, backAt: null });
  expect(revisionOf(ours)).not.toBe(before);
  for (const db of [ours, theirs]) db.$client.close();
  rmSync(folder, { recursive: true, force: true });
});

test("time goes on: a plan does not stand for hours because nobody wrote anything", () => {
  const { db, garden } = smallGarden();
  vi.useFakeTimers({ toFake: ["Date"], now: new Date("2026-08-20T08:00:00Z") });
  const first = plannedGarden(db, garden);
  vi.setSystemTime(new Date("2026-08-20T08:04:00Z"));
  expect(plannedGarden(db, garden)).toBe(first);
  vi.setSystemTime(new Date("2026-08-21T08:00:00Z"));
  expect(plannedGarden(db, garden).today).toBe("2026-08-21");
});
