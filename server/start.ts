import { createServer } from "node:http";
import path from "node:path";
import { pathToFileURL } from "node:url";
import type { ServerBuild } from "react-router";
import { gardenServer } from "./app";
import { listenOn } from "./listen-on";

const LAST_WORDS_MS = 3000;

/** Starts the built app on this machine. */
async function start(): Promise<void> {
  const { host, port } = listenOn(process.env);
  const folder = path.resolve("build");
  const build = (await import(pathToFileURL(path.join(folder, "server/index.js")).href)) as ServerBuild;
  const server = createServer({ requestTimeout: 60_000, headersTimeout: 15_000 }, gardenServer(build, path.join(folder, "client"))); // prettier-ignore
  server.once("error", (error: NodeJS.ErrnoException) => {
    console.error(error.code === "EADDRINUSE" ? `Port ${port} is in use: set PORT to another one.` : error.message);
    process.exit(1);
  });
  server.listen(port, host, () => {
    console.log(`Akmedon is at http://${host}:${port} (Ctrl+C ends it)`);
    // Asks itself for the round, so that nobody waits for the planning thread to start and the first plan.
    void fetch(`http://${host === "::1" ? "[::1]" : host}:${port}/round`).then(
      (page) => page.arrayBuffer(),
      () => undefined,
    );
  });
  const end = () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    // A page that is still being read does not keep it up.
    setTimeout(() => process.exit(0), LAST_WORDS_MS).unref();
  };
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.once(signal, end);
}

start().catch((error: unknown) => {
  console.error((error as Error).message);
  process.exit(1);
});
