/**
 * Pages that a phone keeps for the beds: the Horizon, the round, every planting's check with what its judge stands on, the
 * beds. Nothing that only makes sense with the garden's machine, and nothing that lets somebody in.
 */
const KEPT = /^\/(?:round|round\/walk|beds|check\/[^/]+|check\/[^/]+\/sheet)?$/;

/** The way to a page itself, from its address or that of its data. */
const pathOf = (pathname: string) => (pathname === "/_root.data" ? "/" : pathname.replace(/\.data$/, ""));

/** Whether a page, or the data of one, is kept on the phone. */
export const isKept = ({ pathname }: URL): boolean => KEPT.test(pathOf(pathname));

/**
 * Under which address an answer is kept: what is asked of a page beside its path is for the machine, and a part of a page's
 * data is answered from the whole.
 */
export const keyOf = ({ origin, pathname }: URL): string => origin + pathname;

/** Whether an answer holds the whole: data of some parts of a page only is given, and not kept. */
export const isWhole = ({ searchParams }: URL): boolean => !searchParams.has("_routes");

/** Where a page is fetched, and all that belongs to it. */
export function addressesOf(path: string): string[] {
  const sheet = path.startsWith("/check/") ? [`${path}/sheet`] : [];
  return [path, path === "/" ? "/_root.data" : `${path}.data`, ...sheet];
}

/** Pages that put out whoever kept something: the passphrase is asked for, so that this phone is no longer in. */
export const isPuttingOut = ({ pathname }: URL): boolean => pathname === "/login" || pathname === "/login.data";

/** What the garden's machine says is to be kept. */
export interface PocketList {
  /** In the order of need: the walk itself first. */
  pages: string[];
  /** How many of them change with the hour, and are fetched each time. */
  always: number;
  /** The state of the garden: while it is the same, the other pages are as they were. */
  as: string;
}

/** What is on the phone. */
export interface Kept {
  kept: number;
  of: number;
  /** When it was last as the garden's machine has it; ISO. */
  at: string;
  as: string;
}

/**
 * Which pages are to be fetched, in which order: those that change with the hour, then those that are not there, then those
 * that were fetched the longest ago.
 *
 * @param fetchedAt - when each was fetched, ms; none where it is not there
 */
export function toFetch(
  { pages, always, as }: PocketList,
  before: Kept | null,
  fetchedAt: (path: string) => number | undefined,
): string[] {
  const [first, others] = [pages.slice(0, always), pages.slice(always)];
  const isSame = before?.as === as;
  const stale = others.filter((path) => !isSame || fetchedAt(path) === undefined);
  return [...first, ...stale.sort((a, b) => (fetchedAt(a) ?? 0) - (fetchedAt(b) ?? 0))];
}

/** What a page asks of the worker: to keep the garden; or, from a page of its own build, to take over from the one before. */
export type PocketAsk = { ask: "keep" } | { ask: "take over"; build: string };

/** What became of keeping the garden. */
export type KeepOutcome =
  | { status: "kept"; what: Kept }
  /** The garden's machine does not answer; what there is stays. */
  | { status: "no signal"; what: Kept | null }
  /** The machine serves another build of the app: this one's pages stay until that takes over. */
  | { status: "another build"; what: Kept | null }
  | { status: "no room"; what: Kept | null }
  /** The passphrase is asked for. */
  | { status: "not in" };
