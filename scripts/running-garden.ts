import { spawn, type ChildProcess } from "node:child_process";
import { setTimeout as wait } from "node:timers/promises";

const PATIENCE_MS = 30_000;

/** What the built server is told: its file, its port, and more. Demo, on this machine only. */
export const gardenEnv = (file: string, port: number, more: NodeJS.ProcessEnv = {}): NodeJS.ProcessEnv => ({
  ...process.env,
  NODE_ENV: "production",
  HOST: "127.0.0.1",
  PORT: String(port),
  AKMEDON_GARDEN: file,
  AKMEDON_DEMO: "1",
  ...more,
});

/** The built server on a file, as soon as it answers at an address. */
export async function runningGarden(
  file: string,
  port: number,
  at = "/health",
  more: NodeJS.ProcessEnv = {},
): Promise<ChildProcess> {
  const server = spawn(
    "node",
    [...(more.AKMEDON_TEST_NOW ? ["--import", "./e2e/fixed-clock.mjs"] : []), "build/node/start.js"],
    { env: gardenEnv(file, port, more), stdio: "ignore" },
  );
  const patience = Date.now() + PATIENCE_MS;
  while (Date.now() < patience) {
    const isUp = await fetch(`http://127.0.0.1:${port}${at}`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (isUp) return server;
    await wait(50);
  }
  server.kill("SIGKILL");
  throw new Error(`the server did not start within ${PATIENCE_MS / 1000} seconds`);
}

/** Ends it and waits until it has gone. */
export async function ended(server: ChildProcess, signal: NodeJS.Signals = "SIGTERM"): Promise<void> {
  const gone = new Promise((resolve) => server.once("exit", resolve));
  server.kill(signal);
  await gone;
}
