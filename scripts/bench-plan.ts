import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { cpus } from "node:os";
import path from "node:path";
import { parseArgs } from "node:util";
import { PlanProblem, SeenPlans, boundAfterEdit, checkPlan, improvingPlan, solvePlan, thoroughBudget, type Plan, type PlanStart } from "~/core/planner"; // prettier-ignore
import { seeded } from "~/core/statistics";
import { gardenInstance } from "../tests/garden-instances";
import { solveWithHighs } from "../tests/highs-milp";
import { planInstance } from "../tests/planner-instances";

/**
 * The planner against HiGHS on the same instances in one run: half of them gardens judged by the core, half made up, or
 * (`--hostile`) made up with all limits tight. Every plan goes through the check. Last line: one JSON object.
 *
 *   --seed N (401: tuning used 1 to 20)   --sizes 12,30,60,120,300   --highs SECONDS (60)   --hostile
 *   --write DIR: the instances as JSON    --read FILE: that one only
 */
const { values: asked } = parseArgs({
  options: {
    seed: { type: "string", default: "401" },
    sizes: { type: "string", default: "12,30,60,120,300" },
    highs: { type: "string", default: "60" },
    hostile: { type: "boolean", default: false },
    write: { type: "string" },
    read: { type: "string" },
  },
});
const COUNTS: Record<number, number> = { 12: 20, 30: 12, 60: 8, 120: 4, 300: 2 };
const DAYS = 14;
/** Edits of each plan: a pick moved to another day and held there. */
const EDITS = 4;
/** A plan as good as long asking finds: what an edited plan is measured against. */
const LONG = 4;

const quantile = (values: readonly number[], share: number) => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
};
const percent = (x: number) => `${(100 * x).toFixed(3)} %`;

function allowed(problem: PlanProblem, plan: Pick<Plan, "picks" | "ways" | "worth">): number {
  const check = checkPlan(problem, plan.picks, plan.ways);
  if (check.status !== "allowed") throw new Error(check.reasons.join("; "));
  if (Math.abs(check.worth - plan.worth) > 1e-6) throw new Error(`worth told ${plan.worth}, is ${check.worth}`);
  return check.worth;
}

/** Asks until so many milliseconds are over: the best plan by then. */
function within(problem: PlanProblem, from: PlanStart, ms: number): Plan {
  const start = performance.now();
  let plan: Plan | undefined;
  for (const better of improvingPlan(
    problem,
    { seed: 3, relaxIterations: 10, boundSplits: 0, repairIterations: 100, cycles: 10_000 },
    from,
  )) {
    // prettier-ignore
    plan = better;
    if (performance.now() - start > ms) break;
  }
  return plan!;
}

/** One pick moved to another day and held there; null where it cannot be. */
function edited(problem: PlanProblem, plan: Plan, random: () => number): PlanProblem | null {
  const picked = problem.tasks.filter((t) => plan.picks[t.id]!.length > 0);
  const task = picked[Math.floor(random() * picked.length)];
  const day = Math.floor(random() * problem.days.length);
  if (!task || plan.picks[task.id]!.includes(day)) return null;
  return { ...problem, tasks: problem.tasks.map((t) => (t === task ? { ...t, pins: [day] } : t)) };
}

interface Sizes {
  gaps: number[];
  told: number[];
  first: number[];
  settled: number[];
  asGood: number[];
  soon: number[];
  later: number[];
  /** Of the bound after an edit: how far above the edited plan it stands, and how long it takes. */
  boundAfter: number[];
  boundMs: number[];
  proved: number;
  below: number;
}

async function measure(problem: PlanProblem, into: Sizes, seed: number): Promise<void> {
  const budget = thoroughBudget(problem.tasks.length);
  const t0 = performance.now();
  const seen = new SeenPlans(problem);
  const run = improvingPlan(problem, budget, undefined, seen);
  let step = run.next();
  const first = performance.now() - t0;
  while (!step.done) step = run.next();
  const settled = performance.now() - t0;
  const plan = step.value;
  const ours = allowed(problem, plan);
  const t1 = performance.now();
  const highs = await solveWithHighs(problem, Number(asked.highs));
  const theirMs = performance.now() - t1;
  const theirs = checkPlan(problem, highs.picks, highs.ways);
  const best = Math.max(ours, theirs.status === "allowed" ? theirs.worth : -Infinity);
  if (plan.upperBound < best - 1e-4 * Math.max(1, Math.abs(best))) into.below++;
  if (highs.status === "Optimal") into.proved++;
  into.gaps.push((best - ours) / Math.max(1e-9, Math.abs(best)));
  into.told.push(plan.gap);
  into.first.push(first);
  into.settled.push(settled);
  if (ours >= best - 1e-6) into.asGood.push(settled / theirMs);
  const random = seeded(seed);
  for (let k = 0; k < EDITS; k++) {
    const changed = edited(problem, plan, random);
    if (!changed) continue;
    try {
      const long = { ...budget, boundSplits: 0, repairIterations: LONG * budget.repairIterations };
      const soon = within(changed, { ...plan, seen }, 16);
      const later = within(changed, { ...plan, seen }, 150);
      const t2 = performance.now();
      const bound = boundAfterEdit(problem, plan, changed);
      into.boundMs.push(performance.now() - t2);
      const reference = Math.max(allowed(changed, solvePlan(changed, long)), allowed(changed, soon), allowed(changed, later)); // prettier-ignore
      if (bound < reference - 1e-6) into.below++;
      into.boundAfter.push((bound - reference) / Math.abs(reference));
      into.soon.push((reference - soon.worth) / Math.abs(reference));
      into.later.push((reference - later.worth) / Math.abs(reference));
    } catch (error) {
      // A pin that nothing can make room for is refused: that is an answer too.
      if (!(error instanceof RangeError)) throw error;
    }
  }
}

function floor(count: number): number {
  const start = performance.now();
  let sum = 0;
  for (let k = 0; k < count; k++) sum += k % 7;
  return sum < 0 ? 0 : performance.now() - start;
}

const rows: Record<string, unknown>[] = [];
const times: { n: number; ms: number }[] = [];
solvePlan(planInstance(1, 30, DAYS), thoroughBudget(30)); // warm the code
const only = asked.read ? [PlanProblem.parse(JSON.parse(readFileSync(asked.read, "utf8")))] : null;
for (const size of only ? [only[0]!.tasks.length] : asked.sizes.split(",").map(Number)) {
  const into: Sizes = { gaps: [], told: [], first: [], settled: [], asGood: [], soon: [], later: [], boundAfter: [], boundMs: [], proved: 0, below: 0 }; // prettier-ignore
  const count = COUNTS[size] ?? 2;
  const problems = only ?? Array.from({ length: count }, (_, k) => {
    const seed = Number(asked.seed) + k;
    return asked.hostile || k % 2 === 1 ? planInstance(seed, size, DAYS, asked.hostile) : gardenInstance(seed, size);
  }); // prettier-ignore
  for (const [k, problem] of problems.entries()) {
    if (asked.write) {
      mkdirSync(asked.write, { recursive: true });
      writeFileSync(
        path.join(asked.write, `${asked.hostile ? "hostile-" : ""}${size}-${k}.json`),
        JSON.stringify(problem),
      );
      continue;
    }
    try {
      await measure(problem, into, k);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      console.log(`${size} plantings, garden ${k}: ${error.message}`);
    }
  }
  if (asked.write) continue;
  const row = {
    plantings: size,
    gardens: into.gaps.length,
    provedByHighs: into.proved,
    optimal: into.gaps.filter((g) => g < 1e-7).length,
    gapMedian: quantile(into.gaps, 0.5),
    gapMax: Math.max(...into.gaps),
    boundMedian: quantile(into.told, 0.5),
    boundP95: quantile(into.told, 0.95),
    boundBelowTruth: into.below,
    firstMs: quantile(into.first, 0.5),
    settledMs: quantile(into.settled, 0.5),
    editGapMedian: [quantile(into.soon, 0.5), quantile(into.later, 0.5)],
    editGapP95: [quantile(into.soon, 0.95), quantile(into.later, 0.95)],
    boundAfterEdit: quantile(into.boundAfter, 0.5),
    boundAfterEditMs: quantile(into.boundMs, 0.5),
    timeToHighs: quantile(into.asGood, 0.5),
    floorMs: floor(thoroughBudget(size).repairIterations * thoroughBudget(size).cycles),
  };
  rows.push(row);
  times.push({ n: size, ms: row.settledMs });
  console.log(`${size} plantings, ${row.gardens} gardens: best known ${row.optimal}, gap median ${percent(row.gapMedian)}, worst ${percent(row.gapMax)}; told median ${percent(row.boundMedian)}, 95th ${percent(row.boundP95)}; first ${row.firstMs.toFixed(0)} ms, settled ${row.settledMs.toFixed(0)} ms; edits after 16 and 150 ms: median ${row.editGapMedian.map(percent).join(", ")}, 95th ${row.editGapP95.map(percent).join(", ")}; bound after an edit ${percent(row.boundAfterEdit)} above, in ${row.boundAfterEditMs.toFixed(2)} ms; HiGHS proved ${row.provedByHighs}`); // prettier-ignore
}
/** How the time grows with the days: the same made-up garden over longer horizons, the exponent fitted by least squares. */
function growthWithDays(): { byDays: Record<string, number>; dayExponent: number } {
  const points = [7, 14, 21, 28].map((days) => {
    const times = [0, 1, 2].map((k) => {
      const problem = planInstance(Number(asked.seed) + k, 30, days);
      const start = performance.now();
      allowed(problem, solvePlan(problem, thoroughBudget(30)));
      return performance.now() - start;
    });
    return { days, ms: quantile(times, 0.5) };
  });
  const [xs, ys] = [points.map((p) => Math.log(p.days)), points.map((p) => Math.log(p.ms))];
  const mean = (values: number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;
  const slope = xs.reduce((sum, x, n) => sum + (x - mean(xs)) * (ys[n]! - mean(ys)), 0) / xs.reduce((sum, x) => sum + (x - mean(xs)) ** 2, 0); // prettier-ignore
  return { byDays: Object.fromEntries(points.map((p) => [p.days, Math.round(p.ms)])), dayExponent: slope };
}

if (!asked.write) {
  const [a, b] = [times[0]!, times.at(-1)!];
  const timeExponent = times.length > 1 ? Math.log(b.ms / a.ms) / Math.log(b.n / a.n) : null;
  const sizes = Object.fromEntries(rows.map(({ plantings, ...row }) => [String(plantings), row]));
  console.log(JSON.stringify({ bench: "plan", node: process.version, cpus: cpus().length, hostile: asked.hostile, seed: Number(asked.seed), highsSeconds: Number(asked.highs), sizes, timeExponent, ...(only ? {} : growthWithDays()), memoryMb: Math.round(process.memoryUsage().rss / 2 ** 20) })); // prettier-ignore
}
