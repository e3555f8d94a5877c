import { expect, test } from "vitest";
import { pocketOf } from "../../pocket/pages-pocket";

/** The browser's caches by hand, as the standard tells them: opened where there is none, one is made. */
function cachesByHand() {
  const all = new Map<string, Map<string, Response>>();
  const cacheOf = (name: string) => {
    const held = all.get(name) ?? new Map<string, Response>();
    all.set(name, held);
    return {
      put: async (key: string, answer: Response) => void held.set(key, answer),
      keys: async () => [...held.keys()].map((url) => ({ url })),
      delete: async ({ url }: { url: string }) => held.delete(url),
    };
  };
  const storage = {
    open: async (name: string) => cacheOf(name),
    has: async (name: string) => all.has(name),
    delete: async (name: string) => all.delete(name),
    match: async (key: string, { cacheName }: { cacheName: string }) => all.get(cacheName)?.get(key),
  };
  return { all, storage: storage as unknown as CacheStorage };
}

test("what was fetched before all was thrown away is not written after it, whichever comes first", async () => {
  const { all, storage } = cachesByHand();
  const pocket = pocketOf("pages-a", () => true, storage);
  const before = pocket.emptied;
  expect(await pocket.put("/round", new Response("walk"), before)).toBe(true);
  const late = pocket.put("/beds", new Response("beds"), before);
  await pocket.empty();
  await late;
  expect(await pocket.put("/check/leek", new Response("leek"), before)).toBe(false);
  expect(all.size).toBe(0);
  expect(await pocket.match("/round")).toBeUndefined();
  expect(await pocket.put("/round", new Response("anew"), pocket.emptied)).toBe(true);
  expect(await (await pocket.match("/round"))?.text()).toBe("anew");
});

test("one that another has taken over from neither writes nor makes its cache anew by looking", async () => {
  const { all, storage } = cachesByHand();
  let isHere = true;
  const pocket = pocketOf("pages-a", () => isHere, storage);
  await pocket.put("/round", new Response("walk"), pocket.emptied);
  isHere = false;
  all.clear();
  expect(await pocket.match("/round")).toBeUndefined();
  expect(await pocket.put("/round", new Response("late"), pocket.emptied)).toBe(false);
  await pocket.keepOnly(new Set());
  expect(all.size).toBe(0);
});

test("what does not grow any more is thrown away, and a write that fails stops none after it", async () => {
  const { all, storage } = cachesByHand();
  const pocket = pocketOf("pages-a", () => true, storage);
  for (const key of ["/round", "/check/leek"]) await pocket.put(key, new Response(key), 0);
  const open = storage.open.bind(storage);
  storage.open = () => Promise.reject(new DOMException("full", "QuotaExceededError"));
  await expect(pocket.put("/beds", new Response("beds"), 0)).rejects.toThrow("full");
  storage.open = open;
  await pocket.keepOnly(new Set(["/round"]));
  expect([...all.get("pages-a")!.keys()]).toEqual(["/round"]);
});
