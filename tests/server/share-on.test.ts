import { checkServerIdentity, connect, createServer } from "node:tls";
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import { addDays } from "date-fns";
import { afterAll, describe, expect, test } from "vitest";
import { householdCertificate, namedCertificate, type Certificate } from "../../server/certificates";
import { addressesOf, shareOn } from "../../server/share-on";

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-share-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const of = (env: Record<string, string>, addresses = ["192.168.1.20", "fd00::5"]) => shareOn({ AKMEDON_SHARE: "1", ...env }, 4160, addresses, "Shed"); // prettier-ignore

describe("where the household's network reaches the garden", () => {
  test("nowhere, unless it is asked for", () => expect(shareOn({}, 4160, ["192.168.1.20"], "shed")).toBeUndefined());
  test("of itself at all addresses, on the next port, by the machine's names", () =>
    expect(of({ AKMEDON_GARDEN: "/g/garden.sqlite" })).toMatchObject({ host: "0.0.0.0", port: 4161, names: ["192.168.1.20", "shed.local"], address: "https://192.168.1.20:4161", by: "household", folder: "/g/household" })); // prettier-ignore
  test("on addresses of both kinds where it is told so, or has no other; never told by one on which it does not listen", () => {
    expect(of({ AKMEDON_SHARE_HOST: "::" })).toMatchObject({ host: "::", names: ["192.168.1.20", "fd00::5", "shed.local"], hosts: ["192.168.1.20", "[fd00::5]", "shed.local"] }); // prettier-ignore
    expect(of({}, ["203.0.113.9", "fd00::5"])).toMatchObject({ host: "::", names: ["fd00::5", "shed.local"], address: "https://[fd00::5]:4161" }); // prettier-ignore
    expect(of({ AKMEDON_SHARE_HOST: "0.0.0.0" }, ["10.0.0.3", "fd00::5"])?.names).toEqual(["10.0.0.3", "shed.local"]);
  });
  test("by a name and somebody else's certificate", () =>
    expect(of({ AKMEDON_NAME: "Garden.example", AKMEDON_CERT: "c", AKMEDON_KEY: "k" })).toMatchObject({ names: ["garden.example"], address: "https://garden.example:4161", by: { key: "k", cert: "c" } })); // prettier-ignore
  test("behind a server of this machine, which alone reaches it", () =>
    expect(of({ AKMEDON_NAME: "garden.example", AKMEDON_PROXY: "1", AKMEDON_SHARE_HOST: "0.0.0.0" })).toMatchObject({ host: "127.0.0.1", address: "https://garden.example", by: "proxy" })); // prettier-ignore
  test.each<[string, Record<string, string>, RegExp]>([
    ["the demo", { AKMEDON_DEMO: "1" }, /demo stays on this machine/],
    ["a certificate without its key", { AKMEDON_NAME: "g.example", AKMEDON_CERT: "c" }, /belong together/],
    ["a certificate without a name", { AKMEDON_CERT: "c", AKMEDON_KEY: "k" }, /by which name/],
    ["a proxy without a name", { AKMEDON_PROXY: "1" }, /by which name/],
    ["a name that is none", { AKMEDON_NAME: "garden example/x" }, /no name of a server/],
    ["an address that is none", { AKMEDON_SHARE_HOST: "shed" }, /no address of this machine/],
    ["a port that is none", { AKMEDON_SHARE_PORT: "0" }, /AKMEDON_SHARE_PORT: “0” is no port/],
    ["the port of the door without a lock", { AKMEDON_SHARE_PORT: "4160" }, /take another/],
  ])("%s is refused, in a sentence", (_, env, sentence) => expect(() => of(env)).toThrow(sentence));
  test("addresses that the whole world reaches are left out: the household vouches for home networks only", () => {
    expect(of({}, ["203.0.113.9", "10.0.0.3", "2001:db8::5", "fd00::5"])?.names).toEqual(["10.0.0.3", "shed.local"]);
    expect(() => of({}, ["203.0.113.9", "2001:db8::5"])).toThrow(/no address of a home network .*give it a name and a certificate/); // prettier-ignore
    expect(() => of({ AKMEDON_SHARE_HOST: "203.0.113.9" })).toThrow(/no address of a home network/);
    expect(of({ AKMEDON_NAME: "g.example", AKMEDON_CERT: "c", AKMEDON_KEY: "k" }, ["203.0.113.9"])?.names).toEqual(["g.example"]); // prettier-ignore
  });
  test("on no network it says so", () => expect(() => of({}, [])).toThrow(/on no network/));
  test("addresses of this machine for itself, or of one cable only, are not told", () => {
    const at = (address: string, internal = false) => ({ address, internal, family: address.includes(":") ? "IPv6" : "IPv4" }); // prettier-ignore
    const cards = { lo: [at("127.0.0.1", true)], wlan: [at("fe80::1"), at("fd00::5"), at("10.0.0.3")] };
    expect(addressesOf(cards as unknown as Parameters<typeof addressesOf>[0])).toEqual(["10.0.0.3", "fd00::5"]);
  });
});

/** Whether a client that trusts an authority lets a server with this certificate be who it says: OpenSSL's own judgement. */
function trusted(server: Certificate, ca: string, name: string): Promise<string> {
  return new Promise((resolve) => {
    const listening = createServer(server, (socket) => socket.end());
    listening.on("tlsClientError", () => undefined);
    listening.listen(0, "127.0.0.1", () => {
      const { port } = listening.address() as AddressInfo;
      const done = (said: string) => listening.close(() => resolve(said));
      const client = connect({ host: "127.0.0.1", port, ca, servername: /\d$/.test(name) ? "" : name, checkServerIdentity: (_, cert) => checkServerIdentity(name, cert) }, () => { client.destroy(); done("trusted"); }); // prettier-ignore
      client.on("error", (error: NodeJS.ErrnoException) => done(error.code ?? error.message));
    });
  });
}

describe("the household's own certificates", () => {
  const now = new Date();
  const at = (name: string) => path.join(folder, name);
  const make = (names: string[], when = now, name = "first") => householdCertificate(at(name), names, when);

  test("are trusted by who trusts the household, and by nobody else", async () => {
    const made = await make(["127.0.0.1", "shed.local"]);
    const stranger = await make(["127.0.0.1"], now, "stranger");
    expect(await trusted(made, made.authority, "127.0.0.1")).toBe("trusted");
    expect(await trusted(made, made.authority, "shed.local")).toBe("trusted");
    expect(await trusted(made, stranger.authority, "127.0.0.1")).not.toBe("trusted");
  });
  test("an authority that is stolen would have vouched for a bank: it cannot", async () => {
    for (const name of ["bank.example", "8.8.8.8"]) {
      const made = await make([name], now, `stolen ${name}`);
      expect(await trusted(made, made.authority, name)).toMatch(/PERMITTED|permitted|UNSPECIFIED/i);
    }
  });
  test("of a machine that the world reaches by its newer address are trusted at home all the same", async () => {
    const { names } = of({}, ["127.0.0.1", "2001:db8::5"])!;
    const made = await make(names, now, "world");
    expect(await trusted(made, made.authority, "127.0.0.1")).toBe("trusted");
    // With that address in it nothing is trusted: this is what it would have let happen.
    const spoilt = await make([...names, "2001:db8::5"], now, "spoilt");
    expect(await trusted(spoilt, spoilt.authority, "127.0.0.1")).not.toBe("trusted");
  });
  test("stand from one start to the next, and are made anew for other addresses or when they run out, by the same authority", async () => {
    const first = await make(["192.168.1.20"], now, "kept");
    expect(await make(["192.168.1.20"], addDays(now, 100), "kept")).toEqual(first);
    const moved = await make(["192.168.1.33"], now, "kept");
    expect(moved.cert).not.toBe(first.cert);
    expect(moved.authority).toBe(first.authority);
    // One that names more than is wanted is made anew as well: the more may be what spoils it.
    const two = await make(["192.168.1.33", "2001:db8::5"], now, "kept");
    expect((await make(["192.168.1.33"], now, "kept")).cert).not.toBe(two.cert);
    expect((await make(["192.168.1.33"], addDays(now, 170), "kept")).cert).not.toBe(moved.cert);
  });
  test("their keys are for the one who runs the server only", () => {
    for (const file of ["authority.key", "server.key"]) expect(statSync(at(`first/${file}`)).mode & 0o077, file).toBe(0); // prettier-ignore
    expect(readFileSync(at("first/authority.crt"), "utf8")).not.toContain("PRIVATE");
  });
  test("a certificate of somebody else's is read from its files, or it is said which cannot be", () => {
    writeFileSync(at("k"), "key");
    expect(() => namedCertificate({ key: at("k"), cert: at("none") })).toThrow(/AKMEDON_CERT: .* cannot be read/);
    writeFileSync(at("none"), "cert");
    expect(namedCertificate({ key: at("k"), cert: at("none") })).toEqual({ key: "key", cert: "cert" });
  });
});
