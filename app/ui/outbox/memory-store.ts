import { withBody, withProblem, type EntryStore, type KeptEntry } from "./kept-entry";

/** Where the device refuses to keep anything: entries wait as long as the page is open. */
export function memoryStore(): EntryStore {
  const entries = new Map<string, KeptEntry>();
  const device = crypto.randomUUID();
  let sequence = 0;
  const change = (id: string, edit: (kept: KeptEntry) => KeptEntry) => {
    const kept = entries.get(id);
    if (kept) entries.set(id, edit(kept));
    return Promise.resolve();
  };
  return {
    forgets: true,
    number: () => Promise.resolve(device),
    add: (body, words) => {
      const id = crypto.randomUUID();
      const at = new Date().toISOString();
      entries.set(id, { id, entry: { ...body, id, device, sequence: ++sequence, at }, words, problem: null });
      return Promise.resolve(id);
    },
    all: () => Promise.resolve([...entries.values()]),
    remove: (id) => Promise.resolve(void entries.delete(id)),
    refuse: (id, problem) => change(id, (kept) => withProblem(kept, problem)),
    replace: (id, body, words) => change(id, (kept) => withBody(kept, body, words)),
    aside: () => Promise.resolve([]),
    dropAside: () => Promise.resolve(),
  };
}
