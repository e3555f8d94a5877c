import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from "idb";
import type { EntryBody } from "~/core/entries";
import { KeptEntry, withBody, withProblem, type EntryStore } from "./kept-entry";
import { entriesOfOldOutbox } from "./old-outbox";

interface DeviceSchema extends DBSchema {
  /** A row an entry. */
  entries: { key: string; value: unknown };
  /** What could not be read. */
  aside: { key: number; value: unknown };
  /** The device's own number, and how many entries it has made. */
  about: { key: string; value: string | number };
}

const NAME = "akmedon-device";

/**
 * The entries of this device in its own database.
 *
 * @throws {DOMException} where the device refuses to keep anything
 */
export async function deviceStore(): Promise<EntryStore> {
  const db = await openDB<DeviceSchema>(NAME, 1, {
    upgrade(fresh) {
      fresh.createObjectStore("entries", { keyPath: "id" });
      fresh.createObjectStore("aside", { autoIncrement: true });
      fresh.createObjectStore("about");
    },
  });
  await takeOverOldOutbox(db);
  return {
    forgets: false,
    number: async () => (await db.get("about", "device")) as string | undefined,
    add: (body, words) => add(db, body, words),
    all: () => readAll(db),
    remove: (id) => db.delete("entries", id),
    refuse: (id, problem) => change(db, id, (kept) => withProblem(kept, problem)),
    replace: (id, body, words) => change(db, id, (kept) => withBody(kept, body, words)),
    aside: () => db.getAll("aside"),
    dropAside: () => db.clear("aside"),
  };
}

type DeviceDb = IDBPDatabase<DeviceSchema>;

async function add(
  db: DeviceDb,
  body: EntryBody,
  words: string,
  at = new Date().toISOString(),
  id: string = crypto.randomUUID(),
): Promise<string> {
  // prettier-ignore
  const tx = db.transaction(["entries", "about"], "readwrite");
  const about = tx.objectStore("about");
  const device = ((await about.get("device")) as string | undefined) ?? crypto.randomUUID();
  const sequence = (((await about.get("sequence")) as number | undefined) ?? 0) + 1;
  await about.put(device, "device");
  await about.put(sequence, "sequence");
  await tx.objectStore("entries").put({ id, entry: { ...body, id, device, sequence, at }, words, problem: null });
  await tx.done;
  return id;
}

/** Row by row: one that cannot be read is put aside as it stands. */
async function readAll(db: DeviceDb): Promise<KeptEntry[]> {
  const read: KeptEntry[] = [];
  const tx = db.transaction(["entries", "aside"], "readwrite");
  for (let at = await tx.objectStore("entries").openCursor(); at; at = await at.continue()) {
    const kept = KeptEntry.safeParse(at.value);
    if (kept.success) read.push(kept.data);
    else {
      await tx.objectStore("aside").add(at.value);
      await at.delete();
    }
  }
  await tx.done;
  return read.sort((a, b) => a.entry.sequence - b.entry.sequence);
}

async function change(db: DeviceDb, id: string, edit: (kept: KeptEntry) => unknown): Promise<void> {
  const tx = db.transaction("entries", "readwrite");
  const kept = KeptEntry.safeParse(await tx.store.get(id));
  if (kept.success) await tx.store.put(edit(kept.data));
  await tx.done;
}

const OLD_NAME = "keyval-store";

/** What an earlier version of the app kept in one list, entry by entry; the old list goes once all of it is here. */
async function takeOverOldOutbox(db: DeviceDb): Promise<void> {
  const known = await indexedDB.databases?.();
  if (known && !known.some((d) => d.name === OLD_NAME)) return;
  const old = await openDB(OLD_NAME);
  const list: unknown = old.objectStoreNames.contains("keyval") ? await old.get("keyval", "akmedon-outbox") : undefined;
  old.close();
  const { entries, unread } = entriesOfOldOutbox(list);
  for (const { id, body, words, at } of entries) await add(db, body, words, at, id);
  for (const raw of unread) await db.add("aside", raw);
  await deleteDB(OLD_NAME);
}
