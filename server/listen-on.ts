import { isIPv4 } from "node:net";

/** Addresses that only this machine reaches. */
const isLoopback = (host: string) =>
  host === "localhost" || host === "::1" || (isIPv4(host) && host.startsWith("127."));

/**
 * Where the server listens: on this machine, unless it is told otherwise in so many words.
 *
 * @param env - HOST and PORT
 * @throws {Error} with what to do, when it would be open to others: what the network reaches is `shareOn`, which asks
 *   for the passphrase
 */
export function listenOn(env: Readonly<Record<string, string | undefined>>): { host: string; port: number } {
  const host = env.HOST || "127.0.0.1";
  const port = portOf("PORT", env.PORT, 4160);
  if (isLoopback(host)) return { host, port };
  throw new Error(`HOST: at “${host}” others would reach the garden, and nobody is asked for the passphrase there. Leave HOST empty; the household's phones come by ./akmedon share`); // prettier-ignore
}

/** @throws {Error} when what was written is no port */
export function portOf(name: string, written: string | undefined, usual: number): number {
  const port = Number(written || usual);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Error(`${name}: “${written}” is no port; write one from 1 to 65535.`);
  return port;
}
