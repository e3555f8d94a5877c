import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { z } from "zod";

/**
 * Types, lint, format, unit and reference tests, build, browser tests; ends with what failed, what passed only when it
 * was tried a second time (the machines are shared and noisy), and "N passed, N failed".
 */
const env = { ...process.env, NODE_ENV: "test" };
const out = "test-results";
rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });
let passed = 0;
let failed = 0;
const faults: string[] = [];
const secondTries: string[] = [];

function run(name: string, command: string, args: string[], extra: NodeJS.ProcessEnv = {}): boolean {
  console.log(`\n== ${name}`);
  const { status } = spawnSync(command, args, { stdio: "inherit", env: { ...env, ...extra } });
  return status === 0;
}

function counted(name: string, ok: boolean): void {
  if (ok) passed++;
  else failed++;
  if (!ok) faults.push(name);
}

for (const [name, args] of [
  ["route types", ["react-router", "typegen"]],
  ["types", ["tsc", "--noEmit"]],
  ["types of the pocket", ["tsc", "--noEmit", "--project", "pocket"]],
  ["lint", ["eslint", "."]],
  ["format", ["prettier", "--check", "--log-level", "warn", "."]],
] as const)
  counted(name, run(name, "npx", [...args]));

const Vitest = z.object({
  numPassedTests: z.number(),
  numFailedTests: z.number(),
  numTotalTests: z.number(),
  numFailedTestSuites: z.number(),
  testResults: z.array(
    z.object({
      name: z.string(),
      status: z.string(),
      assertionResults: z.array(z.object({ fullName: z.string(), status: z.string(), failureMessages: z.array(z.string()).nullish() })), // prettier-ignore
    }),
  ),
});
const why = (messages: readonly string[] | null | undefined) => (messages?.[0] ?? "").split("\n")[0]!.slice(0, 200);
const unitOk = run("unit and reference tests", "npx", [
  "vitest",
  "run",
  "--retry=1",
  "--reporter=default",
  "--reporter=json",
  `--outputFile.json=${out}/unit.json`,
]);
if (existsSync(`${out}/unit.json`)) {
  const unit = Vitest.parse(JSON.parse(readFileSync(`${out}/unit.json`, "utf8")));
  passed += unit.numPassedTests;
  failed += unit.numFailedTests;
  for (const file of unit.testResults) {
    const told = file.assertionResults.filter((t) => t.status === "failed" || (t.failureMessages?.length ?? 0) > 0);
    for (const t of told) (t.status === "failed" ? faults : secondTries).push(`${t.fullName}: ${why(t.failureMessages)}`); // prettier-ignore
    if (file.status === "failed" && told.length === 0) faults.push(`${file.name} could not be run`);
  }
  if (!unitOk && unit.numFailedTests === 0) counted("unit tests: an error outside a test, or a file that could not be run", false); // prettier-ignore
} else counted("unit tests", false);

counted("crop data", run("crop data", "npx", ["tsx", "scripts/check-data.ts"]));
const forUse = { NODE_ENV: "production" };
const built =
  run("build", "npx", ["react-router", "build", "--logLevel", "error"], forUse) &&
  run(
    "the threads’ build",
    "npx",
    ["vite", "build", "--config", "vite.node.config.ts", "--logLevel", "error"],
    forUse,
  ) &&
  run(
    "the pocket’s build",
    "npx",
    ["vite", "build", "--config", "vite.pocket.config.ts", "--logLevel", "error"],
    forUse,
  );
counted("build", built);
interface Specs {
  specs: { title: string; tests: { status: string; projectName: string }[] }[];
  suites?: Specs[] | undefined;
}
const Suite: z.ZodType<Specs> = z.lazy(() =>
  z.object({
    specs: z.array(z.object({ title: z.string(), tests: z.array(z.object({ status: z.string(), projectName: z.string() })) })), // prettier-ignore
    suites: z.array(Suite).optional(),
  }),
);
const specsOf = (suite: Specs): Specs["specs"] => [...suite.specs, ...(suite.suites ?? []).flatMap(specsOf)];

if (built) {
  const browserOk = run("in the browser", "npx", ["playwright", "test"]);
  const Browser = z.object({
    stats: z.object({ expected: z.number(), unexpected: z.number(), flaky: z.number() }),
    suites: z.array(Suite),
  });
  if (existsSync(`${out}/browser.json`)) {
    const { stats, suites } = Browser.parse(JSON.parse(readFileSync(`${out}/browser.json`, "utf8")));
    passed += stats.expected + stats.flaky;
    failed += stats.unexpected;
    for (const spec of suites.flatMap(specsOf))
      for (const { status, projectName } of spec.tests) {
        if (status === "unexpected") faults.push(`${spec.title} [${projectName}]`);
        if (status === "flaky") secondTries.push(`${spec.title} [${projectName}]`);
      }
    if (!browserOk && stats.unexpected === 0) counted("browser tests: an error outside a test", false);
  } else counted("browser tests", false);
}

for (const [head, names] of [["Failed", faults], ["Passed when tried a second time", secondTries]] as const)
  if (names.length > 0) console.log(`\n${head}:\n${names.map((n) => `  ${n}`).join("\n")}`); // prettier-ignore

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
