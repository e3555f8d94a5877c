import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { useRevalidator } from "react-router";
import { changeOutbox, postEntry, readOutbox, type OutboxEntry, type SendResult } from "./store";

interface Outbox {
  /** Entries kept on this device until there is signal. */
  waiting: number;
  /** Entries the garden refused when they were sent later. */
  problems: OutboxEntry[];
  send: (to: OutboxEntry["to"], words: string, fields: Record<string, string>) => Promise<SendResult>;
  drop: (id: string) => Promise<void>;
}

const OutboxContext = createContext<Outbox | null>(null);
const RETRY_MS = 10_000;

/**
 * Entries are written down on the device first and then sent; without signal they wait and go later,
 * each once, in order.
 */
export function OutboxProvider({ children }: { children: ReactNode }) {
  const [entries, setEntries] = useState<OutboxEntry[]>([]);
  const { revalidate } = useRevalidator();

  // One run at a time, oldest entry first: what was undone without signal must not be sent before what it undoes.
  const running = useRef<Promise<void>>(Promise.resolve());
  const flush = useCallback(() => {
    running.current = running.current.then(async () => {
      let settled = 0;
      for (const entry of (await readOutbox()).filter((e) => e.problem === null)) {
        const result = await postEntry(entry);
        if (result.status === "waits for signal") break;
        await settle(entry.id, result);
        settled++;
      }
      setEntries(await readOutbox());
      if (settled > 0) void revalidate();
    });
    return running.current;
  }, [revalidate]);

  const waiting = entries.filter((e) => e.problem === null).length;
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

  const send = useCallback<Outbox["send"]>(
    async (to, words, fields) => {
      const id = crypto.randomUUID();
      await changeOutbox((all) => [...all, { id, to, words, fields, problem: null, errors: {} }]);
      await flush();
      const left = (await readOutbox()).find((e) => e.id === id);
      if (!left) return { status: "saved" };
      if (left.problem === null) return { status: "waits for signal" };
      // Refused while its form is still open: it goes back there, where everything typed still stands.
      await changeOutbox((all) => all.filter((e) => e.id !== id));
      setEntries(await readOutbox());
      return { status: "refused", errors: left.errors };
    },
    [flush],
  );
  const drop = useCallback(async (id: string) => {
    await changeOutbox((all) => all.filter((e) => e.id !== id));
    setEntries(await readOutbox());
  }, []);

  const outbox = useMemo(
    () => ({ waiting, problems: entries.filter((e) => e.problem !== null), send, drop }),
    [entries, waiting, send, drop],
  );
  return <OutboxContext value={outbox}>{children}</OutboxContext>;
}

/** Takes a saved entry out; marks a refused one with what was wrong. */
function settle(id: string, result: SendResult): Promise<void> {
  if (result.status !== "refused") return changeOutbox((all) => all.filter((e) => e.id !== id));
  const problem = Object.values(result.errors)[0] ?? "The garden refused it.";
  return changeOutbox((all) => all.map((e) => (e.id === id ? { ...e, problem, errors: result.errors } : e)));
}

export function useOutbox(): Outbox {
  const outbox = useContext(OutboxContext);
  if (!outbox) throw new Error("useOutbox outside OutboxProvider");
  return outbox;
}
