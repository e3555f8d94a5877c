import { useState } from "react";
import { useOutbox } from "~/ui/outbox/OutboxProvider";

/** What goes with a tap: how many were looked at, and the size when it was measured. */
export interface LookDetail {
  sampleOf?: number;
  measuredMm?: number;
}

/** Sends each tap at once and shows it as chosen meanwhile; without signal it is kept and sent later. */
export function useLooks(plantingId: string, takenOn: string) {
  const { send } = useOutbox();
  const [tapped, setTapped] = useState<Record<string, string>>({});
  const [sending, setSending] = useState(0);
  const [note, setNote] = useState<string | null>(null);
  const sendNow = async (what: string, fields: Record<string, string>) => {
    setSending((n) => n + 1);
    const result = await send("/looks", what, { plantingId, ...fields });
    setSending((n) => n - 1);
    if (result.status === "waits for signal")
      setNote("No signal: the look is kept, the verdict follows when it is back.");
    else setNote(result.status === "refused" ? (Object.values(result.errors)[0] ?? "That look was refused.") : null);
  };
  return {
    tapped,
    pending: sending > 0,
    note,
    tap: (cueId: string, readingId: string, { sampleOf, measuredMm }: LookDetail = {}) => {
      setTapped((before) => ({ ...before, [cueId]: readingId }));
      return sendNow("A look", {
        cueId,
        readingId,
        takenOn,
        ...(sampleOf && sampleOf > 1 ? { sampleOf: String(sampleOf) } : {}),
        ...(measuredMm ? { measuredMm: String(measuredMm) } : {}),
      });
    },
    count: (what: "ready" | "leaves", number: string) =>
      sendNow("A count", { intent: "count", what, number, countedOn: takenOn }),
  };
}
