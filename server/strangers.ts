/** What a request says of where it comes from. */
export interface Knock {
  method: string;
  path: string;
  host: string | undefined;
  origin: string | undefined;
  /** What the browser says: "same-origin", "same-site", "cross-site", "none". */
  site: string | undefined;
}

/** Answers that another site could take away, or have a browser fetch for it: exports, JSON, feeds. */
const FOR_OURSELVES = /\.(data|csv|json|ics)$|^\/(entries|places|demo)(\/|$)/;
const READS = ["GET", "HEAD"];

/** Names by which this machine calls itself. */
const HERE = ["localhost", "127.0.0.1", "[::1]"];

/** "localhost:4160" → "localhost"; what is no host is no name. */
function nameOf(host: string): string | undefined {
  return /^(\[[0-9a-f:.]+\]|[a-z0-9.-]+)(:\d{1,5})?$/i.exec(host)?.[1]?.toLowerCase();
}

/**
 * Why a request is not let in; undefined when it is.
 *
 * A page of another site may send forms and fetch things in the gardener's browser, and a name of its own may be made
 * to point here: so the host has to be one of ours, and where a browser says whose page asks, it has to be ours. A
 * program on this machine says neither and is let in: it could read the file itself.
 *
 * @param door - at the door that the network reaches: the names the household gave its server. There it comes by HTTPS
 *   only, and this machine's own names are nobody's
 */
export function strangerIn(
  { method, path, host, origin, site }: Knock,
  door?: { names: readonly string[] },
): string | undefined {
  const name = host && nameOf(host);
  if (!name || !(door?.names ?? HERE).includes(name)) return "This is not an address of the garden.";
  if (origin !== undefined && origin !== `${door ? "https" : "http"}://${host}`) return "Another site may not ask the garden for anything."; // prettier-ignore
  const fromOutside = site === "cross-site" || site === "same-site";
  if (fromOutside && !READS.includes(method)) return "Another site may not write into the garden.";
  if (fromOutside && FOR_OURSELVES.test(path)) return "Another site may not take anything out of the garden.";
  return undefined;
}
