import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { NOW, demoFile } from "./garden-server";

/** Plants the demo once for each system of units: every test begins with a copy. */
export default function plantDemos(): () => void {
  const folder = mkdtempSync(path.join(tmpdir(), "akmedon-demos-"));
  process.env.AKMEDON_E2E_DEMOS = folder;
  for (const units of ["metric", "us"] as const) {
    const env = { ...process.env, NODE_ENV: "production", AKMEDON_DEMO: "1", AKMEDON_GARDEN: demoFile(units), AKMEDON_UNITS: units, TZ: "Pacific/Chatham", AKMEDON_TEST_NOW: NOW }; // prettier-ignore
    const made = spawnSync("npx", ["tsx", "scripts/demo.ts"], { env, encoding: "utf8" });
    if (made.status !== 0) throw new Error(made.stderr);
  }
  return () => rmSync(folder, { recursive: true, force: true });
}
