import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import { openDB } from "idb";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { Entry, type EntryBody } from "~/core/entries";
import { deviceStore } from "~/ui/outbox/device-store";
import type { EntryStore } from "~/ui/outbox/kept-entry";
import { memoryStore } from "~/ui/outbox/memory-store";
import { PageMirror, mirrored } from "~/ui/outbox/mirrored-store";
import { withStore } from "~/ui/outbox/opened-store";
import { sendWaiting } from "~/ui/outbox/sender";

const pick = (count: string): EntryBody => ({ kind: "pick", plantingId: "courgette", outcome: "picked", count });

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});
afterEach(() => vi.unstubAllGlobals());

/** A garden at the other end: what it was sent, and how it answers each entry. */
function garden(answerOf: (entry: { id: string; kind: string }) => object | undefined) {
  const sent: { id: string; sequence: number }[][] = [];
  vi.stubGlobal("fetch", (_: string, { body }: { body: string }) => {
    const { entries } = JSON.parse(body) as { entries: { id: string; kind: string; sequence: number }[] };
    sent.push(entries);
    const answers = entries.map((e) => ({ id: e.id, ...(answerOf(e) ?? { status: "applied" }) }));
    return Promise.resolve(new Response(JSON.stringify({ answers })));
  });
  return sent;
}

test.each<[string, () => Promise<EntryStore>]>([
  ["on the device", deviceStore],
  ["in the page where the device keeps nothing", () => Promise.resolve(memoryStore())],
])("entries %s wait in the order they were done, each with its envelope", async (_, opened) => {
  const store = await opened();
  const first = await store.add(pick("1"), "Courgette: 1");
  const second = await store.add({ kind: "take back", target: first }, "Take back");
  const kept = await store.all();
  expect(kept.map((k) => k.id)).toEqual([first, second]);
  for (const k of kept) expect(Entry.safeParse(k.entry).success).toBe(true);
  expect(kept[1]!.entry.sequence).toBe(kept[0]!.entry.sequence + 1);
  expect(kept[1]!.entry.device).toBe(kept[0]!.entry.device);
});

test("a device keeps its number and its count over a restart", async () => {
  const before = await deviceStore();
  await before.add(pick("1"), "one");
  const after = await deviceStore();
  await after.add(pick("2"), "two");
  const [one, two] = await after.all();
  expect([two!.entry.device, two!.entry.sequence]).toEqual([one!.entry.device, one!.entry.sequence + 1]);
});

test("applied entries leave, a refused one stays with its sentence and holds up nothing, “not now” waits on", async () => {
  const store = await deviceStore();
  const [good, bad, later, last] = [await store.add(pick("1"), "1"), await store.add(pick("-2"), "2"), await store.add({ kind: "weighing", lotId: "x" }, "3"), await store.add(pick("4"), "4")]; // prettier-ignore
  const sent = garden(({ id }) =>
    id === bad
      ? { status: "refused", sentence: "A count cannot be below zero.", fields: { count: "below zero" } }
      : id === later
        ? { status: "not now" }
        : undefined,
  );
  expect(await sendWaiting(store)).toBe(3);
  expect(sent[0]!.map((e) => e.id)).toEqual([good, bad, later, last]);
  expect((await store.all()).map((k) => [k.id, k.problem?.sentence ?? null])).toEqual([[bad, "A count cannot be below zero."], [later, null]]); // prettier-ignore
  // The refusal is not sent again by itself, over a restart either.
  await sendWaiting(await deviceStore());
  expect(sent[1]!.map((e) => e.id)).toEqual([later]);
  // Put right it goes out under its own number, in its own place.
  await store.replace(bad, pick("2"), "two");
  await sendWaiting(store);
  expect(sent[2]!.map((e) => e.id)).toEqual([bad, later]);
});

test.each<[string, () => Promise<Response>]>([
  ["no network", () => Promise.reject(new TypeError("fetch failed"))],
  ["a page instead of an answer", () => Promise.resolve(new Response("<!doctype html>"))],
  ["an error of the server", () => Promise.resolve(new Response("{}", { status: 500 }))],
  ["half an answer", () => Promise.resolve(new Response('{"answers":[{"id":"'))],
])("%s keeps everything waiting", async (_, reply) => {
  const store = await deviceStore();
  const id = await store.add(pick("1"), "one");
  vi.stubGlobal("fetch", reply);
  expect(await sendWaiting(store)).toBe(0);
  expect((await store.all()).map((k) => [k.id, k.problem])).toEqual([[id, null]]);
});

test("two senders at once send each entry once", async () => {
  const store = await deviceStore();
  for (let n = 0; n < 5; n++) await store.add(pick(String(n)), "pick");
  const sent = garden(() => undefined);
  await Promise.all([sendWaiting(store), sendWaiting(await deviceStore()), sendWaiting(store)]);
  expect(sent.flat()).toHaveLength(5);
  expect(await store.all()).toEqual([]);
});

test("many entries go in several sendings; when the signal breaks off, those that arrived are settled", async () => {
  const store = await deviceStore();
  for (let n = 0; n < 90; n++) await store.add(pick(String(n)), "pick");
  const sent = garden(() => undefined);
  const good = globalThis.fetch;
  let calls = 0;
  vi.stubGlobal("fetch", (...args: Parameters<typeof fetch>) => (++calls === 2 ? Promise.reject(new TypeError("gone")) : good(...args))); // prettier-ignore
  expect(await sendWaiting(store)).toBe(40);
  expect(await store.all()).toHaveLength(50);
  expect(await sendWaiting(store)).toBe(50);
  expect(new Set(sent.flat().map((e) => e.id)).size).toBe(90);
});

test("what cannot be read is put aside as it stands, and the rest goes on", async () => {
  const store = await deviceStore();
  const id = await store.add(pick("1"), "one");
  const raw = await openDB("akmedon-device", 1);
  const strange = { id: "from a later version", entry: { kind: "moon dance", at: "soon" }, words: 7 };
  await raw.put("entries", strange);
  raw.close();
  expect((await store.all()).map((k) => k.id)).toEqual([id]);
  expect(await store.aside()).toEqual([strange]);
  const sent = garden(() => undefined);
  await sendWaiting(store);
  expect(sent.flat().map((e) => e.id)).toEqual([id]);
  // Over a restart it is still there, until it is dropped.
  expect(await (await deviceStore()).aside()).toEqual([strange]);
  await store.dropAside();
  expect(await store.aside()).toEqual([]);
});

test("a device read that fails is asked anew, and does not stop the outbox until a reload", async () => {
  const id = await withStore((store) => store.add(pick("1"), "one"));

  const transaction = IDBDatabase.prototype.transaction;
  let failures = 0;
  IDBDatabase.prototype.transaction = function (...args) {
    IDBDatabase.prototype.transaction = transaction;
    failures++;
    void args;
    throw new DOMException("The connection was lost.", "InvalidStateError");
  };
  expect((await withStore((store) => store.all())).map((k) => k.id)).toEqual([id]);
  expect(failures).toBe(1);
});

test("a full device: what is written waits in the page, is said to, and goes out once", async () => {
  const store = mirrored(await deviceStore(), new PageMirror());
  const first = await store.add(pick("1"), "one");
  const transaction = IDBDatabase.prototype.transaction;
  IDBDatabase.prototype.transaction = function (stores: string | Iterable<string>, mode?: IDBTransactionMode) {
    const isAdding = Array.isArray(stores) && stores.includes("about");
    if (isAdding) throw new DOMException("There is no room.", "QuotaExceededError");
    return transaction.call(this, stores, mode);
  };
  const second = await store.add(pick("2"), "two");
  IDBDatabase.prototype.transaction = transaction;
  expect([(await store.all()).map((k) => k.id), store.forgets]).toEqual([[first, second], true]);
  const sent = garden(() => undefined);
  await sendWaiting(store);
  expect(sent.flat().map((e) => e.id)).toEqual([first, second]);
  expect([await store.all(), store.forgets]).toEqual([[], false]);
});

test("a device emptied under an open page: what waited goes out from the page; what another tab sent does not come back", async () => {
  const page = new PageMirror();
  let device = await deviceStore();
  const tab = mirrored(device, page);
  const [sent, lost] = [await tab.add(pick("1"), "one"), await tab.add(pick("2"), "two")];
  // Another tab has sent it.
  await device.remove(sent);
  expect([(await tab.all()).map((k) => k.id), tab.forgets]).toEqual([[lost], false]);
  globalThis.indexedDB = new IDBFactory();
  device = await deviceStore();
  const anew = mirrored(device, page);
  expect((await anew.all()).map((k) => k.id)).toContain(lost);
  expect(anew.forgets).toBe(true);
  await anew.refuse(lost, { sentence: "No.", fields: {} });
  expect((await anew.all()).find((k) => k.id === lost)!.problem!.sentence).toBe("No.");
  await anew.replace(lost, pick("3"), "three");
  expect((await anew.all()).find((k) => k.id === lost)!).toMatchObject({ problem: null, entry: { count: "3" } });
});

/** The list of the version before, as it kept it. */
async function oldOutbox(list: unknown): Promise<void> {
  const old = await openDB("keyval-store", 1, { upgrade: (db) => void db.createObjectStore("keyval") });
  await old.put("keyval", list, "akmedon-outbox");
  old.close();
}

test("what the version before left waiting comes along, entry by entry, under its own numbers", async () => {
  const pickId = crypto.randomUUID();
  const other = () => crypto.randomUUID();
  const unread = { id: "x", to: "/moon", words: "?", fields: {} };
  await oldOutbox([
    { id: other(), to: "/picks", words: "Courgette: 9", fields: { id: pickId, plantingId: "courgette", roundId: "r", pickedOn: "2026-08-19", outcome: "picked", tookAll: "true", count: "9", weight: "2 kg", containerId: "basket", containerCount: "2", condition: "sound", fate: "eat now", note: "" } }, // prettier-ignore
    { id: other(), to: "/picks", words: "Take back", fields: { intent: "take back", id: pickId } },
    unread,
    { id: other(), to: "/looks", words: "Carrot", fields: { plantingId: "carrot", cueId: "shoulder_width", readingId: "12_19", takenOn: "2026-08-19" } }, // prettier-ignore
    { id: other(), to: "/looks", words: "Count", fields: { intent: "count", plantingId: "courgette", what: "ready", number: "4", countedOn: "2026-08-19" } }, // prettier-ignore
    { id: other(), to: "/picks", words: "Later", fields: { intent: "pass by", roundId: "r", plantingId: "kale", done: "yes" } }, // prettier-ignore
    "nonsense",
  ]);
  const store = await deviceStore();
  const kept = await store.all();
  expect(kept.map((k) => k.entry.kind)).toEqual(["pick", "take back", "look", "count", "pass by"]);
  for (const k of kept) expect(Entry.safeParse(k.entry).success).toBe(true);
  expect(kept[0]!.entry).toMatchObject({ id: pickId, on: "2026-08-19", containers: [{ containerId: "basket", count: "2" }], tookAll: true }); // prettier-ignore
  expect(await store.aside()).toEqual([unread, "nonsense"]);
  // The old list is gone, so that nothing comes twice.
  expect((await indexedDB.databases()).map((d) => d.name)).toEqual(["akmedon-device"]);
  expect(await (await deviceStore()).all()).toHaveLength(5);
});

test.each([
  ["a list that is none", { not: "a list" }],
  ["a word", "rubbish"],
])("%s of before is kept aside whole", async (_, list) => {
  // prettier-ignore
  await oldOutbox(list);
  const store = await deviceStore();
  expect(await store.all()).toEqual([]);
  expect(await store.aside()).toEqual([list]);
});

test("a full disk at the other end would have been called no signal: the garden says why, and the entry waits on", async () => {
  const store = await deviceStore();
  await store.add(pick("1"), "1");
  const heard: string[] = [];
  garden(() => ({ status: "not now", why: "The disk is full, so nothing of it was written." }));
  expect(await sendWaiting(store, (why) => heard.push(why))).toBe(0);
  expect([heard, (await store.all()).length]).toEqual([["The disk is full, so nothing of it was written."], 1]);
  garden(() => ({ status: "not now" }));
  await sendWaiting(store, (why) => heard.push(why));
  expect(heard).toHaveLength(1);
});
