import { isIPv4 } from "node:net";

/** Addresses that only this machine reaches. */
const isLoopback = (host: string) =>
  host === "localhost" || host === "::1" || (isIPv4(host) && host.startsWith("127."));

/**
 * Where the server listens: on this machine, unless it is told otherwise in so many words.
 *
 * @param env - HOST and PORT; AKMEDON_OPEN_TO_NETWORK=1 asks for more
 * @throws {Error} with what to do, when it would be open to others: that needs a passphrase, which is not there yet
 */
export function listenOn(env: Readonly<Record<string, string | undefined>>): { host: string; port: number } {
  const host = env.HOST || "127.0.0.1";
  const port = Number(env.PORT || 4160);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Error(`PORT: “${env.PORT}” is no port; write one from 1 to 65535.`);
  if (isLoopback(host)) return { host, port };
  throw new Error(
    env.AKMEDON_OPEN_TO_NETWORK === "1"
      ? `HOST: at “${host}” others would reach the garden, and it has no passphrase yet to keep them out. It answers on this machine only: leave HOST empty.` // prettier-ignore
      : `HOST: at “${host}” others would reach the garden. It answers on this machine only: leave HOST empty.`,
  );
}
