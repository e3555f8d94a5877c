import { withBody, withProblem, type EntryStore, type KeptEntry } from "./kept-entry";
import { memoryStore } from "./memory-store";

/** What a page remembers of its own entries, over a device that is opened anew. */
export class PageMirror {
  /** Each as it stood last, by number. */
  readonly entries = new Map<string, KeptEntry>();
  /** Written here because the device could not. */
  readonly inPageOnly = new Set<string>();
  readonly writer = memoryStore();
}

/**
 * A device's store with a mirror in the page: what was written here and is not on the device, because it is full or was
 * emptied meanwhile, still waits as long as the page is open. Sent twice it is written once.
 */
export function mirrored(device: EntryStore, page: PageMirror): EntryStore {
  let forgets = device.forgets;
  const see = (id: string, kept: KeptEntry | undefined) => void (kept && page.entries.set(id, kept));
  const edit = (id: string, to: (kept: KeptEntry) => KeptEntry) => {
    const kept = page.entries.get(id);
    if (kept) page.entries.set(id, to(kept));
  };
  return {
    get forgets() {
      return forgets;
    },
    number: () => device.number(),
    async add(body, words) {
      try {
        const id = await device.add(body, words);
        see(
          id,
          (await device.all()).find((kept) => kept.id === id),
        );
        return id;
      } catch {
        const id = await page.writer.add(body, words);
        see(
          id,
          (await page.writer.all()).find((kept) => kept.id === id),
        );
        page.inPageOnly.add(id);
        return id;
      }
    },
    async all() {
      const kept = await device.all();
      for (const row of kept) if (page.entries.has(row.id)) page.entries.set(row.id, row);
      const there = new Set(kept.map(({ id }) => id));
      const number = await device.number();
      // Gone while the device still knows itself: another tab has sent it.
      const isLost = ({ id, entry }: KeptEntry) => page.inPageOnly.has(id) || entry.device !== number;
      const lost = [...page.entries.values()].filter((row) => !there.has(row.id) && isLost(row));
      forgets = device.forgets || lost.length > 0;
      return [...kept, ...lost];
    },
    async remove(id) {
      page.entries.delete(id);
      page.inPageOnly.delete(id);
      await device.remove(id);
    },
    async refuse(id, problem) {
      edit(id, (kept) => withProblem(kept, problem));
      await device.refuse(id, problem);
    },
    async replace(id, body, words) {
      edit(id, (kept) => withBody(kept, body, words));
      await device.replace(id, body, words);
    },
    aside: () => device.aside(),
    dropAside: () => device.dropAside(),
  };
}
