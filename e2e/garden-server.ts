import { spawn, type ChildProcess } from "node:child_process";
import { copyFileSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";

/** The moment at which every server of a browser test starts. */
export const NOW = "2026-08-20T08:00:00.000Z";

/** The demo as it is planted once for all tests. */
export const demoFile = (units: "metric" | "us") => path.join(process.env.AKMEDON_E2E_DEMOS ?? "", `${units}.sqlite`);

/** How long a start may take. */
const START_MS = 120_000;

/** The real built app on a file of its own, so that a test can stop it and start it again. */
export class GardenServer {
  readonly url: string;
  readonly folder = mkdtempSync(path.join(tmpdir(), "akmedon-e2e-"));
  readonly env: NodeJS.ProcessEnv;
  private process: ChildProcess | undefined;
  /** Where the build that it runs lies; an upgrade brings another. */
  builtIn = ".";

  constructor(port: number, demo: boolean, units: "metric" | "us" = "metric") {
    this.url = `http://127.0.0.1:${port}`;
    this.env = {
      ...process.env,
      NODE_ENV: "production",
      HOST: "127.0.0.1",
      PORT: String(port),
      AKMEDON_GARDEN: path.join(this.folder, "garden.sqlite"),
      AKMEDON_UNITS: units,
      AKMEDON_DEMO: demo ? "1" : "",
      // A zone far from every garden of the tests, and a day of our own.
      TZ: "Pacific/Chatham",
      AKMEDON_TEST_NOW: NOW,
    };
    if (demo) copyFileSync(demoFile(units), this.env.AKMEDON_GARDEN!);
  }

  /** Starts it; unless it is to be met cold, its first plan is there, as it is for a server that has run for a moment. */
  async start({ cold = false } = {}): Promise<void> {
    this.process = spawn("node", ["--import", path.resolve("e2e/fixed-clock.mjs"), "build/node/start.js"], {
      cwd: this.builtIn,
      env: this.env,
      stdio: "ignore",
    });
    // The machines are shared: one that stands still for a minute has been seen.
    const patience = Date.now() + START_MS;
    while (Date.now() < patience) {
      const up = await fetch(`${this.url}/icon.svg`).then(
        (r) => r.ok,
        () => false,
      );
      if (up && cold) return;
      if (up) return void (await fetch(`${this.url}/round`).then((page) => page.arrayBuffer()));
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    await this.stop();
    throw new Error(`the server did not start within ${START_MS / 1000} seconds`);
  }

  async stop(): Promise<void> {
    if (!this.process || this.process.exitCode !== null || this.process.signalCode !== null) return;
    const ended = new Promise((resolve) => this.process?.once("exit", resolve));
    this.process?.kill();
    await ended;
  }

  async remove(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
