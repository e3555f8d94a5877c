import type { Picks, PlanProblem, Ways } from "./problem";

export type PlanCheck =
  | { status: "allowed"; worth: number; minutesUsed: number[] }
  | { status: "not allowed"; reasons: string[]; broken: PlanLimit[] };

/** What a plan may break: limits of the household, or what a planting itself allows. */
export type PlanLimit = "minutes" | "rounds" | "kitchen" | "fridge" | "curing" | "planting";

/**
 * Is this plan allowed, and what is it worth? Knows the problem only and shares nothing with the solver.
 *
 * @param picks - any plan, ours or another solver's
 * @param ways - the way it takes with a planting, where it does not leave it as it stands
 */
export function checkPlan(problem: PlanProblem, picks: Picks, ways: Ways = {}): PlanCheck {
  const reasons: string[] = [];
  const broken = new Set<PlanLimit>();
  const breaks = (limit: PlanLimit, reason: string) => {
    reasons.push(reason);
    broken.add(limit);
  };
  const horizon = problem.days.length;
  let worth = 0;
  const handwork = new Array<number>(horizon).fill(0);
  const kitchen = new Array<number>(horizon).fill(0);
  const dateOf = problem.days.map((day) => problem.days.indexOf(day));
  const dates = [...new Set(dateOf)];
  const curing = new Array<number>(horizon).fill(0);
  const bedsOn = Array.from({ length: horizon }, () => new Set<string>());
  for (const id of Object.keys(picks))
    if (!problem.tasks.some((t) => t.id === id)) breaks("planting", `${id} is not in the problem`);
  for (const task of problem.tasks) {
    const way = task.ways?.find((w) => w.id === ways[task.id]);
    if (ways[task.id] && !way) breaks("planting", `${task.id} has no way “${ways[task.id]}”`);
    const offer = way ?? task;
    for (const { day, minutes, cost } of way?.acts ?? []) {
      worth -= cost;
      handwork[day]! += minutes;
      bedsOn[day]!.add(task.bedId);
    }
    const days = picks[task.id] ?? [];
    if (!task.repeat && days.length > 1) {
      breaks("planting", `${task.id} is picked ${days.length} times`);
      continue;
    }
    for (const t of task.pins ?? []) if (!days.some((d) => dateOf[d] === dateOf[t])) breaks("planting", `${task.id} is not picked on day ${t}, where it must be`); // prettier-ignore
    let row = 0;
    for (const t of days) {
      if (task.bans?.includes(t)) breaks("planting", `${task.id} is banned on day ${t}`);
      if (!Number.isInteger(t) || t < 0 || t >= horizon || t < row) {
        breaks("planting", `${task.id} is picked on day ${t} after day ${row - 1}`);
        continue;
      }
      if (row > 0 && dateOf[row - 1] === dateOf[t])
        breaks("planting", `${task.id} is picked twice on ${problem.days[t]}`);
      const minutes = offer.minutes[row]![t] ?? null;
      if (minutes === null) breaks("planting", `${task.id} may not be picked on day ${t}`);
      worth += offer.worth[row]![t]!;
      handwork[t]! += minutes ?? 0;
      kitchen[dateOf[t]!]! += offer.kitchen?.[row]?.[t] ?? 0;
      const { area = 0, days: cures = 0 } = task.curing ?? {};
      const from = dates.indexOf(dateOf[t]!);
      for (const date of dates.slice(from, from + cures)) curing[date]! += area;
      bedsOn[t]!.add(task.bedId);
      if (task.repeat) row = t + 1;
      else row = Math.max(row, 1);
    }
    worth += row === 0 ? offer.endWorth[0]! : task.repeat ? offer.endWorth[row]! : 0;
  }
  const minutesUsed = handwork.map((m, t) => {
    const beds = bedsOn[t]!.size;
    if (beds === 0) return 0;
    worth -= problem.roundCost + beds * problem.bedCost;
    const used = m + problem.roundMinutes + beds * problem.bedMinutes;
    if (used > problem.minutesFree[t]! + 1e-6)
      breaks("minutes", `day ${t} takes ${used.toFixed(1)} of ${problem.minutesFree[t]} minutes`);
    return used;
  });
  for (const { from, to, most } of problem.roundLimits ?? []) {
    const rounds = bedsOn.slice(from, to + 1).filter((beds) => beds.size > 0).length;
    if (rounds > most) breaks("rounds", `${rounds} rounds from day ${from} to day ${to}, where ${most} are allowed`);
  }
  const { holds = 0, taken = 0 } = problem.fridge ?? {};
  let waits = taken;
  for (const t of dates) {
    const free = problem.kitchenFree?.[t] ?? Infinity;
    waits = Math.max(0, waits + kitchen[t]! - free);
    if (waits <= holds + 1e-6) continue;
    if (problem.fridge) breaks("fridge", `by the end of day ${t} ${waits.toFixed(1)} kg wait in a fridge of ${holds}`);
    else breaks("kitchen", `day ${t} brings ${kitchen[t]!.toFixed(1)} of ${free} kg to the kitchen`);
    waits = holds;
  }
  curing.forEach((area, t) => {
    const racks = problem.curingFree ?? Infinity;
    const free = typeof racks === "number" ? racks : (racks[t] ?? 0);
    if (area > free + 1e-6) breaks("curing", `day ${t} cures on ${area.toFixed(1)} of ${free} m²`);
  });
  return reasons.length > 0
    ? { status: "not allowed", reasons, broken: [...broken] }
    : { status: "allowed", worth, minutesUsed };
}
