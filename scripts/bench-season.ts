import { fork } from "node:child_process";
import { availableParallelism } from "node:os";
import { readSeries } from "./sky-backtest";
import { seasonGarden, seasonPlace } from "./season-garden";
import { walkKnowing, walkRolling } from "./season-oracle";
import { walkOurs } from "./season-ours";
import { SIMPLE, walkSimply } from "./season-simple";
import type { SeasonBrought } from "./season-walk";

/**
 * Whole seasons of made-up gardens under real weather, day by day, with this app's own judgement and plan in the loop,
 * against rules of thumb and against one who knows weather and plants. The years of the file before its last whole one
 * are the record, the last is walked. Usage: npm run bench:season [-- FILE.csv --gardens 30 --seed 301 --size 18
 * --hands 1 --latitude 47.6 --why]. With --why parts of the app are
 * replaced by the truth in turn; with --trace every look and pick is told. Tuning used seeds 1 to 10. The last line is one JSON object.
 */
const LOOKS_AHEAD = 14;
const option = (name: string, usual: number) => {
  const at = process.argv.indexOf(`--${name}`);
  const value = at < 0 ? usual : Number(process.argv[at + 1]);
  if (!Number.isFinite(value)) end(`--${name} wants a number.`);
  return value;
};
const file = process.argv.slice(2).find((a) => a.endsWith(".csv")) ?? "node_modules/vega-datasets/data/seattle-weather.csv"; // prettier-ignore
const gardens = option("gardens", 30);
const first = option("seed", 301);
const size = option("size", 18);
const latitude = option("latitude", 47.6);
const hands = option("hands", 1);
const trace = process.argv.includes("--trace");
const why = process.argv.includes("--why");

function end(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

/** One garden walked by everybody: what each brought in, and what was to be had. */
interface Walked {
  seed: number;
  grown: number;
  brought: Record<string, SeasonBrought>;
}

function walkAll(seed: number, place: ReturnType<typeof seasonPlace>): Walked {
  const garden = seasonGarden(place, seed, size, hands);
  const kgOf = (n: number) => (garden.plantings[n]!.crop.pieceGrams.value * garden.plantings[n]!.crop.worthPerKg.value) / 1000; // prettier-ignore
  const grown = garden.plantings.reduce(
    (sum, p, n) => sum + kgOf(n) * p.stand().standing.reduce((a, b) => a + b, 0),
    0,
  );
  const brought: Record<string, SeasonBrought> = { ours: walkOurs(garden, trace ? { trace: console.log } : {}), whole: walkKnowing(garden), rolling: walkRolling(garden, LOOKS_AHEAD) }; // prettier-ignore
  for (const name of SIMPLE) brought[name] = walkSimply(garden, name);
  if (why) {
    brought["true forecast"] = walkOurs(garden, { trueForecast: true });
    brought["free looks"] = walkOurs(garden, { freeLooks: true });
  }
  return { seed, grown, brought };
}

if (process.send) {
  const place = placeOrEnd();
  process.on("message", (seed: number | "no more") => {
    if (seed === "no more") process.exit(0);
    process.send!(walkAll(seed, place));
  });
  process.send("ready");
} else report(await walkedApart());

function placeOrEnd() {
  try {
    return seasonPlace(readSeries(file), latitude);
  } catch (error) {
    return end(`${file} cannot be used: ${(error as Error).message}`);
  }
}

/** Gardens are walked side by side, each in a process of its own. */
async function walkedApart(): Promise<Walked[]> {
  const seeds = Array.from({ length: gardens }, (_, k) => first + k);
  const walked: Walked[] = [];
  await Promise.all(
    Array.from(
      { length: Math.min(gardens, availableParallelism()) },
      () =>
        new Promise<void>((done, failed) => {
          const child = fork(import.meta.filename, process.argv.slice(2));
          child.on("message", (message: Walked | "ready") => {
            if (message !== "ready") walked.push(message);
            child.send(seeds.shift() ?? "no more");
          });
          child.on("exit", (code) => (code === 0 ? done() : failed(new Error("a season came to no end"))));
        }),
    ),
  ).catch((error: Error) => end(error.message));
  return walked.sort((a, b) => a.seed - b.seed);
}

function report(walked: Walked[]): void {
  const mean = (xs: number[]) => xs.reduce((a, b) => a + b, 0) / Math.max(1, xs.length);
  const oracle = (w: Walked) => Math.max(w.brought.whole!.worth, w.brought.rolling!.worth);
  const names = Object.keys(walked[0]!.brought);
  const share = (name: string) => mean(walked.map((w) => w.brought[name]!.worth / oracle(w)));
  const digits = (x: number) => Number(x.toFixed(4));
  console.log(`${file}: ${gardens} gardens of ${size} plantings, ${hands} times the usual minutes, seeds ${first} to ${first + gardens - 1}; the knowing bring in ${(100 * mean(walked.map((w) => oracle(w) / w.grown))).toFixed(1)} % of what grows`); // prettier-ignore
  for (const name of names) {
    const of = walked.map((w) => w.brought[name]!);
    const lost = Object.keys(of[0]!.lost).map((by) => `${by} ${(100 * mean(of.map((b, k) => b.lost[by as "cold"] / walked[k]!.grown))).toFixed(1)}`); // prettier-ignore
    console.log(`${name.padEnd(22)} ${(100 * share(name)).toFixed(1).padStart(5)} % of the knowing, ${mean(of.map((b) => b.minutes)).toFixed(0)} minutes, ${mean(of.map((b) => b.rounds)).toFixed(0)} rounds; lost, % of what grows: ${lost.join(", ")}`); // prettier-ignore
  }
  const best = SIMPLE.reduce((a, b) => (share(b) > share(a) ? b : a));
  const ahead = walked.filter((w) => w.brought.ours!.worth > Math.max(...SIMPLE.map((n) => w.brought[n]!.worth))).length; // prettier-ignore
  console.log(
    JSON.stringify({
      oracleShare: digits(share("ours")),
      bestSimpleShare: digits(share(best)),
      bestSimple: best,
      gardensAhead: ahead / gardens,
      policies: Object.fromEntries(names.map((name) => [name, digits(share(name))])),
      minutes: Object.fromEntries(names.map((name) => [name, Math.round(mean(walked.map((w) => w.brought[name]!.minutes)))])), // prettier-ignore
      gardens,
      seed: first,
      size,
      hands,
      file,
    }),
  );
}
