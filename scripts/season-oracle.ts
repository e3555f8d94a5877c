import { BED_MINUTES, ROUND_MINUTES } from "~/core/garden";
import { minutesFor } from "~/core/garden/pick-effort";
import { EFFORT_PER_MINUTE, ERRAND_MINUTES, planProblem } from "~/core/garden/plan-problem";
import { SUPPRESSES } from "~/core/practice";
import { solvePlan, type PlanProblem, type PlantingTask } from "~/core/planner";
import type { SeasonGarden } from "./season-garden";
import { SeasonWalk, type SeasonBrought } from "./season-walk";

/** A lift too big for a day's hands goes in so many parts at most, each at most this share of a usual day. */
const MOST_PARTS = 6;
const PART_OF_A_DAY = 0.6;

/**
 * What the planner is asked by one who knows the weather and the plants: the worth of every pick as it would really be.
 *
 * @param from - day of the season with which it begins
 * @param days - how many it reaches over
 * @param endShare - share of its worth that what is left after them counts for
 */
export function trueProblem(walk: SeasonWalk, from: number, days: number, endShare: number): PlanProblem {
  const { garden } = walk;
  const horizon = Math.min(days, garden.days.length - from);
  const minutes = garden.minutes.slice(from, from + horizon);
  const tasks = garden.plantings.flatMap((_, n) => tasksOf(walk, n, from, minutes, endShare));
  return planProblem(garden.days.slice(from, from + horizon), minutes, tasks);
}

function tasksOf(walk: SeasonWalk, n: number, from: number, minutes: number[], endShare: number): PlantingTask[] {
  const { crop, bed, id } = walk.garden.plantings[n]!;
  const stand = walk.stands[n]!;
  const H = minutes.length;
  const start = walk.garden.plantings[n]!.startedOn;
  const first = stand.at(walk.garden.days[from]!);
  const kg = (crop.pieceGrams.value * crop.worthPerKg.value) / 1000;
  const room = minutes.map((m) => Math.max(0, (m - ROUND_MINUTES - BED_MINUTES - ERRAND_MINUTES) * crop.piecesPerMinute.value)); // prettier-ignore
  if (first + H <= 0 || start > walk.garden.days[from + H - 1]!) return [];
  // What the weather leaves of what hangs, and of the plants, from day to day.
  const keeps = new Float64Array(H + 1).fill(1);
  const lives = new Float64Array(H + 1).fill(1);
  for (let t = 0; t < H; t++) {
    const i = first + t;
    const { shares, plants } = i >= 0 ? stand.losses(i) : { shares: [], plants: 0 };
    keeps[t + 1] = keeps[t]! * shares.reduce((k, [, s]) => k * (1 - s), 1);
    lives[t + 1] = lives[t]! * (1 - plants);
  }
  if (stand.asOne) {
    const all = stand.hanging(first);
    if (all < 0.5) return [];
    const usual = [...room].filter((r) => r > 0).sort((a, b) => a - b)[room.filter((r) => r > 0).length >> 1] ?? 1;
    const parts = Math.min(MOST_PARTS, Math.max(1, Math.ceil(all / (PART_OF_A_DAY * usual))));
    const each = all / parts;
    const ready = stand.standing.findIndex((s) => s > 0);
    const worth = minutes.map((_, t) => (first + t < 0 ? 0 : each * keeps[t]! * stand.quality(ready, first + t) * kg));
    const need = minutesFor(crop, each);
    return Array.from({ length: parts }, (_, k) => ({
      id: `${id}#${k}`,
      bedId: `b${bed}`,
      repeat: false,
      worth: [worth.map((w, t) => w * Math.min(1, room[t]! / each) - EFFORT_PER_MINUTE * need)],
      minutes: [worth.map((w, t) => (first + t < 0 || w <= 0 || room[t]! < Math.min(1, each) ? null : minutesFor(crop, Math.min(each, room[t]!))))], // prettier-ignore
      endWorth: [endShare * Math.max(0, worth.at(-1)! - EFFORT_PER_MINUTE * need)],
    }));
  }
  const suppresses = SUPPRESSES[crop.suppressesWhenLeft.value];
  const cell = (row: number, t: number): { pieces: number; worth: number } => {
    let [pieces, worth, over] = [0, 0, 0];
    if (first + t < 0) return { pieces, worth };
    for (let d = row === 0 ? 0 : Math.max(0, first + row); d <= first + t; d++) {
      const there = stand.standing[d]!;
      if (there <= 0) continue;
      const born = Math.max(0, d - first);
      const sound = there * (lives[born] ?? 1) * (keeps[t]! / Math.max(1e-9, keeps[born]!));
      const quality = stand.quality(d, first + t);
      if (quality <= 0.5 || stand.isOverHalf(d, first + t)) over += there;
      if (quality <= 0) continue;
      pieces += sound;
      worth += sound * quality;
    }
    return { pieces, worth: (worth - suppresses * over) * kg };
  };
  const rows = Array.from({ length: H + 1 }, (_, row) => minutes.map((_, t) => (t < row ? { pieces: 0, worth: 0 } : cell(row, t)))); // prettier-ignore
  if (!rows.some((r) => r.some((c) => c.pieces >= 0.5))) return [];
  const fit = (c: { pieces: number }, t: number) => (c.pieces > 0 ? Math.min(1, room[t]! / c.pieces) : 1);
  return [
    {
      id: `${id}#0`,
      bedId: `b${bed}`,
      repeat: true,
      worth: rows.map((r) => r.map((c, t) => c.worth * fit(c, t) - EFFORT_PER_MINUTE * minutesFor(crop, c.pieces * fit(c, t)))), // prettier-ignore
      minutes: rows.map((r) => r.map((c, t) => (c.pieces < 0.5 || room[t]! < 1 ? null : minutesFor(crop, c.pieces * fit(c, t))))), // prettier-ignore
      endWorth: rows.map((r) => endShare * Math.max(0, r.at(-1)!.worth - EFFORT_PER_MINUTE * minutesFor(crop, r.at(-1)!.pieces))), // prettier-ignore
    },
  ];
}

/** Takes what a plan of true worths has for its day `t`. */
export function takePlanned(walk: SeasonWalk, picks: Record<string, number[]>, t: number): void {
  const { plantings } = walk.garden;
  const today = plantings
    .map((p, n) => ({
      n,
      bed: p.bed,
      parts: Object.entries(picks).filter(([id, days]) => id.split("#")[0] === p.id && days.includes(t)).length,
      of: Object.keys(picks).filter((id) => id.split("#")[0] === p.id && picks[id]!.some((d) => d >= t)).length,
    })) // prettier-ignore
    .filter((c) => c.parts > 0)
    .sort((a, b) => a.bed - b.bed);
  for (const { n, parts, of } of today) {
    const stand = walk.stands[n]!;
    const there = stand.hanging(walk.ageOf(n));
    walk.take(n, stand.asOne ? Math.ceil((there * parts) / of) : Infinity);
  }
}

/** The whole season planned at once by one who knows it all. */
export function walkKnowing(garden: SeasonGarden): SeasonBrought & { upperBound: number } {
  const walk = new SeasonWalk(garden);
  walk.dawn(0);
  const problem = trueProblem(walk, 0, garden.days.length, 0);
  const plan = solvePlan(problem, { seed: 1, relaxIterations: 80, boundSplits: 0, repairIterations: 400, cycles: 3 });
  for (let at = 0; at < garden.days.length; at++) {
    walk.dawn(at);
    takePlanned(walk, plan.picks, at);
    walk.dusk();
  }
  return { ...walk.brought(), upperBound: plan.upperBound };
}

/** The same, planned each morning as far as the app looks ahead: what a longer view would add is the difference. */
export function walkRolling(garden: SeasonGarden, days: number): SeasonBrought {
  const walk = new SeasonWalk(garden);
  for (let at = 0; at < garden.days.length; at++) {
    walk.dawn(at);
    if (walk.left > 0) {
      const problem = trueProblem(walk, at, days, 0.9);
      if (problem.tasks.length > 0) takePlanned(walk, solvePlan(problem, { seed: 1, relaxIterations: 100, boundSplits: 0, repairIterations: 500, cycles: 2 }).picks, 0); // prettier-ignore
    }
    walk.dusk();
  }
  return walk.brought();
}
