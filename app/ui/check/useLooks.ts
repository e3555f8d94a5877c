import { useCallback, useMemo, useState } from "react";
import { looksWaiting, type EntryBody } from "~/core/entries";
import type { LookNow } from "~/core/garden";
import { useOutbox } from "~/ui/outbox/OutboxProvider";

/** What goes with a tap: how many were looked at, and the size when it was measured. */
export interface LookDetail {
  sampleOf?: number;
  measuredMm?: number;
  /** Share of the pieces that read so; 0 takes that reading back. */
  share?: number;
}

const WAITS = "No signal: the look is kept, and goes out when it is back.";

/** Sends each tap at once and shows it as chosen meanwhile; without signal it is kept and sent later. */
export function useLooks(plantingId: string, crop: string) {
  const { send, waitingEntries } = useOutbox();
  // What was seen and waits stands as chosen, also after the page was closed.
  const looks = useMemo(() => looksWaiting(waitingEntries, plantingId), [waitingEntries, plantingId]);
  const there = useMemo(() => Object.fromEntries(looks.filter((l) => l.share === undefined).map((l) => [l.cueId, l.readingId ?? ""])), [looks]); // prettier-ignore
  const [tapped, setTapped] = useState<Record<string, string>>({});
  const [sending, setSending] = useState(0);
  const [note, setNote] = useState<string | null>(null);
  const sendNow = useCallback(
    async (body: EntryBody, words: string) => {
      setSending((n) => n + 1);
      const result = await send(body, words);
      setSending((n) => n - 1);
      setNote(result.status === "refused" ? result.sentence : null);
      return result.status;
    },
    [send],
  );
  // The same functions from one drawing to the next: a tap draws anew only the cue it is on.
  const tap = useCallback(
    (cueId: string, readingId: string, { sampleOf, measuredMm, share }: LookDetail = {}) => {
      // Of shares the server's answer shows how they stand side by side.
      if (share === undefined) setTapped((before) => ({ ...before, [cueId]: readingId }));
      else setTapped(({ [cueId]: _, ...others }) => others);
      return sendNow(
        {
          kind: "look",
          plantingId,
          cueId,
          readingId: readingId || null,
          ...(sampleOf && sampleOf > 1 ? { sampleOf } : {}),
          ...(measuredMm ? { measuredMm } : {}),
          ...(share === undefined ? {} : { share }),
        },
        `${crop}: a look`,
      );
    },
    [sendNow, plantingId, crop],
  );
  const count = useCallback(
    async (what: "ready" | "leaves", number: string) => {
      await sendNow({ kind: "count", plantingId, what, number }, `${crop}: ${number} counted`);
    },
    [sendNow, plantingId, crop],
  );
  const counts = waitingEntries.some((entry) => entry.kind === "count" && entry.plantingId === plantingId);
  const waits = sending === 0 && (looks.length > 0 || counts);
  return {
    tapped: { ...there, ...tapped },
    waiting: looks satisfies readonly LookNow[],
    pending: sending > 0,
    note: waits ? WAITS : note,
    tap,
    count,
  };
}
