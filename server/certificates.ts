import "reflect-metadata";
import { webcrypto, X509Certificate as Read } from "node:crypto";
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from "node:fs";
import { BlockList, isIP, isIPv6 } from "node:net";
import path from "node:path";
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  NameConstraints,
  id_ce_nameConstraints,
} from "@peculiar/asn1-x509";
import { AsnConvert } from "@peculiar/asn1-schema";
import * as x509 from "@peculiar/x509";
import { addDays, addYears } from "date-fns";

x509.cryptoProvider.set(webcrypto as Crypto);

const ALGORITHM = { name: "ECDSA", namedCurve: "P-256", hash: "SHA-256" };
/** Phones refuse certificates of servers that last longer than 825 days; browsers want far less. Ours: our judgement. */
const SERVER_DAYS = 200;
const RENEW_DAYS = 40;
const AUTHORITY_YEARS = 10;

/**
 * The household's own networks: an authority for these alone could not vouch for a bank, whoever steals it. Addresses
 * and masks of RFC 1918, RFC 4193, RFC 3927, RFC 4291 and this machine's own; names of RFC 6762 and RFC 8375.
 */
const NETWORKS = ["10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "169.254.0.0/16", "127.0.0.0/8", "fc00::/7", "fe80::/10"]; // prettier-ignore
const NAMES = ["local", "home.arpa", "localhost"];

const home = new BlockList();
for (const network of NETWORKS) {
  const [address = "", bits] = network.split("/");
  home.addSubnet(address, Number(bits), isIPv6(address) ? "ipv6" : "ipv4");
}

/** Whether an address is one of a home network: the household's authority can vouch for no other. */
export const isOfHome = (address: string) => home.check(address, isIPv6(address) ? "ipv6" : "ipv4");

/** A key and its certificate, as PEM. */
export interface Certificate {
  key: string;
  cert: string;
}

function onlyAtHome(): x509.Extension {
  const subtree = (base: Partial<GeneralName>) => new GeneralSubtree({ base: new GeneralName(base) });
  const permitted = new GeneralSubtrees([
    ...NETWORKS.map((iPAddress) => subtree({ iPAddress })),
    ...NAMES.map((dNSName) => subtree({ dNSName })),
  ]);
  return new x509.Extension(id_ce_nameConstraints, true, AsnConvert.serialize(new NameConstraints({ permittedSubtrees: permitted }))); // prettier-ignore
}

const serialNumber = () => Buffer.from(webcrypto.getRandomValues(new Uint8Array(16))).toString("hex");
const keys = () => webcrypto.subtle.generateKey(ALGORITHM, true, ["sign", "verify"]) as Promise<CryptoKeyPair>;
const pemOfKey = async (key: CryptoKey) => x509.PemConverter.encode(await webcrypto.subtle.exportKey("pkcs8", key as webcrypto.CryptoKey), "PRIVATE KEY"); // prettier-ignore

async function newAuthority(now: Date): Promise<Certificate> {
  const pair = await keys();
  const cert = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serialNumber(),
    name: "CN=Akmedon of this household",
    notBefore: addDays(now, -1),
    notAfter: addYears(now, AUTHORITY_YEARS),
    signingAlgorithm: ALGORITHM,
    keys: pair,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(pair.publicKey),
      onlyAtHome(),
    ],
  });
  return { key: await pemOfKey(pair.privateKey), cert: cert.toString("pem") };
}

async function newServer(authority: Certificate, names: readonly string[], now: Date): Promise<Certificate> {
  const issuer = new x509.X509Certificate(authority.cert);
  const [pair, signingKey] = [await keys(), await webcrypto.subtle.importKey("pkcs8", x509.PemConverter.decodeFirst(authority.key), ALGORITHM, false, ["sign"])]; // prettier-ignore
  const cert = await x509.X509CertificateGenerator.create({
    serialNumber: serialNumber(),
    subject: "CN=Akmedon",
    issuer: issuer.subject,
    notBefore: addDays(now, -1),
    notAfter: addDays(now, SERVER_DAYS),
    signingAlgorithm: ALGORITHM,
    publicKey: pair.publicKey,
    signingKey,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isIP(value) ? ("ip" as const) : ("dns" as const), value })),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(issuer.publicKey),
    ],
  });
  return { key: await pemOfKey(pair.privateKey), cert: cert.toString("pem") };
}

/** Written whole or not at all; a key only for the one who runs the server. */
function keep(at: string, text: string): string {
  writeFileSync(`${at}.new`, text, { mode: 0o600 });
  chmodSync(`${at}.new`, 0o600);
  renameSync(`${at}.new`, at);
  return text;
}

const kept = (folder: string, name: string): Certificate | undefined => {
  const [key, cert] = [path.join(folder, `${name}.key`), path.join(folder, `${name}.crt`)];
  return existsSync(key) && existsSync(cert) ? { key: readFileSync(key, "utf8"), cert: readFileSync(cert, "utf8") } : undefined; // prettier-ignore
};
const keepBoth = (folder: string, name: string, { key, cert }: Certificate) => ({ key: keep(path.join(folder, `${name}.key`), key), cert: keep(path.join(folder, `${name}.crt`), cert) }); // prettier-ignore

/** Whether a certificate is of this authority, names all these and no other, and lasts a while. */
export function holds({ cert }: Certificate, authority: Certificate, names: readonly string[], now: Date): boolean {
  const read = new Read(cert);
  const isNamed = (name: string) => (isIP(name) ? read.checkIP(name) : read.checkHost(name)) !== undefined;
  const named = read.subjectAltName?.split(", ").length ?? 0;
  return read.verify(new Read(authority.cert).publicKey) && named === names.length && names.every(isNamed) && new Date(read.validTo) > addDays(now, RENEW_DAYS); // prettier-ignore
}

/**
 * The household's authority, made once, and a certificate of it for the server's names, made anew when it runs out or
 * the server has other addresses than before: phones that trust the authority notice nothing.
 *
 * @param folder - where both are kept
 * @param names - names and addresses by which the server is called
 */
export async function householdCertificate(
  folder: string,
  names: readonly string[],
  now: Date,
): Promise<Certificate & { authority: string }> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const known = kept(folder, "authority");
  const authority = known ?? keepBoth(folder, "authority", await newAuthority(now));
  const server = kept(folder, "server");
  const stands = server && holds(server, authority, names, now) ? server : keepBoth(folder, "server", await newServer(authority, names, now)); // prettier-ignore
  return { ...stands, authority: authority.cert };
}

/** How a phone shows which certificate it is about to trust: SHA-256, in pairs. */
export const fingerprintOf = (cert: string) => new Read(cert).fingerprint256;

/**
 * A certificate that somebody else made, from its files.
 *
 * @throws {Error} with which file cannot be read
 */
export function namedCertificate(files: Certificate): Certificate {
  const read = (what: string, file: string) => {
    try {
      return readFileSync(file, "utf8");
    } catch {
      throw new Error(`${what}: ${file} cannot be read.`);
    }
  };
  return { key: read("AKMEDON_KEY", files.key), cert: read("AKMEDON_CERT", files.cert) };
}
