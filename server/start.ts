import { createServer, type Server } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { hostname, networkInterfaces } from "node:os";
import path from "node:path";
import { pathToFileURL } from "node:url";
import type { ServerBuild } from "react-router";
import type { Gate } from "~/services/access/gate.server";
import { gardenServer } from "./app";
import { fingerprintOf, householdCertificate, namedCertificate } from "./certificates";
import { gardenLog, tellLog, type GardenLog } from "./garden-log";
import { listenOn } from "./listen-on";
import { addressesOf, shareOn, type Share } from "./share-on";

const LAST_WORDS_MS = 3000;

const LIMITS = { requestTimeout: 60_000, headersTimeout: 15_000 };

/** Resolves once it listens; says in a sentence why it cannot. */
const listening = (server: Server, host: string, port: number) =>
  new Promise<Server>((resolve, reject) => {
    server.once("error", (error: NodeJS.ErrnoException) => {
      const sentences: Partial<Record<string, string>> = { EADDRINUSE: `Port ${port} is in use: set PORT to another one.`, EADDRNOTAVAIL: `This machine has no address ${host}.` }; // prettier-ignore
      reject(new Error(sentences[error.code ?? ""] ?? error.message));
    });
    server.listen(port, host, () => resolve(server));
  });

/** The door that the network reaches, closed until the household has a passphrase. */
async function shared(share: Share, build: ServerBuild, assets: string, log: GardenLog | undefined): Promise<Server> {
  const { gate } = build.entry.module as unknown as { gate: Gate };
  if (!gate.isLocked()) throw new Error("The garden has no passphrase yet, so that anybody on the network could come in. Set one: ./akmedon passphrase"); // prettier-ignore
  if (share.by === "proxy") return createServer(LIMITS, gardenServer(build, assets, { door: { gate, names: share.hosts, behindProxy: true }, requests: log?.requests })); // prettier-ignore
  const now = new Date();
  const { authority, ...pair } = share.by === "household" ? await householdCertificate(share.folder, share.names, now) : { ...namedCertificate(share.by), authority: undefined }; // prettier-ignore
  if (authority) process.env.AKMEDON_FINGERPRINT = fingerprintOf(authority);
  return createSecureServer(
    { ...LIMITS, ...pair },
    gardenServer(build, assets, { door: { gate, names: share.hosts, authority }, requests: log?.requests }),
  );
}

/** Starts the built app on this machine, and on the household's network where that was asked for. */
async function start(): Promise<void> {
  const log = process.env.AKMEDON_LOG ? gardenLog(path.resolve(process.env.AKMEDON_LOG)) : undefined;
  tellLog(log);
  const { host, port } = listenOn(process.env);
  const share = shareOn(process.env, port, addressesOf(networkInterfaces()), hostname());
  const folder = path.resolve("build");
  const assets = path.join(folder, "client");
  const build = (await import(pathToFileURL(path.join(folder, "server/index.js")).href)) as ServerBuild;
  if (share) process.env.AKMEDON_ADDRESS = share.address;
  const servers = [
    await listening(createServer(LIMITS, gardenServer(build, assets, { requests: log?.requests })), host, port),
  ];
  if (share) servers.push(await listening(await shared(share, build, assets, log), share.host, share.port));
  console.log(`Akmedon is at http://${host}:${port} (Ctrl+C ends it)`);
  if (share) console.log(`For the household's phones it is at ${share.address}`);
  // Asks itself for the round, so that nobody waits for the planning thread to start and the first plan.
  void fetch(`http://${host === "::1" ? "[::1]" : host}:${port}/round`).then(
    (page) => page.arrayBuffer(),
    () => undefined,
  );
  const end = () => {
    let open = servers.length;
    for (const server of servers) {
      server.close(() => --open === 0 && process.exit(0));
      server.closeIdleConnections();
    }
    // A page that is still being read does not keep it up.
    setTimeout(() => process.exit(0), LAST_WORDS_MS).unref();
  };
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.once(signal, end);
}

start().catch((error: unknown) => {
  console.error((error as Error).message);
  process.exit(1);
});
