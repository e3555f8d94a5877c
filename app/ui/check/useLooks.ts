import { useState } from "react";
import { useOutbox } from "~/ui/outbox/OutboxProvider";

/** Sends each tap at once and shows it as chosen meanwhile; without signal it is kept and sent later. */
export function useLooks(plantingId: string, takenOn: string) {
  const { send } = useOutbox();
  const [tapped, setTapped] = useState<Record<string, string>>({});
  const [sending, setSending] = useState(0);
  const [note, setNote] = useState<string | null>(null);
  return {
    tapped,
    pending: sending > 0,
    note,
    tap: async (cueId: string, readingId: string) => {
      setTapped((before) => ({ ...before, [cueId]: readingId }));
      setSending((n) => n + 1);
      const result = await send("/looks", "A look", { plantingId, cueId, readingId, takenOn });
      setSending((n) => n - 1);
      if (result.status === "waits for signal")
        setNote("No signal: the look is kept, the verdict follows when it is back.");
      else setNote(result.status === "refused" ? (Object.values(result.errors)[0] ?? "That look was refused.") : null);
    },
  };
}
