import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { z } from "zod";

/** Types, lint, format, unit and reference tests, build, browser tests; ends with "N passed, N failed". */
const env = { ...process.env, NODE_ENV: "test" };
const out = "test-results";
rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });
let passed = 0;
let failed = 0;

function run(name: string, command: string, args: string[], extra: NodeJS.ProcessEnv = {}): boolean {
  console.log(`\n== ${name}`);
  const { status } = spawnSync(command, args, { stdio: "inherit", env: { ...env, ...extra } });
  return status === 0;
}

function counted(ok: boolean): void {
  if (ok) passed++;
  else failed++;
}

for (const [name, args] of [
  ["route types", ["react-router", "typegen"]],
  ["types", ["tsc", "--noEmit"]],
  ["lint", ["eslint", "."]],
  ["format", ["prettier", "--check", "--log-level", "warn", "."]],
] as const)
  counted(run(name, "npx", [...args]));

const Vitest = z.object({
  numPassedTests: z.number(),
  numFailedTests: z.number(),
  numTotalTests: z.number(),
  numFailedTestSuites: z.number(),
});
const unitOk = run("unit and reference tests", "npx", [
  "vitest",
  "run",
  "--reporter=default",
  "--reporter=json",
  `--outputFile.json=${out}/unit.json`,
]);
if (existsSync(`${out}/unit.json`)) {
  const unit = Vitest.parse(JSON.parse(readFileSync(`${out}/unit.json`, "utf8")));
  passed += unit.numPassedTests;
  failed += unit.numFailedTests;
  if (!unitOk && unit.numFailedTests === 0) failed++;
} else failed++;

counted(run("crop data", "npx", ["tsx", "scripts/check-data.ts"]));
const forUse = { NODE_ENV: "production" };
const built =
  run("build", "npx", ["react-router", "build", "--logLevel", "error"], forUse) &&
  run(
    "the threads’ build",
    "npx",
    ["vite", "build", "--config", "vite.threads.config.ts", "--logLevel", "error"],
    forUse,
  );
counted(built);
if (built) {
  const browserOk = run("in the browser", "npx", ["playwright", "test"]);
  const Browser = z.object({ stats: z.object({ expected: z.number(), unexpected: z.number(), flaky: z.number() }) });
  if (existsSync(`${out}/browser.json`)) {
    const { stats } = Browser.parse(JSON.parse(readFileSync(`${out}/browser.json`, "utf8")));
    passed += stats.expected;
    failed += stats.unexpected + stats.flaky;
    if (!browserOk && stats.unexpected + stats.flaky === 0) failed++;
  } else failed++;
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
