import { expect, test } from "vitest";
import type { Verdict } from "../readiness";
import { returnAct, returnOrder } from "./after-absence";
import { tripJustEnded, tripsAhead } from "./days-away";
import type { PlantingOutlook } from "./planting-outlook";

/** A planting as far as coming back looks at it. */
function planting(kind: Verdict["kind"], { mode = "repeat", suppresses = "yes", over = 0, id = kind as string } = {}): PlantingOutlook {
  return {
    planting: { id },
    crop: { mode, suppressesWhenLeft: { value: suppresses } },
    judgement: { verdict: { kind, because: { why: "ready" } }, odds: { "not yet": 0, close: 1 - over, prime: 0, slipping: 0, gone: over } },
  } as unknown as PlantingOutlook;
} // prettier-ignore

test("what is spoilt comes off first, what stops bearing is stripped, the rest waits its turn", () => {
  expect(returnAct(planting("unfit"))).toBe("take off first");
  expect(returnAct(planting("past", { mode: "once" }))).toBe("take off first");
  expect(returnAct(planting("past", { suppresses: "no" }))).toBe("take off first");
  // Overgrown courgettes hang beside fresh ones: not all of it is waste.
  expect(returnAct(planting("past"))).toBe("strip");
  expect(returnAct(planting("take today"))).toBe("strip");
  expect(returnAct(planting("take today", { suppresses: "no" }))).toBe("take");
  expect(returnAct(planting("ready", { mode: "once" }))).toBe("take");
  expect(returnAct(planting("look now"))).toBe("look");
  expect(returnAct(planting("leave", { mode: "once" }))).toBe("keep");
});

test("a bean that nobody has looked at, and that is half over, is stripped: what hangs on stops it", () => {
  expect(returnAct(planting("look again", { over: 0.5 }))).toBe("strip");
  expect(returnAct(planting("look again", { over: 0.05 }))).toBe("look");
});

test("within an act what is lost soonest comes first", () => {
  const order = returnOrder([
    planting("leave", { mode: "once", id: "keeps" }),
    planting("ready", { mode: "once", over: 0.1, id: "later" }),
    planting("ready", { mode: "once", over: 0.6, id: "sooner" }),
    planting("unfit", { id: "off" }),
  ]);
  expect(order.map((o) => o.p.planting.id)).toEqual(["off", "sooner", "later", "keeps"]);
});

const DAYS = ["2026-07-01", "2026-07-02", "2026-07-03", "2026-07-04", "2026-07-05", "2026-07-06"];
const trip = (from: string, to: string, hours: { leaveAt?: string; backAt?: string } = {}) => ({ name: "away", from, to, ...hours }); // prettier-ignore

test("a trip’s last day with hands may lie days before it, and the hour of leaving counts", () => {
  const outlook = { days: DAYS, trips: [trip("2026-07-04", "2026-07-05")], away: [false, false, false, true, true, false], minutesFree: [20, 30, 0, 0, 0, 40] }; // prettier-ignore
  expect(tripsAhead(outlook)).toEqual([{ trip: outlook.trips[0], days: [3, 4], lastHome: 1, firstHome: 5 }]);
  // Leaving in the afternoon: that day still has hands.
  const later = { ...outlook, trips: [trip("2026-07-03", "2026-07-05", { leaveAt: "15:00" })], minutesFree: [20, 30, 15, 0, 0, 40] }; // prettier-ignore
  expect(tripsAhead(later)[0]!.lastHome).toBe(2);
  expect(tripsAhead({ ...outlook, trips: [] })).toEqual([]);
});

test("one is back for some days, from the hour of coming home", () => {
  const trips = [trip("2026-06-20", "2026-06-30"), trip("2026-06-01", "2026-06-05")];
  expect(tripJustEnded({ trips, today: "2026-07-01", away: [false] })).toBe(trips[0]);
  expect(tripJustEnded({ trips, today: "2026-06-30", away: [true] })).toBeNull();
  expect(tripJustEnded({ trips, today: "2026-06-30", away: [false] })).toBe(trips[0]);
  expect(tripJustEnded({ trips, today: "2026-07-05", away: [false] })).toBeNull();
});
