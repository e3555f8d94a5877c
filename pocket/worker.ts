import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from "workbox-precaching";
import { registerRoute } from "workbox-routing";
import {
  addressesOf,
  isKept,
  isPuttingOut,
  isWhole,
  keyOf,
  toFetch,
  type KeepOutcome,
  type Kept,
  type PocketAsk,
  type PocketList,
} from "../app/core/pocket";
import { pocketOf } from "./pages-pocket";

declare const self: ServiceWorkerGlobalScope;
/** Put in by the build: the app's own files, and by what it is known. */
declare const FILES: { url: string; revision: string | null }[];
declare const BUILD: string;

/** Pages of this build of the app: they name its files, so that another build has its own. */
const PAGES = `pages-${BUILD}`;
const BUILD_HEADER = "X-Akmedon-Build";
/** Longer than this nobody waits for a page with a thumb over it: what is kept is shown. Our judgement. */
const PATIENCE_MS = 4000;
const LIST = "/pocket.json";
const NO_SIGNAL = "/no-signal.html";

precacheAndRoute(FILES);
cleanupOutdatedCaches();

const at = (path: string) => new URL(path, self.location.origin);

/** An answer that may be kept: a page, whole, of this build of the app, for somebody who is in. */
const isOurs = (answer: Response) => answer.status === 200 && !answer.redirected && answer.headers.get(BUILD_HEADER) === BUILD; // prettier-ignore

const pocket = pocketOf(PAGES, () => self.serviceWorker.state !== "redundant");

/**
 * @param since - `pocket.emptied` when it was asked for
 * @throws {DOMException} where the phone has no room
 */
async function keep(url: URL, answer: Response, since: number): Promise<boolean> {
  if (!isOurs(answer) || !isWhole(url)) return false;
  return pocket.put(keyOf(url), answer, since);
}

const isPutOut = (answer: Response) => answer.headers.get("X-Remix-Redirect")?.startsWith("/login") ?? false;

/**
 * A page once all of it is here: where the line breaks in the middle it counts as none. What leads elsewhere, and what went
 * wrong, is passed on as it comes.
 */
async function whole(answer: Response, url: URL, since: number): Promise<Response> {
  if (answer.status !== 200 || answer.redirected) return answer;
  const copy = new Response(await answer.arrayBuffer(), { headers: answer.headers });
  if (isOurs(answer)) void keep(url, copy.clone(), since).catch(() => undefined);
  return copy;
}

/** From the garden's machine; where that does not answer in time, as it was kept. */
async function freshOrKept(request: Request): Promise<Response> {
  const url = new URL(request.url);
  const since = pocket.emptied;
  const fresh = fetch(request).then(async (answer) => {
    if (isPutOut(answer)) await pocket.empty();
    return whole(answer, url, since);
  });
  const late = new Promise<"late">((resolve) => setTimeout(() => resolve("late"), PATIENCE_MS));
  const first = await Promise.race([fresh.catch(() => "none" as const), late]);
  if (typeof first !== "string") return first;
  // What comes after all is kept for the next time.
  return (await pocket.match(keyOf(url))) ?? fresh;
}

/** A page that is not kept: without signal it is said so, in place of the browser's own words. */
const freshOrSaid = (request: Request): Promise<Response> =>
  fetch(request).catch(async () => (await matchPrecache(NO_SIGNAL)) ?? Response.error());

registerRoute(
  ({ request, url, sameOrigin }) => sameOrigin && request.method === "GET" && isKept(url),
  async ({ request }) => {
    const answer = await freshOrKept(request).catch(() => undefined);
    if (answer) return answer;
    return request.mode === "navigate" ? freshOrSaid(request) : Response.error();
  },
);
registerRoute(
  ({ url, request, sameOrigin }) => sameOrigin && request.mode === "navigate" && isPuttingOut(url),
  async ({ request }) => {
    await pocket.empty();
    return freshOrSaid(request);
  },
);
registerRoute(({ request, sameOrigin }) => sameOrigin && request.mode === "navigate", ({ request }) => freshOrSaid(request)); // prettier-ignore

/** What was kept when the garden's machine last answered. */
const keptBefore = async (): Promise<Kept | null> => {
  const there = await pocket.match(LIST);
  return there ? ((await there.json()) as Kept) : null;
};

async function fetchedAt(path: string): Promise<number | undefined> {
  const there = await Promise.all(addressesOf(path).map((address) => pocket.match(keyOf(at(address)))));
  const times = there.map((answer) => Date.parse(answer?.headers.get("Date") ?? ""));
  return times.some(Number.isNaN) ? undefined : Math.min(...times);
}

async function theList(): Promise<PocketList | "no signal" | "another build" | "not in"> {
  const answer = await fetch(at(LIST), { redirect: "manual" }).catch(() => undefined);
  if (!answer) return "no signal";
  if (answer.status !== 200) return answer.type === "opaqueredirect" || answer.status === 401 ? "not in" : "no signal";
  if (answer.headers.get(BUILD_HEADER) !== BUILD) return "another build";
  return (await answer.json()) as PocketList;
}

/** Keeps the garden's pages as they stand. */
async function keepAll(): Promise<KeepOutcome> {
  const since = pocket.emptied;
  const list = await theList();
  const before = await keptBefore();
  if (list === "not in") return (await pocket.empty(), { status: list });
  if (typeof list === "string") return { status: list, what: before };
  const times = new Map(await Promise.all(list.pages.map(async (path) => [path, await fetchedAt(path)] as const)));
  try {
    const lacking = new Set<string>();
    for (const path of toFetch(list, before, (p) => times.get(p))) {
      for (const address of addressesOf(path)) {
        const answer = await fetch(at(address), { headers: { Accept: "text/html" } }).catch(() => undefined);
        if (!answer) return { status: "no signal", what: before };
        if (!(await keep(at(address), answer, since))) lacking.add(path);
      }
    }
    const what: Kept = { kept: list.pages.length - lacking.size, of: list.pages.length, at: new Date().toISOString(), as: lacking.size > 0 ? "" : list.as }; // prettier-ignore
    await pocket.keepOnly(new Set([LIST, ...list.pages.flatMap(addressesOf)].map((path) => keyOf(at(path)))));
    const isPut = await pocket.put(LIST, Response.json(what), since);
    return isPut ? { status: "kept", what } : { status: "not in" };
  } catch {
    return { status: "no room", what: before };
  }
}

/** One at a time, whoever asks. */
let keeping: Promise<KeepOutcome> | undefined;
const keepOnce = () => (keeping ??= keepAll().finally(() => (keeping = undefined)));

self.addEventListener("message", (event) => {
  const asked = event.data as Partial<PocketAsk> | null;
  if (asked?.ask === "keep") event.waitUntil(keepOnce().then((outcome) => event.ports[0]?.postMessage(outcome)));
  if (asked?.ask === "take over" && asked.build === BUILD) event.waitUntil(takeOver((event.source as Client).id));
});

const TRIES = 20;
const BETWEEN_MS = 500;

/**
 * Takes over where no other page is open: one of the build before would lose the files it has yet to fetch. A page that was
 * left a moment ago still counts as open, so it is asked for a while.
 */
async function takeOver(asker: string): Promise<void> {
  for (let n = 0; n < TRIES; n++) {
    const open = await self.clients.matchAll({ type: "window", includeUncontrolled: true });
    if (open.every((client) => client.id === asker)) return self.skipWaiting();
    await new Promise((resolve) => setTimeout(resolve, BETWEEN_MS));
  }
}

/** After an upgrade the garden is brought over before the new build may take over; without signal the old stays whole. */
async function bringOver(): Promise<void> {
  const others = (await caches.keys()).filter((name) => name.startsWith("pages-") && name !== PAGES);
  if (others.length === 0) return;
  const { status } = await keepOnce();
  if (status === "no signal" || status === "no room") throw new Error(status);
}

self.addEventListener("install", (event) => event.waitUntil(bringOver()));
self.addEventListener("activate", (event) =>
  event.waitUntil(
    caches
      .keys()
      .then((names) =>
        Promise.all(
          names.filter((name) => name.startsWith("pages-") && name !== PAGES).map((name) => caches.delete(name)),
        ),
      ) // prettier-ignore
      .then(() => self.clients.claim()),
  ),
);
