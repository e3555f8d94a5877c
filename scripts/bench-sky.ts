import { brier, frostCalls, readSeries, reliability, spanOf, unmeasured, type Call } from "./sky-backtest";

/**
 * Frost calls backtested on a real daily series: npm run bench:sky [FILE.csv]. Forecasts are simulated with a known
 * error; years before the last teach the app their errors and its climatology, the last whole year is called.
 * The last line is one JSON object.
 */
const file = process.argv[2] ?? "node_modules/vega-datasets/data/seattle-weather.csv";
const SEEDS = Array.from({ length: 20 }, (_, n) => (process.env.TUNE ? 1 : 101) + n);
/** A decile counts when it has this many calls. */
const ENOUGH = 200;

function seriesOrEnd() {
  try {
    return readSeries(file);
  } catch (error) {
    console.error(`${file} cannot be used: ${(error as Error).message}`);
    process.exit(1);
  }
}
const series = seriesOrEnd();
console.log(
  `${file}: learnt on ${spanOf(series.learn)}; called ${spanOf(series.test)}; ${SEEDS.length} seeds of forecasts`,
);

function report(name: string, calls: readonly Call[]) {
  const rows = reliability(calls);
  console.log(`\n${name}: ${calls.length} calls, ${calls.filter((c) => c.came).length} frosts`);
  for (const r of rows)
    console.log(`  said ${(100 * r.said).toFixed(1).padStart(5)} %  came ${(100 * r.came).toFixed(1).padStart(5)} %  of ${r.cases}${r.cases < ENOUGH ? " (too few)" : ""}`); // prettier-ignore
  const gap = Math.max(...rows.filter((r) => r.cases >= ENOUGH).map((r) => Math.abs(r.said - r.came)));
  const skill = 1 - brier(calls, (c) => c.odds) / brier(calls, (c) => c.climatology);
  console.log(
    `  widest gap ${(100 * gap).toFixed(1)} points, Brier skill over climatology ${(100 * skill).toFixed(1)} %`,
  );
  return { gap, skill };
}

const measured = SEEDS.flatMap((seed) => frostCalls(series, seed));
const guessed = SEEDS.flatMap((seed) => frostCalls(series, seed, unmeasured));
const ours = report("Errors measured from the archive", measured);
const prior = report("Errors as judged beforehand, nothing measured", guessed);
const nights = new Map(measured.map((c) => [c.night, c.came]));
console.log(
  JSON.stringify({
    reliabilityMaxGap: Number((100 * ours.gap).toFixed(2)),
    frostBrierSkill: Number(ours.skill.toFixed(4)),
    cases: measured.length,
    nights: nights.size,
    frosts: [...nights.values()].filter(Boolean).length,
    unmeasuredMaxGap: Number((100 * prior.gap).toFixed(2)),
    unmeasuredBrierSkill: Number(prior.skill.toFixed(4)),
  }),
);
