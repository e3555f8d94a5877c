import { useState } from "react";
import { SAY_HOW_MUCH, saysHowMuch } from "~/core/entries";
import { typedCount, typedWeight } from "~/core/units";
import { pickEntry, usePickFields } from "~/ui/ledger/usePickFields";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { useFormSender } from "~/ui/outbox/useFormSender";
import type { Loggable } from "./loggable";

interface Logged {
  id: string;
  words: string;
  /** Safe on the device in any case; in the ledger once the garden's machine has said so. */
  status: "on its way" | "waits for signal" | "saved";
}

/** What cannot be read of what was typed, by field. */
function troubleIn({ count, weight }: { count: string; weight: string }): Record<string, string> {
  const pieces = count.trim() ? typedCount(count) : null;
  const read = weight.trim() ? typedWeight(weight) : null;
  return {
    ...(pieces?.status === "refused" && { count: pieces.sentence }),
    ...(read?.status === "refused" && { weight: read.sentence }),
  };
}

const SHORT_MS = 40;
const TWICE_MS = [60, 60, 60];

/** Logging one pick: what is typed, what was refused, what was logged and can be undone. */
export function useLogPick(view: Loggable, roundId: string | null, onLogged?: (isLogged: boolean) => void) {
  const { send } = useOutbox();
  const { sendForm, errors, sayHere } = useFormSender();
  const state = usePickFields({ count: view.counted ? String(view.expected.count) : "" });
  const [logged, setLogged] = useState<Logged | null>(null);
  const [busy, setBusy] = useState(false);

  const log = async (outcome: "picked" | "nothing ready", tookAll: boolean) => {
    const { weight, count } = state.fields;
    // Said while one stands there, not when the signal is back.
    if (!saysHowMuch({ outcome, count, weight })) return sayHere({ count: SAY_HOW_MUCH });
    const wrong = outcome === "picked" ? troubleIn({ count, weight }) : {};
    if (Object.keys(wrong).length > 0) return sayHere(wrong);
    setBusy(true);
    const words = `${view.crop}: ${outcome === "nothing ready" ? "nothing ready" : weight || count || "?"}`;
    const body = pickEntry(state.fields, { plantingId: view.id, seasonId: view.seasonId, roundId, outcome, tookAll });
    // Nobody stands and waits for the network: what is written down is logged.
    const written = (id: string) => {
      setBusy(false);
      // An answer that is felt through a glove, where the device can.
      navigator.vibrate?.(SHORT_MS);
      setLogged({ id, words, status: "on its way" });
      onLogged?.(true);
    };
    const result = await sendForm(body, words, written);
    setBusy(false);
    if (result.status === "refused") {
      navigator.vibrate?.(TWICE_MS);
      setLogged((now) => (now?.id === result.id ? null : now));
      onLogged?.(false);
    } else setLogged((now) => (now?.id === result.id ? { ...now, status: result.status } : now));
  };
  const undo = async () => {
    if (!logged) return;
    await send({ kind: "take back", target: logged.id }, `Take back ${logged.words}`);
    setLogged(null);
  };
  return { state, errors, logged, busy, log, undo, more: () => setLogged(null) };
}
