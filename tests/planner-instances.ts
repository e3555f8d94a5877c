import { addDays } from "~/core/calendar";
import type { PlanProblem, PlantingTask, TaskWay } from "~/core/planner";
import { seeded } from "~/core/statistics";

/**
 * Made-up planning problems: one-off and keep-giving plantings with humps of worth, a killing night,
 * days away, scarce minutes; hostile ones have a full kitchen, little space to cure on, bans and pins, weeks of few rounds
 * and covers for the killing night besides, half of them a fridge, half of them days of two rounds. Knows the problem's shape only, nothing of the solver.
 */
export function planInstance(seed: number, plantings: number, horizon: number, hostile = false): PlanProblem {
  const random = seeded(seed);
  const covering = seeded(seed + 0.5);
  const beds = Math.max(2, Math.ceil(plantings / 3));
  const frost = 2 + Math.floor(random() * (horizon - 3));
  const awayFrom = Math.floor(random() * horizon);
  const awayDays = Math.floor(random() * 4);
  const minutesFree = Array.from({ length: horizon }, (_, t) =>
    t >= awayFrom && t < awayFrom + awayDays ? 0 : Math.round(15 + random() * plantings * 2.2),
  );
  const tasks = Array.from({ length: plantings }, (_, i) => {
    const bedId = `bed${Math.floor(random() * beds)}`;
    const value = 0.5 + random() * 6;
    const tender = random() < 0.6;
    // What the killing night leaves: more of it under a cover.
    const aliveUnder = (kept: number) => (t: number) => (tender && t > frost ? kept : 1);
    const offer = random() < 0.5 ? onceOffer(value, horizon, random) : repeatOffer(value, horizon, random);
    const covered = hostile && tender && minutesFree[frost]! > 0 && covering() < 0.5;
    const act = { day: frost, minutes: 1 + 5 * covering(), cost: 0.02 + 0.1 * covering() };
    return {
      id: `p${i}`,
      bedId,
      ...offer(aliveUnder(0.15)),
      ...(covered && { ways: [{ id: "covered", acts: [act], ...offer(aliveUnder(0.6 + 0.35 * covering())) }] }),
    };
  });
  const problem: PlanProblem = {
    days: Array.from({ length: horizon }, (_, t) => addDays("2026-09-01", t)),
    minutesFree,
    roundMinutes: 6,
    roundCost: 0.3,
    bedMinutes: 1.5,
    bedCost: 0.05,
    tasks,
  };
  return hostile
    ? inRounds(withFridge(tightened(problem, random), seeded(seed + 900_000)), seeded(seed + 500_000))
    : problem;
}

/** The same garden, half of them, with a smaller kitchen and a fridge in which some of it may wait. */
function withFridge(problem: PlanProblem, random: () => number): PlanProblem {
  if (random() < 0.5) return problem;
  const kitchenFree = problem.kitchenFree!.map((kg) => 0.5 * kg);
  const holds = 0.4 + 0.12 * problem.tasks.length * random();
  return { ...problem, kitchenFree, fridge: { holds, taken: random() < 0.5 ? 0 : holds * random() } };
}

/** The same garden with the minutes of some days in two rounds; some plantings are for one of them only. */
function inRounds(problem: PlanProblem, random: () => number): PlanProblem {
  if (random() < 0.5) return problem;
  let left = Math.round(problem.days.length / 3);
  const rounds = problem.minutesFree.flatMap((minutes, day) => {
    if (minutes <= 0 || left === 0 || random() < 0.5) return [{ day, minutes, isFirst: true, isSplit: false }];
    const first = { day, minutes: minutes * (0.5 + 0.5 * random()), isFirst: true, isSplit: true };
    left--;
    return [first, { ...first, minutes: 9 + 0.5 * minutes * random(), isFirst: false }];
  });
  const at = (day: number) => rounds.findIndex((r) => r.day === day);
  const last = (day: number) => rounds.findLastIndex((r) => r.day === day);
  const wide = <T>(row: readonly T[]) => rounds.map(({ day }) => row[day]!);
  /** Rows are of the last pick, the first of none yet. */
  const rowsOf = <T,>(table: readonly T[]) => table.length > 1 ? [table[0]!, ...rounds.map(({ day }) => table[day + 1]!)] : [...table]; // prettier-ignore
  const tables = <W extends Omit<TaskWay, "id" | "acts">>({ worth, minutes, endWorth, kitchen }: W) => ({
    worth: rowsOf(worth).map(wide),
    minutes: rowsOf(minutes).map(wide),
    endWorth: rowsOf(endWorth),
    ...(kitchen && { kitchen: rowsOf(kitchen).map(wide) }),
  });
  return {
    ...problem,
    days: wide(problem.days),
    minutesFree: rounds.map((r) => r.minutes),
    ...(problem.kitchenFree && { kitchenFree: wide(problem.kitchenFree) }),
    ...(Array.isArray(problem.curingFree) && { curingFree: wide(problem.curingFree) }),
    ...(problem.roundLimits && {
      roundLimits: problem.roundLimits.map((l) => ({ ...l, from: at(l.from), to: last(l.to) })),
    }),
    tasks: problem.tasks.map((task) => {
      const only = random() < 0.3 ? random() < 0.5 : undefined;
      const shut = rounds.flatMap((r, t) => (r.isSplit && only !== undefined && r.isFirst !== only ? [t] : []));
      const bans = [...rounds.flatMap((r, t) => (task.bans?.includes(r.day) ? [t] : [])), ...shut];
      return {
        ...task,
        ...tables(task),
        ...(task.ways && { ways: task.ways.map((way) => ({ ...way, ...tables(way), acts: way.acts.map((act) => ({ ...act, day: last(act.day) })) })) }), // prettier-ignore
        ...(task.pins && { pins: task.pins.map(at) }),
        ...(bans.length > 0 && { bans }),
      };
    }),
  };
}

/** m² to cure on: the same every day, or less while something lies there. */
const racks = (horizon: number, free: number, random: () => number) => random() < 0.5 ? free : Array.from({ length: horizon }, (_, t) => (t < 3 ? 0.4 * free : free)); // prettier-ignore

type Offer = (alive: (t: number) => number) => Pick<PlantingTask, "repeat" | "worth" | "minutes" | "endWorth">;

function onceOffer(value: number, horizon: number, random: () => number): Offer {
  const peak = random() * (horizon + 4);
  const width = 1.5 + random() * 6;
  const minutes = 1 + random() * 14;
  return (alive) => {
    const hump = (t: number) => value * Math.exp(-(((t - peak) / width) ** 2)) * alive(t);
    return {
      repeat: false,
      worth: [Array.from({ length: horizon }, (_, t) => hump(t) - 0.02 * minutes)],
      minutes: [new Array<number>(horizon).fill(minutes)],
      endWorth: [0.9 * Math.max(...Array.from({ length: 6 }, (_, k) => hump(horizon + k)))],
    };
  };
}

function repeatOffer(value: number, horizon: number, random: () => number): Offer {
  const rate = value / 4;
  const life = 1 + random() * 4;
  const backlog = Math.floor(random() * 4);
  const soonest = 1 + Math.floor(random() * 2);
  const rows = Array.from({ length: horizon + 1 }, (_, row) => (row === 0 ? -backlog : row));
  return (alive) => {
    const gather = (from: number, to: number) => {
      let worth = 0;
      for (let d = from; d <= to; d++)
        worth += rate * Math.max(0, Math.min(1, 2 - (to - d) / life)) - (to - d > 2 * life ? 0.3 * rate : 0);
      return worth * alive(to);
    };
    return {
      repeat: true,
      worth: rows.map((from) => Array.from({ length: horizon }, (_, t) => (t < from ? 0 : gather(from, t)))),
      minutes: rows.map((from, row) =>
        Array.from({ length: horizon }, (_, t) =>
          row > 0 && t - (row - 1) < soonest ? null : 1 + 0.8 * rate * Math.max(1, t - from + 1),
        ),
      ),
      endWorth: rows.map((from) => 0.6 * gather(from, horizon - 1)),
    };
  };
}

/** A limit on the rounds of each week. */
const weeks = (horizon: number, most: number) => [...Array(Math.ceil(horizon / 7)).keys()].map((w) => ({ from: 7 * w, to: Math.min(horizon, 7 * w + 7) - 1, most })); // prettier-ignore

const kitchenOf = (worth: number[][]) => worth.map((row) => row.map((w) => 0.6 * Math.max(0, w)));

/** The same garden with all limits tight. */
function tightened(problem: PlanProblem, random: () => number): PlanProblem {
  const H = problem.days.length;
  const open = [...problem.days.keys()].filter((t) => problem.minutesFree[t]! > 20);
  return {
    ...problem,
    minutesFree: problem.minutesFree.map((m) => 0.8 * m),
    kitchenFree: problem.days.map(() => 1 + random() * problem.tasks.length * 0.35),
    curingFree: racks(H, 0.5 + problem.tasks.length * 0.06, random),
    ...(random() < 0.5 && { roundLimits: weeks(H, 1 + Math.floor(random() * 3)) }),
    tasks: problem.tasks.map((task) => {
      const perishable = random() < 0.5;
      const days = 5 + Math.floor(random() * 6);
      const cured = !task.repeat && random() < 0.4;
      return {
        ...task,
        ...(perishable && { kitchen: kitchenOf(task.worth) }),
        ...(perishable && task.ways && { ways: task.ways.map((way) => ({ ...way, kitchen: kitchenOf(way.worth) })) }),
        ...(cured && { curing: { area: 0.2 + random() * 0.8, days } }),
        ...(random() < 0.2 && { bans: [Math.floor(random() * H)] }),
        // A pin of its own bed and minutes would be refused where it does not fit: few, on open days.
        ...(!cured && random() < 0.04 && open.length > 0 && { pins: [open[Math.floor(random() * open.length)]!] }),
      };
    }),
  };
}
