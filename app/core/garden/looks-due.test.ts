import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { solvePlan } from "../planner";
import { lookKey, lookRestsUntil } from "./look-rests";
import { GardenState, isLookTask, lookAhead, lookTaskId, type PlantingState } from ".";

const today = "2026-07-10";

function garden(startedOn: string, more: Partial<PlantingState> = {}, minutes = 40): GardenState {
  return GardenState.parse({
    today,
    latitude: 50,
    longitude: 0,
    beds: [{ id: "bed", name: "bed", kind: "open", position: 0 }],
    plantings: [{ id: "one", bedId: "bed", cropId: "cauliflower", variety: "", plants: 20, startEvent: "planted", startedOn, packet: { low: 60, high: 85 }, looks: [], picks: [], schoolOption: null, ...more }], // prettier-ignore
    observed: [],
    forecast: [],
    minutesByWeekday: Array.from({ length: 7 }, () => minutes),
    trips: [],
  });
}
const lookOf = (state: GardenState) => {
  const { problem, plantings } = lookAhead(state, catalogue());
  return { look: problem.tasks.find((t) => isLookTask(t.id)), p: plantings[0]!, problem };
};

test("what may be ready before anybody has looked wants a look, and the verdict says the same day", () => {
  const days = Array.from({ length: 30 }, (_, n) => lookOf(garden(addDays(today, -(45 + n)))));
  const first = days.findIndex((d) => d.look);
  expect(first).toBeGreaterThanOrEqual(0);
  const { look, p, problem } = days[first]!;
  expect(look!.id).toBe(lookTaskId("one"));
  // It is asked for before the odds call it ready.
  expect(["leave", "look again"]).toContain(p.judgement.verdict.kind);
  const open = look!.minutes[0]!.findIndex((m) => m !== null);
  expect(p.judgement.verdict.lookAgain! <= problem.days[open]!).toBe(true);
  expect(solvePlan(problem).picks[look!.id]!.length).toBe(1);
});

test("nothing is looked at that is far from ready, nor twice a day, nor of what may not be touched", () => {
  expect(lookOf(garden(addDays(today, -10))).look).toBeUndefined();
  const asked = Array.from({ length: 30 }, (_, n) => addDays(today, -(45 + n))).find((d) => lookOf(garden(d)).look)!;
  const looks = [{ cueId: "curd_tight", readingId: catalogue().find((c) => c.id === "cauliflower")!.cues.find((c) => c.id === "curd_tight")!.readings.find((r) => r.means === "early" || r.means === "nearly")!.id, takenOn: today }]; // prettier-ignore
  expect(lookOf(garden(asked, { looks })).look).toBeUndefined();
  const treatments = [{ product: "soap", treatedOn: today, intervalDays: 20 }];
  const banned = lookOf(garden(asked, { treatments } as Partial<PlantingState>)).look;
  expect(banned).toBeUndefined();
});

test("a look is worth more the more hangs on it", () => {
  const asked = Array.from({ length: 30 }, (_, n) => addDays(today, -(45 + n))).find((d) => lookOf(garden(d)).look)!;
  const [few, many] = [20, 60].map((plants) => Math.max(...lookOf(garden(asked, { plants })).look!.worth[0]!));
  expect(many!).toBeGreaterThan(few!);
});

test("what was seen ready and never picked still hangs, however often it is looked at", () => {
  const of = (looks: PlantingState["looks"]) =>
    lookAhead(
      GardenState.parse({
        ...garden("2026-04-20"),
        plantings: [{ ...garden("2026-04-20").plantings[0]!, cropId: "chard", startEvent: "sown", packet: { low: 50, high: 60 }, looks }], // prettier-ignore
      }),
      catalogue(),
    ).plantings[0]!.pieces[0]!;
  const ready = (ago: number) => ({ cueId: "leaf_length", readingId: catalogue().find((c) => c.id === "chard")!.cues.find((c) => c.id === "leaf_length")!.readings.find((r) => r.means === "ready")!.id, takenOn: addDays(today, -ago) }); // prettier-ignore
  expect(of([ready(10), ready(5), ready(0)])).toBeGreaterThan(1.5 * of([ready(0)]));
});

test("a look that was made without news, or left out, rests as long as the crop’s rhythm; the verdict says when again", () => {
  const asked = Array.from({ length: 30 }, (_, n) => addDays(today, -(45 + n))).find((d) => lookOf(garden(d)).look)!;
  const state = garden(asked);
  for (const isSkipped of [false, true]) {
    const actMarks = [{ key: lookKey(state.plantings[0]!), day: today, isSkipped }];
    const { look, p } = lookOf({ ...state, actMarks });
    const until = lookRestsUntil(p.crop, p.planting, actMarks)!;
    expect(until).toBe(addDays(today, Math.max(1, Math.round(p.crop.again?.low ?? 3))));
    expect(p.judgement.verdict.lookAgain! >= until).toBe(true);
    expect((look?.minutes[0] ?? []).every((m, n) => m === null || addDays(today, n) >= until)).toBe(true);
  }
});

test("what is seen after the tick, and what was said of another season, does not rest", () => {
  const { crop, planting } = lookOf(garden(addDays(today, -50))).p;
  const mark = { key: lookKey(planting), day: addDays(today, -1), isSkipped: true };
  expect(lookRestsUntil(crop, planting, [mark])).not.toBeNull();
  const looks = [{ cueId: "curd_tight", readingId: crop.cues.find((c) => c.id === "curd_tight")!.readings[0]!.id, takenOn: today }]; // prettier-ignore
  expect(lookRestsUntil(crop, { ...planting, looks }, [mark])).toBeNull();
  expect(lookRestsUntil(crop, { ...planting, seasonId: "the next" }, [mark])).toBeNull();
});
