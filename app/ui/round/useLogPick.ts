import { useState } from "react";
import { pickEntry, usePickFields } from "~/ui/ledger/usePickFields";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { useFormSender } from "~/ui/outbox/useFormSender";
import type { Loggable } from "./loggable";

interface Logged {
  id: string;
  words: string;
  waits: boolean;
}

/** Logging one pick: what is typed, what was refused, what was logged and can be undone. */
export function useLogPick(view: Loggable, roundId: string | null, onLogged?: () => void) {
  const { send } = useOutbox();
  const { sendForm, errors } = useFormSender();
  const state = usePickFields({ count: view.counted ? String(view.expected.count) : "" });
  const [logged, setLogged] = useState<Logged | null>(null);
  const [busy, setBusy] = useState(false);

  const log = async (outcome: "picked" | "nothing ready", tookAll: boolean) => {
    setBusy(true);
    const { weight, count } = state.fields;
    const words = `${view.crop}: ${outcome === "nothing ready" ? "nothing ready" : weight || count || "?"}`;
    const body = pickEntry(state.fields, { plantingId: view.id, seasonId: view.seasonId, roundId, outcome, tookAll });
    const result = await sendForm(body, words);
    setBusy(false);
    if (result.status === "refused") return;
    setLogged({ id: result.id, words, waits: result.status === "waits for signal" });
    onLogged?.();
  };
  const undo = async () => {
    if (!logged) return;
    await send({ kind: "take back", target: logged.id }, `Take back ${logged.words}`);
    setLogged(null);
  };
  return { state, errors, logged, busy, log, undo, more: () => setLogged(null) };
}
