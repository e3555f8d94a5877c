import { isIP, isIPv4, isIPv6 } from "node:net";
import type { NetworkInterfaceInfo } from "node:os";
import path from "node:path";
import { isOfHome } from "./certificates";
import { portOf } from "./listen-on";

/** How the household's phones reach the garden. */
export interface Share {
  host: string;
  port: number;
  /** Names and addresses for the certificate. */
  names: string[];
  /** The same as a browser writes them when it asks. */
  hosts: string[];
  /** What a phone types. */
  address: string;
  /** Certificates of the household's own authority, of somebody else's, or a server before this one that has one. */
  by: "household" | "proxy" | { key: string; cert: string };
  /** Where the household's authority is kept. */
  folder: string;
}

/** All addresses of the older kind, all of both. */
const [ALL_V4, ALL] = ["0.0.0.0", "::"];
const asHost = (name: string) => (isIPv6(name) ? `[${name}]` : name.toLowerCase());

/** Addresses by which others reach this machine, the older kind first; those of one cable only are left out. */
export function addressesOf(interfaces: NodeJS.Dict<NetworkInterfaceInfo[]>): string[] {
  const all = Object.values(interfaces).flatMap((known) => known ?? []);
  const outside = all.filter((a) => !a.internal && !/^fe80:/i.test(a.address));
  return outside.sort((a, b) => a.family.localeCompare(b.family)).map((a) => a.address);
}

/**
 * Whether and where the household's network reaches the garden.
 *
 * @param env - AKMEDON_SHARE=1 asks for it; AKMEDON_SHARE_HOST and AKMEDON_SHARE_PORT say where (all addresses, the next
 *   port); AKMEDON_NAME names it, with AKMEDON_CERT and AKMEDON_KEY (files), or with AKMEDON_PROXY=1 for a server of this
 *   machine that stands before it
 * @param port - of this machine's own address
 * @param addresses - of this machine, for others
 * @throws {Error} with what to do, when what is said does not go together
 */
export function shareOn(
  env: Readonly<Record<string, string | undefined>>,
  port: number,
  addresses: readonly string[],
  machine: string,
): Share | undefined {
  // prettier-ignore
  if (env.AKMEDON_SHARE !== "1") return undefined;
  if (env.AKMEDON_DEMO === "1") throw new Error("The demo stays on this machine: its garden is made up.");
  const isProxy = env.AKMEDON_PROXY === "1";
  const name = env.AKMEDON_NAME?.trim().toLowerCase();
  const [key, cert] = [env.AKMEDON_KEY, env.AKMEDON_CERT];
  if (name && !/^(?=.{1,253}$)[a-z0-9-]+(\.[a-z0-9-]+)*$/.test(name)) throw new Error(`AKMEDON_NAME: “${name}” is no name of a server.`); // prettier-ignore
  if (Boolean(key) !== Boolean(cert)) throw new Error("AKMEDON_CERT and AKMEDON_KEY belong together: name both files, or none."); // prettier-ignore
  if ((isProxy || key) && !name) throw new Error("AKMEDON_NAME: say by which name the phones call the garden.");
  const home = addresses.filter(isOfHome);
  const host = isProxy ? "127.0.0.1" : env.AKMEDON_SHARE_HOST || (home.length === 0 || home.some(isIPv4) ? ALL_V4 : ALL); // prettier-ignore
  if (!isIP(host)) throw new Error(`AKMEDON_SHARE_HOST: “${host}” is no address of this machine.`);
  const sharePort = portOf("AKMEDON_SHARE_PORT", env.AKMEDON_SHARE_PORT, port + 1);
  if (sharePort === port) throw new Error("AKMEDON_SHARE_PORT: that is the port of this machine's own address; take another."); // prettier-ignore
  const local = /^[a-z0-9-]+$/i.test(machine) ? [`${machine.toLowerCase()}.local`] : [];
  // One address that it cannot vouch for would spoil the certificate for all: of the newer kind many are of the whole world.
  const own = [...(host === ALL ? home : host === ALL_V4 ? home.filter(isIPv4) : [host].filter(isOfHome)), ...local];
  const names = isProxy || key ? [name!] : own;
  if (names.length === local.length && !name) throw new Error(addresses.length === 0 ? "This machine is on no network: connect it, then share." : `This machine has no address of a home network (${addresses.join(", ")}), and the household can vouch for no other: give it a name and a certificate of its own, see docs/sharing.md.`); // prettier-ignore
  const by = isProxy ? "proxy" : key && cert ? { key, cert } : "household";
  const folder = path.join(path.dirname(path.resolve(env.AKMEDON_GARDEN ?? "garden.sqlite")), "household");
  const address = isProxy ? `https://${name}` : `https://${asHost(names[0]!)}:${sharePort}`;
  return { host, port: sharePort, names, hosts: names.map(asHost), address, by, folder };
}
