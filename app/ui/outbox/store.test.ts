import { afterEach, beforeEach, expect, test, vi } from "vitest";

const kept = new Map<string, unknown>();
vi.mock("idb-keyval", () => ({
  get: (key: string) => Promise.resolve(kept.get(key)),
  update: (key: string, edit: (before: unknown) => unknown) => Promise.resolve(kept.set(key, edit(kept.get(key)))),
}));
const { changeOutbox, postEntry, readOutbox } = await import("./store");

const entry = {
  id: "a",
  to: "/picks" as const,
  words: "Courgette: 9",
  fields: { count: "9" },
  problem: null,
  errors: {},
};
const answer = (body: unknown, status = 200) =>
  vi.stubGlobal(
    "fetch",
    vi.fn(() => Promise.resolve(Response.json(body, { status }))),
  );

beforeEach(() => kept.clear());
afterEach(() => vi.unstubAllGlobals());

test("entries stand in the order they were written down, and what is no entry is left out with the rest kept safe", async () => {
  expect(await readOutbox()).toEqual([]);
  await changeOutbox((all) => [...all, entry]);
  await changeOutbox((all) => [...all, { ...entry, id: "b" }]);
  expect((await readOutbox()).map((e) => e.id)).toEqual(["a", "b"]);
  await changeOutbox((all) => all.filter((e) => e.id !== "a"));
  expect((await readOutbox()).map((e) => e.id)).toEqual(["b"]);
});

test("a saved entry is sent with its fields to its own place", async () => {
  answer({ status: "logged" });
  expect(await postEntry(entry)).toEqual({ status: "saved" });
  const [to, sent] = vi.mocked(fetch).mock.calls[0]!;
  expect(to).toBe("/picks");
  expect(String(sent?.body)).toBe("count=9");
});

test("a refusal comes back with its sentences by field", async () => {
  answer({ status: "refused", errors: { count: "A count cannot be below zero." } }, 400);
  expect(await postEntry(entry)).toEqual({ status: "refused", errors: { count: "A count cannot be below zero." } });
});

test.each<[string, () => Promise<Response>]>([
  ["no network", () => Promise.reject(new TypeError("Failed to fetch"))],
  ["a timeout", () => Promise.reject(new DOMException("timed out", "TimeoutError"))],
  ["a page of somebody's login", () => Promise.resolve(new Response("<html>Wi-Fi login</html>"))],
  ["half an answer", () => Promise.resolve(new Response('{"status": "log'))],
  ["a broken server", () => Promise.resolve(new Response("", { status: 502 }))],
])("%s counts as no signal, so nothing is lost", async (_, reply) => {
  vi.stubGlobal("fetch", vi.fn(reply));
  expect(await postEntry(entry)).toEqual({ status: "waits for signal" });
});
