import highsLoader from "highs";
import type { Picks, PlanProblem, Ways } from "~/core/planner";

/** The planning problem written out as a mixed-integer program in LP format, for an outside solver. */
export function milpOf(problem: PlanProblem): string {
  const H = problem.days.length;
  const objective: string[] = [];
  const flows: string[] = [];
  const minutes = problem.days.map((): string[] => []);
  const kitchen = problem.days.map((): string[] => []);
  const curing = problem.days.map((): string[] => []);
  const links: string[] = [];
  const binaries: string[] = [];
  const term = (value: number, name: string) => `${value < 0 ? "-" : "+"} ${Math.abs(value).toFixed(9)} ${name}`;
  // Rounds of one date share kitchen and racks: what they take is told on its first.
  const firstOf = problem.days.map((day) => problem.days.indexOf(day));
  const dates = [...new Set(firstOf)];
  const bedIds = [...new Set(problem.tasks.map((t) => t.bedId))];
  problem.tasks.forEach((task, i) => {
    const bed = bedIds.indexOf(task.bedId);
    const picksOn = Array.from({ length: H }, (): string[] => []);
    const begin: string[] = [];
    [{ ...task, acts: [] }, ...(task.ways ?? [])].forEach((way, w) => {
      const into = Array.from({ length: H + 1 }, (): string[] => []);
      const outOf = Array.from({ length: H + 1 }, (): string[] => []);
      const rows = task.repeat ? H + 1 : 1;
      for (let row = 0; row < rows; row++) {
        for (let t = row; t < H; t++) {
          const m = way.minutes[row]![t] ?? null;
          if (m === null || problem.minutesFree[t] === 0 || task.bans?.includes(t)) continue;
          if (row > 0 && firstOf[row - 1] === firstOf[t]) continue;
          // An arc that jumps over a pin is none.
          if (task.pins?.some((p) => (task.repeat ? firstOf[p]! >= row && firstOf[p]! < firstOf[t]! : firstOf[p] !== firstOf[t]))) continue; // prettier-ignore
          const x = `x_${i}_${w}_${row}_${t}`;
          binaries.push(x);
          outOf[row]!.push(x);
          if (task.repeat) into[t + 1]!.push(x);
          picksOn[t]!.push(x);
          objective.push(term(way.worth[row]![t]!, x));
          minutes[t]!.push(term(m, x));
          const kg = way.kitchen?.[row]?.[t] ?? 0;
          if (kg > 0) kitchen[firstOf[t]!]!.push(term(kg, x));
          const from = dates.indexOf(firstOf[t]!);
          if (task.curing)
            for (const d of dates.slice(from, from + task.curing.days)) curing[d]!.push(term(task.curing.area, x));
        }
        if (task.pins?.some((p) => firstOf[p]! >= row)) continue;
        const end = `e_${i}_${w}_${row}`;
        binaries.push(end);
        outOf[row]!.push(end);
        objective.push(term(way.endWorth[row]!, end));
      }
      // Whoever begins in a way pays its acts.
      begin.push(...outOf[0]!);
      const taken = `w_${i}_${w}`;
      if (way.acts.length > 0 && outOf[0]!.length > 0) {
        flows.push(`${outOf[0]!.join(" + ")} - ${taken} = 0`);
        binaries.push(taken);
        objective.push(term(-way.acts.reduce((sum, act) => sum + act.cost, 0), taken));
        for (const act of way.acts) {
          minutes[act.day]!.push(term(act.minutes, taken));
          links.push(`${taken} - z_${bed}_${act.day} <= 0`);
        }
      }
      for (let row = 1; row < rows; row++)
        if (outOf[row]!.length + into[row]!.length > 0)
          flows.push([outOf[row]!.join(" + "), ...into[row]!.map((x) => `- ${x}`)].join(" ") + " = 0");
    });
    flows.push(`${begin.join(" + ")} = 1`);
    picksOn.forEach((xs, t) => xs.length && links.push(`${xs.join(" + ")} - z_${bed}_${t} <= 0`));
  });
  const used = new Set(links.flatMap((l) => [...l.matchAll(/z_\d+_\d+/g)].map((m) => m[0])));
  for (const z of used) {
    const t = Number(z.split("_")[2]);
    objective.push(term(-problem.bedCost, z));
    minutes[t]!.push(term(problem.bedMinutes, z));
    links.push(`${z} - y_${t} <= 0`);
    binaries.push(z);
  }
  const capacity = minutes.flatMap((terms, t) => {
    if (terms.length === 0) return [];
    objective.push(term(-problem.roundCost, `y_${t}`));
    binaries.push(`y_${t}`);
    return [`${terms.join(" ")} ${term(problem.roundMinutes - problem.minutesFree[t]!, `y_${t}`)} <= 0`];
  });
  const opened = new Set(binaries.filter((name) => name.startsWith("y_")));
  const rounds = (problem.roundLimits ?? []).flatMap(({ from, to, most }) => {
    const ys = Array.from({ length: to - from + 1 }, (_, k) => `y_${from + k}`).filter((y) => opened.has(y));
    return ys.length > 0 ? [`${ys.join(" + ")} <= ${most}`] : [];
  });
  const stores = [
    ...rounds,
    ...dates.flatMap((t, n) => kitchenRow(problem, kitchen[t]!, t, n > 0 ? dates[n - 1]! : null)),
    ...curing.flatMap((terms, t) => problem.curingFree !== undefined && terms.length > 0 ? [`${terms.join(" ")} <= ${[problem.curingFree].flat()[Array.isArray(problem.curingFree) ? t : 0]}`] : []),
  ]; // prettier-ignore
  const wrap = (lines: string[]) =>
    lines.map((line, k) => ` c${k}: ${line.replace(/(.{180}\S*) /g, "$1\n   ")}`).join("\n");
  return `Maximize\n obj: ${objective.join("\n   ")}\nSubject To\n${wrap([...flows, ...capacity, ...stores, ...links])}\nBounds\n ${dates.map((t) => `0 <= f_${t} <= ${problem.fridge?.holds ?? 0}`).join("\n ")}\nBinary\n ${[...new Set(binaries)].join("\n ")}\nEnd\n`;
}

/** What comes on a date and what waited before it is dealt with or waits on. */
function kitchenRow({ kitchenFree, fridge }: PlanProblem, comes: string[], t: number, before: number | null): string[] {
  if (!kitchenFree) return [];
  const waited = before === null ? "" : `+ f_${before} `;
  const free = kitchenFree[t]! - (before === null ? (fridge?.taken ?? 0) : 0);
  return [`${comes.join(" ")} ${waited}- f_${t} <= ${free}`];
}

export interface Proved {
  status: string;
  worth: number;
  picks: Picks;
  ways: Ways;
}

/** Solves a planning problem with HiGHS (MIT, registry package `highs`). */
export async function solveWithHighs(problem: PlanProblem, seconds: number): Promise<Proved> {
  const highs = await highsLoader();
  const solution = highs.solve(milpOf(problem), { time_limit: seconds, mip_rel_gap: 0, mip_abs_gap: 1e-7 });
  const picks: Picks = Object.fromEntries(problem.tasks.map((t) => [t.id, [] as number[]]));
  const ways: Ways = {};
  for (const [name, column] of Object.entries(solution.Columns)) {
    const arc = /^[xe]_(\d+)_(\d+)_\d+(?:_(\d+))?$/.exec(name);
    if (!arc || !("Primal" in column) || (column.Primal ?? 0) <= 0.5) continue;
    const task = problem.tasks[Number(arc[1])]!;
    if (arc[3] !== undefined) picks[task.id]!.push(Number(arc[3]));
    if (arc[2] !== "0") ways[task.id] = task.ways![Number(arc[2]) - 1]!.id;
  }
  for (const days of Object.values(picks)) days.sort((a, b) => a - b);
  return { status: solution.Status, worth: solution.ObjectiveValue, picks, ways };
}
