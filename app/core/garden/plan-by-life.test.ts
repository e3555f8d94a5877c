import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import { checkPlan, solvePlan } from "../planner";
import { GardenState, lookAhead, plannedPicks, plantingOfTask, seasonLife, type PlantingState } from ".";
import { yearConflicts } from "../../../scripts/year-walk";

const today = "2026-08-10";

function garden(cropId: string, more: Partial<PlantingState>, minutes = 60): GardenState {
  return GardenState.parse({
    today,
    latitude: 52,
    longitude: 0,
    beds: [{ id: "bed", name: "bed", kind: "open", position: 0 }],
    plantings: [{ id: "one", bedId: "bed", cropId, variety: "", plants: 10, startEvent: "sown", startedOn: "2026-05-01", packet: null, looks: [], picks: [], schoolOption: null, ...more }], // prettier-ignore
    observed: [],
    forecast: [],
    minutesByWeekday: Array.from({ length: 7 }, () => minutes),
    exceptions: [],
    busy: [],
    trips: [],
    helpers: [],
  });
}

/** A look with the reading that says ready, of the first cue that has one. */
function ready(cropId: string, means = "ready") {
  const cue = catalogue().find((c) => c.id === cropId)!.cues.find((c) => !c.auto && c.weight !== "weak" && c.readings.some((r) => r.means === means))!; // prettier-ignore
  return [{ cueId: cue.id, readingId: cue.readings.find((r) => r.means === means)!.id, takenOn: today }];
}

function planned(state: GardenState) {
  const outlook = lookAhead(state, catalogue());
  const plan = solvePlan(outlook.problem);
  expect(checkPlan(outlook.problem, plan.picks).status).toBe("allowed");
  const p = outlook.plantings[0]!;
  return { outlook, p, picks: plannedPicks(p, plan.picks) };
}

test("carrots are dug as needed: a meal at a time, not the row in one go", () => {
  const { picks } = planned(garden("carrot", { plants: 200, startedOn: "2026-05-12", looks: ready("carrot") }));
  expect(picks.length).toBeGreaterThanOrEqual(2);
  for (const pick of picks) expect(pick.pieces).toBeLessThan(20);
});

test("five hundred carrots past their best are lifted in as many parts as the days' minutes take", () => {
  const { picks, p } = planned(
    garden("carrot", { plants: 500, startedOn: "2026-02-20", looks: ready("carrot", "past") }, 40),
  );
  expect(p.parts.length).toBeGreaterThan(1);
  expect(new Set(p.parts.map((part) => plantingOfTask(part.task.id)))).toEqual(new Set(["one"]));
  expect(picks.length).toBeGreaterThan(1);
  expect(picks.reduce((sum, x) => sum + x.pieces, 0)).toBeGreaterThan(300);
});

test("two blueberry bushes at forty minutes a day are picked in passes, none too big for the day", () => {
  const state = garden("blueberry", { plants: 2, startEvent: "blossom", startedOn: "2026-05-10", growingYear: 8, looks: ready("blueberry") }, 40); // prettier-ignore
  const { picks, p } = planned(state);
  expect(picks.length).toBeGreaterThan(1);
  for (const pick of picks) expect(pick.minutes).toBeLessThanOrEqual(40);
  const all = picks.reduce((sum, x) => sum + x.pieces, 0);
  expect(all).toBeLessThanOrEqual(1.5 * 2 * p.crop.piecesPerPlant.value);
});

test("heads come in stages: fewer of the lettuces are there today than by the end of the week", () => {
  const { p } = planned(garden("lettuce_heading", { plants: 12, startedOn: "2026-06-18", looks: ready("lettuce_heading") })); // prettier-ignore
  expect(p.parts[0]!.task.repeat).toBe(true);
  expect(p.pieces[0]!).toBeLessThan(p.pieces[5]!);
  expect(p.pieces[5]!).toBeLessThanOrEqual(12);
});

test("what the verdict leaves is not picked, and its plan starts no sooner than the day it says to look again", () => {
  for (const c of catalogue()) {
    const startEvent = c.packet.from === "planted" ? "planted" : c.packet.from;
    const { picks, p } = planned(garden(c.id, { startEvent, startedOn: addDays(today, -Math.round(c.packet.low * 0.5)), growingYear: 8 })); // prettier-ignore
    const { kind, because, lookAgain } = p.judgement.verdict;
    if (!["leave", "look again", "hold"].includes(kind) || (because.why === "nearly" && because.thin)) continue;
    for (const pick of picks) expect(addDays(today, pick.day) >= lookAgain!, `${c.id} ${kind}`).toBe(true);
  }
});

test("peas of April asked about in late August: is it over? And nothing is planned of them", () => {
  const picks = ["2026-06-25", "2026-06-28", "2026-07-01"].map((pickedOn) => ({ pickedOn, pieces: 60, tookAll: true }));
  const { p, picks: plan } = planned({ ...garden("pea_shelling", { startedOn: "2026-04-10", plants: 60, picks }), today: "2026-08-25" }); // prettier-ignore
  expect(p.judgement.verdict.because).toMatchObject({ why: "may be over", picked: true });
  expect(p.ended).toBeGreaterThan(0.9);
  expect(plan).toEqual([]);
});

test("beans picked every third day are not over, however long they have borne", () => {
  const picks = Array.from({ length: 16 }, (_, n) => ({
    pickedOn: addDays(today, -3 * n - 1),
    pieces: 40,
    tookAll: true,
  }));
  const { p } = planned(garden("bean_bush", { startedOn: "2026-04-25", plants: 30, picks }));
  expect(p.judgement.verdict.because.why).not.toBe("may be over");
  expect(p.rate!.seen).toBeGreaterThan(8);
});

test("picks teach at once: a bed that gives twice is expected to, with less doubt", () => {
  const pickedEvery3 = (pieces: number) => Array.from({ length: 4 }, (_, n) => ({ pickedOn: addDays(today, -3 * n - 2), pieces, tookAll: true })); // prettier-ignore
  const of = (pieces: number) => planned(garden("bean_bush", { startedOn: "2026-05-25", plants: 30, picks: pickedEvery3(pieces) })).p; // prettier-ignore
  const [poor, rich] = [of(60), of(240)];
  expect(rich.pieces[1]!).toBeGreaterThan(2 * poor.pieces[1]!);
  const unseen = planned(garden("bean_bush", { startedOn: "2026-05-25", plants: 30 })).p;
  expect(rich.doubt).toBeLessThan(unseen.doubt);
});

test("young plants give nothing, a bush in its third year less than a grown one", () => {
  const of = (growingYear: number) => planned(garden("currant_red", { plants: 1, startEvent: "blossom", startedOn: "2026-04-20", growingYear, looks: ready("currant_red") })).p; // prettier-ignore
  expect(of(1).judgement.verdict.because.why).toBe("too young");
  expect(Math.max(...of(3).pieces)).toBeLessThan(Math.max(...of(8).pieces));
});

test("a season is told from its start to its end, with what is expected of the whole", () => {
  const { outlook, p } = planned(
    garden("courgette", { startedOn: "2026-05-20", plants: 3, looks: ready("courgette") }),
  );
  const life = seasonLife(p, outlook);
  expect(life.pickedFirstOn).toBeNull();
  expect(life.opens!.p10! <= life.opens!.p90!).toBe(true);
  expect(life.ends!.p10 <= life.ends!.p50 && life.ends!.p50 <= life.ends!.p90).toBe(true);
  expect(life.pieces.low).toBeLessThan(life.pieces.high);
});

test("a look older than the start that was told since, and a start months ahead, stop neither plan nor life", () => {
  const old = planned(garden("courgette", { startedOn: addDays(today, -8), looks: [{ ...ready("courgette")[0]!, takenOn: addDays(today, -70) }] })); // prettier-ignore
  expect(seasonLife(old.p, old.outlook).startedOn).toBe(addDays(today, -8));
  const ahead = planned(garden("rhubarb", { startEvent: "growth", startedOn: addDays(today, 200), growingYear: 4 }));
  expect(ahead.picks).toEqual([]);
  expect(seasonLife(ahead.p, ahead.outlook).weather).toEqual([]);
});

test("a garden walked through a year with nobody looking: no pick of what the verdict leaves, no unripe lift", () => {
  const walked = yearConflicts(1);
  expect(walked).toMatchObject({ gardens: 1, days: 365, lifts: 0, conflicts: [] });
}, 120_000);
