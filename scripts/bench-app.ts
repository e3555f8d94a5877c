import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { openGarden } from "~/db/client.server";
import { takeEntries } from "~/services/entries/take-entries.server";
import { ended, gardenEnv, runningGarden } from "./running-garden";
import { makeTwentyYears } from "./twenty-years";

/**
 * Server time of every page in the demo's garden and in one of twenty years, as ratios to a page of one query in the
 * same server and run. Each round asks every page once and the bare page between them, so that a noisy machine is noisy
 * to all. Pages are measured as they are when nothing was written since, and right after a pick was logged. Then how
 * long the start page takes to stand after a server's start, and what a commit costs that is on the disk before it is
 * acknowledged. It sends to this machine only.
 *
 * BENCH_ROUNDS: rounds for each garden (default 40). BENCH_MEMORY: requests over which memory is watched (default 1000).
 */
const ROUNDS = Math.max(10, Number(process.env.BENCH_ROUNDS ?? 40));
const MEMORY_REQUESTS = Math.max(0, Number(process.env.BENCH_MEMORY ?? 1000));
const STARTS = 5;
/** Requests of each page before anything is measured: a server that has just started is slower. */
const WARM = 10;
const SYNCS = 150;
const PORT = 4195;
const HOME = `http://127.0.0.1:${PORT}`;
const PAGES = { horizon: "/", round: "/round", check: "/check/tomato-red", planting: "/plantings/tomato-red", ledger: "/ledger", sky: "/sky", beds: "/beds", notes: "/notes" }; // prettier-ignore
const NAMES = Object.keys(PAGES) as (keyof typeof PAGES)[];

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-bench-"));

async function timed(at: string, body?: object): Promise<{ ms: number; stands: number; bytes: number }> {
  const start = performance.now();
  const headers = { "User-Agent": "Mozilla/5.0 (bench)" };
  const response = await fetch(HOME + at, body ? { method: "POST", headers: { "Content-Type": "application/json" }, body: JSON.stringify(body) } : { headers }); // prettier-ignore
  const stands = performance.now() - start;
  const bytes = (await response.arrayBuffer()).byteLength;
  if (!response.ok) throw new Error(`${at}: ${response.status}`);
  return { ms: performance.now() - start, stands, bytes };
}

let sequence = 0;
const pick = () => ({ entries: [{ id: crypto.randomUUID(), device: "bench", sequence: ++sequence, at: "2026-09-19T06:00:00Z", kind: "pick", plantingId: "tomato-red", outcome: "picked", weight: "200 g" }] }); // prettier-ignore

const p95 = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(0.95 * (values.length - 1))]!;
const rounded = (value: number) => Math.round(value * 100) / 100;
const rssMb = (pid: number) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))![1]) / 1024;

interface Measured {
  bare: number;
  still: Record<string, number>;
  /** Right after a pick: the whole page, and until it stands. */
  afterPick: Record<string, number>;
  stands: Record<string, number>;
  entry: number;
  bytes: Record<string, number>;
  memoryGrowthMb: number;
}

async function measure(file: string): Promise<Measured> {
  const server = await runningGarden(file, PORT, "/icon.svg");
  const times = new Map<string, number[]>();
  const put = (name: string, ms: number) => times.set(name, [...(times.get(name) ?? []), ms]);
  const bytes: Record<string, number> = {};
  try {
    for (const name of NAMES) bytes[name] = (await timed(PAGES[name])).bytes;
    for (let n = 0; n < WARM; n++) for (const at of ["/health", ...Object.values(PAGES)]) await timed(at);
    for (let n = 0; n < ROUNDS; n++) {
      for (const name of NAMES) {
        put("bare", (await timed("/health")).ms);
        put(name, (await timed(PAGES[name])).ms);
      }
      put("entry", (await timed("/entries", pick())).ms);
      const name = NAMES[n % NAMES.length]!;
      const after = await timed(PAGES[name]);
      put(`${name} after`, after.ms);
      put(`${name} stands`, after.stands);
      for (const at of Object.values(PAGES)) await timed(at);
    }
    const rss: number[] = [];
    for (let n = 0; n < MEMORY_REQUESTS; n++) {
      await timed(PAGES[NAMES[n % NAMES.length]!]);
      rss.push(rssMb(server.pid!));
    }
    // What is left after the collector has been through: the lowest of the last quarter against that of the first.
    const least = (from: number, to: number) => Math.min(...rss.slice(from * rss.length, to * rss.length));
    const memoryGrowthMb = rss.length > 0 ? least(0.75, 1) - least(0, 0.25) : 0;
    const of = (end: string) => Object.fromEntries(NAMES.map((n) => [n, p95(times.get(n + end)!)]));
    return { bare: p95(times.get("bare")!), still: of(""), afterPick: of(" after"), stands: of(" stands"), entry: p95(times.get("entry")!), bytes, memoryGrowthMb }; // prettier-ignore
  } finally {
    await ended(server);
  }
}

/** How long a page takes from the start of a server until its first byte, ms. */
async function fromStart(file: string, at: string): Promise<number> {
  const start = performance.now();
  const server = spawn("node", ["build/node/start.js"], { env: gardenEnv(file, PORT), stdio: "ignore" });
  try {
    for (;;) {
      const response = await fetch(HOME + at, { headers: { "User-Agent": "Mozilla/5.0 (bench)" } }).catch(() => undefined); // prettier-ignore
      if (!response) {
        if (performance.now() - start > 30_000) throw new Error("the server did not start within thirty seconds");
        await new Promise((r) => setTimeout(r, 20));
        continue;
      }
      const ms = performance.now() - start;
      await response.arrayBuffer();
      return ms;
    }
  } finally {
    server.kill();
    await new Promise((r) => server.once("exit", r));
  }
}

const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Starts in turn: of the start page, and of the bare one. */
async function startRatio(file: string): Promise<number> {
  const [page, bare]: [number[], number[]] = [[], []];
  for (let n = 0; n < STARTS; n++) {
    page.push(await fromStart(file, "/"));
    bare.push(await fromStart(file, "/health"));
  }
  console.log(`first byte after the start: start page ${Math.round(median(page))} ms, bare page ${Math.round(median(bare))} ms`); // prettier-ignore
  return median(page) / median(bare);
}

/** A pick applied with and without the commit on the disk, in turn. */
function syncCost(file: string): number {
  const db = openGarden(file);
  const took: Record<"FULL" | "OFF", number[]> = { FULL: [], OFF: [] };
  for (let n = 0; n < SYNCS; n++)
    for (const mode of ["FULL", "OFF"] as const) {
      db.$client.pragma(`synchronous = ${mode}`);
      const start = performance.now();
      takeEntries(db, pick());
      took[mode].push(performance.now() - start);
    }
  db.$client.close();
  const [full, off] = [median(took.FULL), median(took.OFF)];
  console.log(`a pick applied: ${rounded(full)} ms on the disk, ${rounded(off)} ms left to the system`);
  return full / off;
}

try {
  const [demo, twenty] = [path.join(folder, "demo.sqlite"), path.join(folder, "twenty.sqlite")];
  const made = spawnSync("npx", ["tsx", "scripts/demo.ts"], { env: gardenEnv(demo, PORT), encoding: "utf8" });
  if (made.status !== 0) throw new Error(made.stderr);
  makeTwentyYears(twenty);
  const [of, old] = [await measure(demo), await measure(twenty)];
  for (const name of NAMES) {
    const say = (m: Measured) => `${rounded(m.still[name]! / m.bare)} (after a pick it stands after ${rounded(m.stands[name]! / m.bare)}, is whole after ${rounded(m.afterPick[name]! / m.bare)}; ${Math.round(m.bytes[name]! / 1024)} KB)`; // prettier-ignore
    console.log(`${name}: demo ${say(of)}; twenty years ${say(old)}`);
  }
  console.log(`bare page: demo ${rounded(of.bare)} ms, twenty years ${rounded(old.bare)} ms; entry: demo ${rounded(of.entry / of.bare)}`); // prettier-ignore
  const [starts, syncs] = [await startRatio(twenty), syncCost(twenty)];
  const ratio = (name: string) => rounded(old.still[name]! / old.bare);
  console.log(
    JSON.stringify({
      ...Object.fromEntries(["horizon", "round", "check", "ledger", "sky"].map((n) => [`${n}RatioP95`, ratio(n)])),
      entryRatioP95: rounded(old.entry / old.bare),
      historyRatioMax: rounded(Math.max(...NAMES.map((n) => old.still[n]! / old.bare / (of.still[n]! / of.bare)))),
      memoryGrowthMb: rounded(old.memoryGrowthMb),
      afterPickRatioMax: rounded(Math.max(...NAMES.map((n) => old.stands[n]! / old.bare))),
      startRatio: rounded(starts),
      syncRatio: rounded(syncs),
    }),
  );
} finally {
  rmSync(folder, { recursive: true, force: true });
}
