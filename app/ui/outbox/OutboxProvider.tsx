import {
  createContext,
  startTransition,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useState,
  type ReactNode,
} from "react";
import { useRevalidator } from "react-router";
import { Entry, type EntryBody, type Waiting } from "~/core/entries";
import type { UnitSystem } from "~/core/units";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import type { EntryStore, KeptEntry } from "./kept-entry";
import { withStore } from "./opened-store";
import { sendWaiting } from "./sender";

export type SendResult =
  | { status: "saved"; id: string }
  | { status: "waits for signal"; id: string }
  | { status: "refused"; id: string; sentence: string; fields: Record<string, string> };

interface Outbox {
  /** Entries kept on this device until there is signal. */
  waiting: number;
  /** These entries, in the order they were done: pages show them as done. */
  waitingEntries: Waiting;
  /** Why the garden could not take them just now, where it said so. */
  why: string | null;
  /** Entries the garden refused, until they are put right or dropped. */
  problems: KeptEntry[];
  /** What could not be read, as it stood. */
  aside: unknown[];
  /** Whether the device has been read: before that nothing is known of what waits. */
  isRead: boolean;
  /** The device keeps nothing: what waits is gone with the page. */
  forgets: boolean;
  /** Writes it down, then sends it; `onWritten` hears its number in between. */
  send: (body: EntryBody, words: string, onWritten?: (id: string) => void) => Promise<SendResult>;
  /** Sends a refused entry again with another body. */
  putRight: (id: string, body: EntryBody, words: string) => Promise<SendResult>;
  /** A refusal whose form is still open is put right there, and said there only. */
  holdInForm: (id: string, held: boolean) => void;
  drop: (id: string) => Promise<void>;
  dropAside: () => Promise<void>;
  /** For putting an entry right: what may have stood on the scale, and how amounts are said. */
  containers: readonly ContainerToChoose[];
  units: UnitSystem;
}

const OutboxContext = createContext<Outbox | null>(null);
const RETRY_MS = 10_000;

/** What is on the device, as the screen shows it. */
function useKept() {
  const [kept, setKept] = useState<{ entries: KeptEntry[]; aside: unknown[]; forgets: boolean; isRead: boolean }>({ entries: [], aside: [], forgets: false, isRead: false }); // prettier-ignore
  const refresh = useCallback(async (store: EntryStore) => {
    const [entries, aside] = [await store.all(), await store.aside()];
    // As a transition: a page that is still coming is not drawn anew for it, and keeps what was typed.
    startTransition(() => setKept({ entries, aside, forgets: store.forgets, isRead: true }));
    return entries;
  }, []);
  return { kept, refresh };
}

/** Sends what waits: when the page opens, when the signal is back, and every few seconds while something waits. */
function useSender(refresh: (store: EntryStore) => Promise<KeptEntry[]>, waiting: number) {
  const { revalidate } = useRevalidator();
  const [why, setWhy] = useState<string | null>(null);
  const flush = useCallback(async () => {
    let heard: string | null = null;
    const { settled, left } = await withStore(async (store) => ({
      settled: await sendWaiting(store, (said) => (heard = said)),
      left: await refresh(store),
    }));
    startTransition(() => setWhy(heard));
    if (settled > 0) void revalidate();
    return left;
  }, [refresh, revalidate]);
  useEffect(() => {
    const again = () => void flush();
    window.addEventListener("online", again);
    // What an earlier visit left behind goes out first thing.
    const first = setTimeout(again, 0);
    return () => {
      window.removeEventListener("online", again);
      clearTimeout(first);
    };
  }, [flush]);
  useEffect(() => {
    if (waiting === 0) return;
    const timer = setInterval(() => void flush(), RETRY_MS);
    return () => clearInterval(timer);
  }, [waiting, flush]);
  return { flush, why };
}

/** What became of an entry after a sending. */
function resultOf(id: string, left: readonly KeptEntry[]): SendResult {
  const still = left.find((e) => e.id === id);
  if (!still) return { status: "saved", id };
  return still.problem ? { status: "refused", id, ...still.problem } : { status: "waits for signal", id };
}

/** What can be done with entries on the device. */
function useEntryActs(flush: () => Promise<KeptEntry[]>, refresh: (store: EntryStore) => Promise<KeptEntry[]>) {
  return useMemo(() => {
    const change = (act: (store: EntryStore) => Promise<void>) =>
      withStore(async (store) => {
        await act(store);
        await refresh(store);
      });
    const send: Outbox["send"] = async (body, words, onWritten) => {
      const id = await withStore((store) => store.add(body, words));
      onWritten?.(id);
      return resultOf(id, await flush());
    };
    const putRight: Outbox["putRight"] = async (id, body, words) => {
      await withStore((store) => store.replace(id, body, words));
      return resultOf(id, await flush());
    };
    return {
      send,
      putRight,
      drop: (id: string) => change((store) => store.remove(id)),
      dropAside: () => change((store) => store.dropAside()),
    };
  }, [flush, refresh]);
}

interface OutboxProviderProps extends Pick<Outbox, "containers" | "units"> {
  children: ReactNode;
}

/**
 * Entries are written down on the device first and then sent; without signal they wait and go later, each once.
 */
export function OutboxProvider({ containers, units, children }: OutboxProviderProps) {
  const { kept, refresh } = useKept();
  const [held, setHeld] = useState<readonly string[]>([]);
  const waitingEntries = useMemo(() => kept.entries.filter((e) => e.problem === null).flatMap(({ entry }) => Entry.safeParse(entry).data ?? []), [kept]); // prettier-ignore
  const waiting = kept.entries.filter((e) => e.problem === null).length;
  const { flush, why } = useSender(refresh, waiting);
  const acts = useEntryActs(flush, refresh);
  const holdInForm = useCallback<Outbox["holdInForm"]>(
    (id, isHeld) => setHeld((before) => (isHeld ? [...before, id] : before.filter((h) => h !== id))),
    [],
  );
  const outbox = useMemo(
    () => ({
      ...acts,
      waiting,
      waitingEntries,
      why,
      problems: kept.entries.filter((e) => e.problem !== null && !held.includes(e.id)),
      aside: kept.aside,
      isRead: kept.isRead,
      forgets: kept.forgets,
      holdInForm,
      containers,
      units,
    }),
    [acts, kept, waiting, waitingEntries, why, held, holdInForm, containers, units],
  );
  return <OutboxContext value={outbox}>{children}</OutboxContext>;
}

export function useOutbox(): Outbox {
  const outbox = useContext(OutboxContext);
  if (!outbox) throw new Error("useOutbox outside OutboxProvider");
  return outbox;
}
