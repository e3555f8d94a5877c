import { cpus } from "node:os";
import { checkPlan, solvePlan } from "~/core/planner";
import { solveWithHighs } from "../tests/highs-milp";
import { planInstance } from "../tests/planner-instances";

/**
 * The planner against HiGHS in one run: gap to the best plan known to either, the bound told, times.
 * Reporting seeds 301 on; tuning used 1 to 20. Last line: one JSON object.
 */
const SIZES = [
  { plantings: 12, days: 14, seeds: 8, highsSeconds: 30 },
  { plantings: 30, days: 14, seeds: 5, highsSeconds: 30 },
] as const;

const quantile = (values: number[], share: number) => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
};
const rows = [];
solvePlan(planInstance(1, 12, 14)); // warm the code
for (const { plantings, days, seeds, highsSeconds } of SIZES) {
  const gaps: number[] = [];
  const bounds: number[] = [];
  const ours: number[] = [];
  const theirs: number[] = [];
  let proved = 0;
  for (let k = 0; k < seeds; k++) {
    const problem = planInstance(301 + k, plantings, days);
    const t0 = performance.now();
    const plan = solvePlan(problem);
    const t1 = performance.now();
    const highs = await solveWithHighs(problem, highsSeconds);
    const t2 = performance.now();
    const check = checkPlan(problem, plan.picks);
    const known = checkPlan(problem, highs.picks);
    if (check.status !== "allowed") throw new Error(check.reasons.join("; "));
    const best = Math.max(check.worth, known.status === "allowed" ? known.worth : -Infinity);
    if (highs.status === "Optimal") proved++;
    gaps.push((best - check.worth) / Math.abs(best));
    bounds.push(plan.gap);
    ours.push(t1 - t0);
    theirs.push(t2 - t1);
  }
  const row = {
    plantings,
    seeds,
    provedByHighs: proved,
    gapMedian: quantile(gaps, 0.5),
    gapWorst: Math.max(...gaps),
    boundMedian: quantile(bounds, 0.5),
    boundWorst: Math.max(...bounds),
    oursMsMedian: quantile(ours, 0.5),
    timeRatioToHighsMedian: quantile(ours.map((o, i) => o / theirs[i]!), 0.5), // prettier-ignore
  };
  rows.push(row);
  console.log(
    `${plantings} plantings, ${seeds} gardens: gap median ${(100 * row.gapMedian).toFixed(3)} %, worst ${(100 * row.gapWorst).toFixed(3)} %; bound told median ${(100 * row.boundMedian).toFixed(2)} %; ${row.oursMsMedian.toFixed(0)} ms; HiGHS proved ${proved}`,
  );
}
console.log(JSON.stringify({ bench: "planner", node: process.version, cpus: cpus().length, sizes: rows }));
