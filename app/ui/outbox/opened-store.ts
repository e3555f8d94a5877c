import { deviceStore } from "./device-store";
import type { EntryStore } from "./kept-entry";
import { memoryStore } from "./memory-store";
import { PageMirror, mirrored } from "./mirrored-store";

let opened: Promise<EntryStore> | undefined;
const page = new PageMirror();

/** The device's store, opened once; where it is refused, what is done lives as long as the page. */
const openedStore = () =>
  (opened ??= deviceStore()
    .catch(memoryStore)
    .then((store) => mirrored(store, page)));

/** Does something with the store; one that fails is opened anew and asked once more, without a reload. */
export async function withStore<T>(act: (store: EntryStore) => Promise<T>): Promise<T> {
  try {
    return await act(await openedStore());
  } catch {
    opened = undefined;
    return act(await openedStore());
  }
}
